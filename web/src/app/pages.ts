import { notTakenBand } from './notTaken.ts';
import { whenIdle } from './whenIdle.ts';

/** Every page that comes in a part of its own. */
export const pages = {
  job: () => import('../screens/job/JobScreen.tsx'),
  firstContact: () => import('../screens/firstContact/FirstContact.tsx'),
  record: () => import('../screens/record/RecordScreen.tsx'),
  quote: () => import('../screens/quote/QuoteScreen.tsx'),
  owner: () => import('../screens/owner/OwnerScreen.tsx'),
  labels: () => import('../screens/labels/LabelsScreen.tsx'),
  planSheet: () => import('../screens/planSheet/PlanSheetScreen.tsx'),
  vehicles: () => import('../screens/vehicles/VehiclesScreen.tsx'),
  vehicle: () => import('../screens/vehicles/VehicleScreen.tsx'),
  shop: () => import('../screens/shop/ShopScreen.tsx'),
  threads: () => import('../screens/threads/ThreadsScreen.tsx'),
};

/**
 * Fetches all of it once somebody works here: without https no service worker keeps it, and the next tap may come when the
 * network is gone.
 */
export function fetchPages(): void {
  whenIdle([
    pages.job,
    () => import('../screens/job/stations.ts').then((stations) => stations.fetchStations()),
    notTakenBand,
    ...Object.values(pages),
  ]);
}

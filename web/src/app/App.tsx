import { createAsyncStoragePersister } from '@tanstack/query-async-storage-persister';
import { PersistQueryClientProvider } from '@tanstack/react-query-persist-client';
import { lazy, Suspense } from 'react';
import { createBrowserRouter, RouterProvider } from 'react-router';
import { storeOrNone } from '../log/db.ts';
import { storageFailed } from '../log/line.ts';
import { makeClient } from '../net/client.ts';
import { HEARD_VERSION } from '../net/heard.ts';
import { Bays } from '../screens/bays/Bays.tsx';
import { SignIn } from '../screens/signIn/SignIn.tsx';
import { Missing } from './Missing.tsx';
import { pages } from './pages.ts';
import { SignedIn } from './SignedIn.tsx';

// The kinds of entries and their checks come with the job, not with sign-in.
const JobScreen = lazy(pages.job);
const FirstContact = lazy(pages.firstContact);
const RecordScreen = lazy(pages.record);
const QuoteScreen = lazy(pages.quote);
const OwnerScreen = lazy(pages.owner);
const LabelsScreen = lazy(pages.labels);
const PlanSheetScreen = lazy(pages.planSheet);
const VehiclesScreen = lazy(pages.vehicles);
const VehicleScreen = lazy(pages.vehicle);
const ShopScreen = lazy(pages.shop);
const ThreadsScreen = lazy(pages.threads);

const client = makeClient();

/** What was last heard from the server stays on the device, for a reload while it is away. */
const persister = createAsyncStoragePersister({
  key: 'heard',
  throttleTime: 500,
  storage: {
    getItem: async (key) => ((await (await storeOrNone())?.get('meta', key)) as string | undefined) ?? null,
    setItem: async (key, value) => void (await (await storeOrNone())?.put('meta', value, key).catch(storageFailed)),
    removeItem: async (key) => void (await (await storeOrNone())?.delete('meta', key)),
  },
});

const router = createBrowserRouter([
  { path: '/sign-in', element: <SignIn /> },
  {
    element: <SignedIn />,
    errorElement: <Missing what="page" />,
    children: [
      { path: '/', element: <Bays /> },
      { path: '/next', element: <FirstContact /> },
      { path: '/shop', element: <ShopScreen /> },
      { path: '/threads', element: <ThreadsScreen /> },
      { path: '/vehicles', element: <VehiclesScreen /> },
      { path: '/vehicles/:id', element: <VehicleScreen /> },
      { path: '/jobs/:jobId/record', element: <RecordScreen /> },
      { path: '/jobs/:jobId/quote', element: <QuoteScreen /> },
      { path: '/jobs/:jobId/owner', element: <OwnerScreen /> },
      { path: '/jobs/:jobId/sheet', element: <PlanSheetScreen /> },
      { path: '/jobs/:jobId/labels', element: <LabelsScreen /> },
      { path: '/jobs/:jobId/:station?', element: <JobScreen /> },
      { path: '*', element: <Missing what="page" /> },
    ],
  },
]);

/** The application: what was heard before, the pages, what stands while they open. */
export function App() {
  return (
    <PersistQueryClientProvider
      client={client}
      persistOptions={{
        persister,
        buster: HEARD_VERSION,
        maxAge: 30 * 24 * 3_600_000,
        // Also what could not be asked again: with the server away who is signed in must still be known after a reload.
        dehydrateOptions: { shouldDehydrateQuery: (query) => query.state.data !== undefined },
      }}
    >
      <Suspense fallback={<p className="p-6 text-quiet">Opening…</p>}>
        <RouterProvider router={router} />
      </Suspense>
    </PersistQueryClientProvider>
  );
}

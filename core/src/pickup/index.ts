export { planPickup, type FloatNear, type PickupJudged, type PickupPlan } from './cut.ts';
export { pickupPlanned, pickupSlice, screensKnown, type PickupSlice, type PlannedPickup } from './kinds.ts';
export { judgeScreens, type ScreensJudged, type ScreensKnown } from './screens.ts';

/** Seldom there, and it needs the words of the trade: not with the first load. */
export const notTakenBand = () => import('./NotTakenBand.tsx');

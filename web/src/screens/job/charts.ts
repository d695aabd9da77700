/** What is a chart, with its library: wanted by few screens, fetched with all the rest of a job. */
export const charts = {
  hold: () => import('./bench/hold/HoldChart.tsx'),
  sweep: () => import('./bench/SweepChart.tsx'),
  witnesses: () => import('./drain/WitnessChart.tsx'),
};

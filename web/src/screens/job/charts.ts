/** What is a chart, with its library: wanted by few screens, fetched with all the rest of a job. */
export const charts = {
  hold: () => import('./hold/HoldChart.tsx'),
  run: () => import('./bench/pump/RunChart.tsx'),
  sweep: () => import('./bench/sender/SweepChart.tsx'),
  witnesses: () => import('./drain/WitnessChart.tsx'),
};

/** What is a chart, with its library: wanted by few screens, fetched with all the rest of a job. */
export const charts = {
  witnesses: () => import('./drain/WitnessChart.tsx'),
};

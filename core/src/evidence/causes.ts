/** Where the fuel comes past on its way to the engine, in this order. */
export const streamPoints = ['tank', 'screen', 'filterIn', 'filterOut', 'lines', 'rail'] as const;
/** One of them. */
export type StreamPoint = (typeof streamPoints)[number];

/** What each is called. */
export const pointWord: Readonly<Record<StreamPoint, string>> = {
  tank: 'in the tank',
  screen: 'on the screen',
  filterIn: 'at the filter’s inlet',
  filterOut: 'at the filter’s outlet',
  lines: 'in the lines',
  rail: 'at the rail or pump',
};

/** What may be wrong with fuel, or keep it back. */
export const fuelCauses = ['water', 'rust', 'grains', 'slime', 'old', 'wrong', 'putIn', 'screens'] as const;
/** One of them. */
export type FuelCause = (typeof fuelCauses)[number];

/** What a cause is called, and where it has to show if it is the cause. Common practice, no source. */
export const causes: Readonly<Record<FuelCause, { name: string; shows: readonly StreamPoint[] }>> = {
  water: { name: 'water', shows: ['tank', 'filterIn'] },
  rust: { name: 'rust', shows: ['tank', 'filterIn'] },
  grains: { name: 'sand or dirt', shows: ['tank', 'filterIn'] },
  slime: { name: 'slime', shows: ['tank', 'screen'] },
  old: { name: 'old fuel, varnish', shows: ['tank'] },
  wrong: { name: 'the wrong fuel', shows: ['tank'] },
  putIn: { name: 'something put in', shows: ['tank', 'filterIn'] },
  screens: { name: 'blocked screens', shows: ['screen'] },
};

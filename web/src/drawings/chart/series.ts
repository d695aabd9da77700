import { Chart, Decimation, Filler, LinearScale, LineController, LineElement, PointElement } from 'chart.js';

// What a chart of readings is made of; said once for all of them.
Chart.register(LineController, LineElement, PointElement, LinearScale, Filler, Decimation);

/** A reading on the sheet. */
export type SeriesPoint = Record<'x' | 'y', number>;

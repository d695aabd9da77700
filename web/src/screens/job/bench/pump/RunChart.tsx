import type { ChartConfiguration } from 'chart.js';
import type { RunReading } from '@iron-cradle/core';
import { useMemo } from 'react';
import { scaleTicks, seriesOptions, uprightScale } from '../../../../drawings/chart/axes.ts';
import { LineKey } from '../../../../drawings/chart/LineKey.tsx';
import '../../../../drawings/chart/series.ts';
import type { SeriesPoint } from '../../../../drawings/chart/series.ts';
import { useChart, useInk } from '../../../../drawings/chart/useChart.ts';

/** Current and pressure of a run against time: what it draws as a full line, what it presses as a broken one. */
export default function RunChart({ readings }: { readings: readonly RunReading[] }) {
  const ink = useInk();
  const config = useMemo((): ChartConfiguration<'line', SeriesPoint[]> => {
    const line = (of: (one: RunReading) => number | null): SeriesPoint[] =>
      readings.map((one) => ({ x: one.at, y: of(one) ?? Number.NaN }));
    const drawn = { pointRadius: 0, spanGaps: false, borderWidth: 3 } as const;
    return {
      type: 'line',
      data: {
        datasets: [
          { ...drawn, data: line(({ amps }) => amps), yAxisID: 'amps', borderColor: ink.work },
          { ...drawn, data: line(({ bar }) => bar), yAxisID: 'bar', borderColor: ink.ink, borderDash: [7, 4] },
        ],
      },
      options: {
        ...seriesOptions,
        scales: {
          x: {
            type: 'linear',
            min: 0,
            suggestedMax: 20,
            title: { display: true, text: 's', color: ink.quiet },
            ticks: scaleTicks(ink, 6),
            grid: { display: false },
            border: { color: ink.ink, width: 2 },
          },
          amps: { ...uprightScale(ink, 'A'), beginAtZero: true },
          bar: { ...uprightScale(ink, 'bar'), position: 'right', beginAtZero: true, grid: { display: false } },
        },
      },
    };
  }, [readings, ink]);
  const canvas = useChart(config);
  return (
    <figure>
      <div className="relative h-44">
        <canvas ref={canvas} role="img" aria-label={`amps and bar of a run, ${readings.length} readings`} />
      </div>
      <figcaption className="flex flex-wrap gap-x-6 pt-1 font-semibold">
        <LineKey color="var(--work)" width={3}>
          draws
        </LineKey>
        <LineKey color="var(--ink)" width={3} dashed>
          presses
        </LineKey>
      </figcaption>
    </figure>
  );
}

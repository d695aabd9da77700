import type { ChartConfiguration } from 'chart.js';
import { useMemo } from 'react';
import { seriesOptions, uprightScale } from '../../../../drawings/chart/axes.ts';
import { LineKey } from '../../../../drawings/chart/LineKey.tsx';
import '../../../../drawings/chart/series.ts';
import type { SeriesPoint } from '../../../../drawings/chart/series.ts';
import { useChart, useInk } from '../../../../drawings/chart/useChart.ts';

interface SweepChartProps {
  passes: readonly { way: 'up' | 'down'; ohms: readonly (number | null)[] }[];
  /** Those of the one that came out, drawn quietly behind. */
  old: readonly { way: 'up' | 'down'; ohms: readonly (number | null)[] }[];
}

/** A pass that is still going fills the width by this many readings. */
const USUAL = 30;

/** Every pass over its travel, empty on the left, the way back in broken line: a gap is where it shows nothing. */
export default function SweepChart({ passes, old }: SweepChartProps) {
  const ink = useInk();
  const config = useMemo((): ChartConfiguration<'line', SeriesPoint[]> => {
    const along = ({ way, ohms }: SweepChartProps['passes'][number], i: number) => {
      const share = i / Math.max(ohms.length - 1, USUAL);
      return way === 'up' ? share : 1 - share;
    };
    const lineIn = (pass: SweepChartProps['passes'][number], borderColor: string, borderWidth: number) => {
      const points = pass.ohms.map((one, i) => ({ x: along(pass, i), y: one ?? Number.NaN }));
      return {
        // Left to right, as the axis runs.
        data: pass.way === 'up' ? points : points.reverse(),
        borderColor,
        borderWidth,
        borderDash: pass.way === 'up' ? [] : [7, 4],
        pointRadius: 0,
        spanGaps: false,
      };
    };
    const lines = passes.map((pass) => lineIn(pass, ink.work, 3));
    // Broader than what lies on it, so that it shows where both run alike.
    const behind = old.map((pass) => lineIn(pass, ink.quiet, 8));
    const opens = passes.flatMap((pass) =>
      pass.ohms.flatMap((one, i) => (one === null ? [{ x: along(pass, i), y: 0 }] : [])),
    );
    return {
      type: 'line',
      data: {
        datasets: [
          ...lines,
          ...behind,
          {
            data: opens.sort((a, b) => a.x - b.x),
            showLine: false,
            pointStyle: 'rect',
            pointRadius: 5,
            backgroundColor: ink.halt,
            borderColor: ink.halt,
          },
        ],
      },
      options: {
        ...seriesOptions,
        scales: {
          x: {
            type: 'linear',
            min: 0,
            max: 1,
            ticks: {
              color: ink.quiet,
              stepSize: 1,
              maxRotation: 0,
              callback: (at) => (at === 0 ? 'empty' : at === 1 ? 'full' : ''),
            },
            grid: { display: false },
            border: { color: ink.ink, width: 2 },
          },
          y: { ...uprightScale(ink, 'Ω'), beginAtZero: true },
        },
      },
    };
  }, [passes, old, ink]);
  const canvas = useChart(config);
  const open = passes.reduce((sum, { ohms }) => sum + ohms.filter((one) => one === null).length, 0);
  return (
    <figure>
      <div className="relative h-44">
        <canvas ref={canvas} role="img" aria-label={`ohms of ${passes.length} passes, ${open} readings open`} />
      </div>
      {old.length > 0 && (
        <figcaption className="flex flex-wrap gap-x-6 pt-1 font-semibold" data-beside-old>
          {passes.length > 0 && (
            <LineKey color="var(--work)" width={3}>
              this one
            </LineKey>
          )}
          <LineKey color="var(--quiet)" width={8}>
            the one that came out
          </LineKey>
        </figcaption>
      )}
    </figure>
  );
}

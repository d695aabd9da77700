import { lateIn, passFrom, type SweptWay, type Trace } from '@iron-cradle/core';
import type { ChartConfiguration } from 'chart.js';
import { useMemo } from 'react';
import { seriesOptions, uprightScale } from '../../../../drawings/chart/axes.ts';
import { LineKey } from '../../../../drawings/chart/LineKey.tsx';
import '../../../../drawings/chart/series.ts';
import type { SeriesPoint } from '../../../../drawings/chart/series.ts';
import { useChart, useInk } from '../../../../drawings/chart/useChart.ts';

interface SweepChartProps {
  passes: readonly SweptWay[];
  /** Those of the one that came out, drawn quietly behind. */
  old: readonly Trace[];
}

/** A pass that is still going fills the width by this many readings, or s. */
const USUAL = { readings: 30, seconds: 12 };

/** What is drawn as a line. */
type Drawn = Trace & { seconds?: readonly number[] };

/** Every pass over its travel, empty on the left, the way back in broken line: a gap is where it shows nothing, or where nothing was read. */
export default function SweepChart({ passes, old }: SweepChartProps) {
  const ink = useInk();
  const config = useMemo((): ChartConfiguration<'line', SeriesPoint[]> => {
    const along = ({ way, ohms, seconds }: Drawn, i: number) => {
      const share = seconds
        ? seconds[i]! / Math.max(seconds.at(-1)!, USUAL.seconds)
        : i / Math.max(ohms.length - 1, USUAL.readings);
      return way === 'up' ? share : 1 - share;
    };
    const pointsOf = (pass: Drawn) => pass.ohms.map((one, i) => ({ x: along(pass, i), y: one ?? Number.NaN }));
    // Where the readings stopped there is no line.
    const broken = (pass: SweptWay) => {
      const late = lateIn(passFrom(pass).readings);
      return pointsOf(pass).flatMap((point, i) => (late[i] ? [{ x: point.x, y: Number.NaN }, point] : [point]));
    };
    const lineIn = (way: Drawn['way'], points: SeriesPoint[], pen: { borderColor: string; borderWidth: number }) => {
      return {
        // Left to right, as the axis runs.
        data: way === 'up' ? points : points.reverse(),
        ...pen,
        borderDash: way === 'up' ? [] : [7, 4],
        pointRadius: 0,
        spanGaps: false,
      };
    };
    const lines = passes.map((pass) => lineIn(pass.way, broken(pass), { borderColor: ink.work, borderWidth: 3 }));
    // Broader than what lies on it, so that it shows where both run alike.
    const behind = old.map((pass) => lineIn(pass.way, pointsOf(pass), { borderColor: ink.quiet, borderWidth: 8 }));
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

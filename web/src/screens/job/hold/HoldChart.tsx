import type { ChartConfiguration } from 'chart.js';
import { ownUnit, traceOf, type HoldJudged } from '@iron-cradle/core';
import { useMemo } from 'react';
import { scaleTicks, seriesOptions, uprightScale } from '../../../drawings/chart/axes.ts';
import '../../../drawings/chart/series.ts';
import type { SeriesPoint } from '../../../drawings/chart/series.ts';
import { hatch, useChart, useInk } from '../../../drawings/chart/useChart.ts';

interface HoldChartProps {
  readings: readonly (readonly [number, number])[];
  judged: HoldJudged;
  /** s to draw to. */
  until: number;
  /** Unit of pressure. */
  unit: 'inH2O' | 'kPa';
}

/** Pressure against time: what was read, the line through it with its band, and the limit hole from the same start. */
export default function HoldChart({ readings, judged, until, unit }: HoldChartProps) {
  const ink = useInk();
  const config = useMemo((): ChartConfiguration<'line', SeriesPoint[]> => {
    const trace = traceOf(judged, until);
    const y = (pascals: number) => ownUnit(pascals, 'pressure', unit);
    const line = (of: (at: (typeof trace)[number]) => number): SeriesPoint[] =>
      trace.map((at) => ({ x: at.at, y: y(of(at)) }));
    const thin = { pointRadius: 0, tension: 0 };
    return {
      type: 'line',
      data: {
        datasets: [
          { data: line((t) => t.line.lo), ...thin, borderWidth: 0 },
          { data: line((t) => t.line.hi), ...thin, borderWidth: 0, fill: '-1', backgroundColor: hatch(ink.quiet) },
          { data: line((t) => t.line.typ), ...thin, borderColor: ink.ink, borderWidth: 2 },
          { data: line((t) => t.limit.lo), ...thin, borderColor: ink.halt, borderWidth: 2, borderDash: [9, 6] },
          { data: line((t) => t.limit.hi), ...thin, borderColor: ink.halt, borderWidth: 2, borderDash: [9, 6] },
          {
            data: readings.map(([x, pascals]) => ({ x, y: y(pascals) })),
            showLine: false,
            pointStyle: 'rect',
            pointRadius: 4,
            backgroundColor: ink.work,
            borderColor: ink.work,
          },
        ],
      },
      options: {
        ...seriesOptions,
        scales: {
          x: {
            type: 'linear',
            min: 0,
            max: until,
            title: { display: true, text: 's', color: ink.quiet, align: 'end' },
            ticks: scaleTicks(ink, 6),
            grid: { display: false },
            border: { color: ink.ink, width: 2 },
          },
          y: uprightScale(ink, unit),
        },
      },
    };
  }, [readings, judged, until, unit, ink]);
  const canvas = useChart(config);
  const last = readings.at(-1);
  return (
    <div className="relative h-64 mid:h-80">
      <canvas
        ref={canvas}
        role="img"
        aria-label={
          last
            ? `${readings.length} readings, the last ${ownUnit(last[1], 'pressure', unit).toFixed(2)} ${unit} after ${Math.round(last[0])} s`
            : 'no reading yet'
        }
      />
    </div>
  );
}

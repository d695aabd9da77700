import type { ChartOptions } from 'chart.js';
import type { Ink } from './useChart.ts';

/** Figures on a scale are set in the hand of readings. */
export const scaleTicks = (ink: Ink, most: number) =>
  ({ color: ink.quiet, font: { family: "'Sometype Mono'" }, maxTicksLimit: most }) as const;

/** What every chart of readings has in common: no legend, nothing that pops up, thinned where there are very many. */
export const seriesOptions = {
  responsive: true,
  maintainAspectRatio: false,
  parsing: false,
  normalized: true,
  plugins: {
    legend: { display: false },
    tooltip: { enabled: false },
    decimation: { enabled: true, algorithm: 'min-max' },
  },
} as const satisfies ChartOptions<'line'>;

/** An upright scale with its unit. */
export const uprightScale = (ink: Ink, unit: string) =>
  ({
    type: 'linear',
    title: { display: true, text: unit, color: ink.quiet },
    ticks: scaleTicks(ink, 6),
    grid: { color: ink.rule },
    border: { color: ink.ink, width: 2 },
  }) as const;

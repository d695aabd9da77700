import { BarController, BarElement, CategoryScale, Chart, LinearScale, type ChartConfiguration } from 'chart.js';
import { witnessWord, type Estimate, type FuelAboard, litres, rounded } from '@iron-cradle/core';
import { useMemo } from 'react';
import { useChart, useInk } from '../../../drawings/chart/useChart.ts';
import { useWords } from '../../../ui/Words.tsx';

Chart.register(BarController, BarElement, CategoryScale, LinearScale);

/** Litres aboard, witness by witness: what each says now, and at the foot what they say together. */
export default function WitnessChart({ steps, aboard }: { steps: FuelAboard['steps']; aboard: Estimate }) {
  const words = useWords();
  const { ink, quiet, work, halt, rule } = useInk();
  const config = useMemo((): ChartConfiguration<'bar', [number, number][]> => {
    const bar = (e: Estimate): [number, number] => [e.lo, Math.max(e.hi, e.lo + 0.4)];
    return {
      type: 'bar',
      data: {
        labels: [...steps.map((s) => witnessWord[s.kind]), 'together'],
        datasets: [
          {
            data: [...steps.map((s) => bar(s.said)), bar(aboard)],
            // Hollow: it is said, and counts for nothing.
            backgroundColor: [...steps.map((s) => (s.ignored ? 'transparent' : s.agrees ? quiet : halt)), work],
            borderColor: quiet,
            borderWidth: [...steps.map((s) => (s.ignored ? 2 : 0)), 0],
            borderSkipped: false,
            barPercentage: 0.7,
            categoryPercentage: 0.8,
          },
        ],
      },
      options: {
        indexAxis: 'y',
        responsive: true,
        maintainAspectRatio: false,
        plugins: { legend: { display: false }, tooltip: { enabled: false } },
        scales: {
          x: {
            beginAtZero: true,
            title: { display: true, text: 'litres aboard now', color: quiet },
            ticks: { color: quiet, font: { family: "'Sometype Mono'" } },
            grid: { color: rule },
          },
          y: { ticks: { color: ink }, grid: { display: false } },
        },
      },
    };
  }, [steps, aboard, ink, quiet, work, halt, rule]);
  const canvas = useChart(config);
  const all = steps
    .map(
      (s) =>
        `${witnessWord[s.kind]} ${words([rounded(litres, s.said, 1)])}${s.ignored ? ', does not count' : s.agrees ? '' : ', does not agree'}`,
    )
    .join('; ');
  return (
    <div className="relative mt-5" style={{ height: 64 + (steps.length + 1) * 42 }}>
      <canvas ref={canvas} role="img" aria-label={`${all}; together ${words([rounded(litres, aboard, 1)])}`} />
    </div>
  );
}

import { Chart, type ChartConfiguration, type ChartType } from 'chart.js';
import { useEffect, useMemo, useRef, type RefObject } from 'react';
import { useTheme } from '../../look/theme.ts';

const NAMES = ['ink', 'quiet', 'work', 'halt', 'rule', 'sheet'] as const;
/** The colours of this theme, for a canvas. */
export type Ink = Record<(typeof NAMES)[number], string>;

/** The colours a chart is drawn in; others when the theme changes. */
export function useInk(): Ink {
  const theme = useTheme();
  return useMemo(() => {
    void theme;
    const style = getComputedStyle(document.documentElement);
    return Object.fromEntries(NAMES.map((name) => [name, style.getPropertyValue(`--${name}`).trim()])) as Ink;
  }, [theme]);
}

/** A chart on its canvas, in the product’s hand; drawn anew when what it shows changes. */
export function useChart<T extends ChartType, D>(
  config: ChartConfiguration<T, D>,
): RefObject<HTMLCanvasElement | null> {
  const canvas = useRef<HTMLCanvasElement>(null);
  const chart = useRef<Chart<T, D> | null>(null);
  useEffect(() => {
    if (!canvas.current) return;
    Chart.defaults.font.family = "'Archivo Variable', sans-serif";
    Chart.defaults.font.size = 15;
    Chart.defaults.animation = false;
    if (chart.current) {
      chart.current.data = config.data;
      if (config.options) chart.current.options = config.options;
      chart.current.update('none');
    } else chart.current = new Chart<T, D>(canvas.current, config);
  }, [config]);
  useEffect(
    () => () => {
      chart.current?.destroy();
      chart.current = null;
    },
    [],
  );
  return canvas;
}

/** Hatching for what is not certain, as in every drawing. */
export function hatch(colour: string): CanvasPattern | string {
  const tile = document.createElement('canvas');
  tile.width = tile.height = 10;
  const pen = tile.getContext('2d');
  if (!pen) return 'transparent';
  pen.strokeStyle = colour;
  pen.lineWidth = 1.5;
  pen.beginPath();
  for (const at of [-5, 5]) {
    pen.moveTo(at - 1, 11);
    pen.lineTo(at + 11, -1);
  }
  pen.stroke();
  return pen.createPattern(tile, 'repeat') ?? 'transparent';
}

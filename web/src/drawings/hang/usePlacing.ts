import { useRef, type PointerEvent } from 'react';
import type { HangLayout } from './types.ts';

/** A thing of the drawing was dragged along the tank: its key, and where to, mm from the first end; null gives it up. */
export type OnPlace = (key: string, x: number | null, done: boolean) => void;

/** A finger that moves less than this means a tap, px. */
const SLOP = 5;
/** Places are kept on this grid, mm. */
const GRID = 5;

/**
 * Handlers that let a thing be dragged along the tank. A short tap stays a tap; what is dragged never leaves the tank.
 *
 * @example <g {...placing('line:vent')}>
 */
export function usePlacing(at: HangLayout, length: number, onPlace: OnPlace | undefined) {
  const grip = useRef<{ key: string; from: number; moved: boolean } | null>(null);
  const where = (event: PointerEvent<SVGGElement>): number => {
    const svg = event.currentTarget.ownerSVGElement!;
    const point = new DOMPoint(event.clientX, event.clientY).matrixTransform(svg.getScreenCTM()!.inverse());
    const mm = Math.round((point.x - at.tank.x) / at.scale / GRID) * GRID;
    return Math.min(length, Math.max(0, mm));
  };
  return (key: string) =>
    onPlace
      ? {
          style: { touchAction: 'none' as const, cursor: 'ew-resize' },
          onPointerDown: (event: PointerEvent<SVGGElement>) => {
            event.currentTarget.setPointerCapture(event.pointerId);
            grip.current = { key, from: event.clientX, moved: false };
          },
          onPointerMove: (event: PointerEvent<SVGGElement>) => {
            const held = grip.current;
            if (held?.key !== key) return;
            held.moved ||= Math.abs(event.clientX - held.from) > SLOP;
            if (held.moved) onPlace(key, where(event), false);
          },
          onPointerUp: (event: PointerEvent<SVGGElement>) => {
            if (grip.current?.moved) onPlace(key, where(event), true);
            grip.current = null;
          },
          onPointerCancel: () => {
            if (grip.current?.moved) onPlace(key, null, false);
            grip.current = null;
          },
        }
      : {};
}

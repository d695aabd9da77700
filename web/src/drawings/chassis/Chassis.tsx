import type { Mounting } from '@iron-cradle/core';
import { useId } from 'react';
import { HatchDefs, PaintPath } from '../../look/Shapes.tsx';

/** Where the tank sits, seen from below, in a frame of 140 × 224. */
const tanks: Record<Mounting, { d: string; ring?: string }> = {
  rail: { d: 'M25 82h16a5 5 0 0 1 5 5v52a5 5 0 0 1-5 5H25a5 5 0 0 1-5-5V87a5 5 0 0 1 5-5Z' },
  seat: { d: 'M38 96h26v8h12v-8h26v44H76v-8H64v8H38Z' },
  crosswise: { d: 'M39 184h62a5 5 0 0 1 5 5v16a5 5 0 0 1-5 5H39a5 5 0 0 1-5-5v-16a5 5 0 0 1 5-5Z' },
  upright: { d: 'M36 114h68a4 4 0 0 1 4 4v8a4 4 0 0 1-4 4H36a4 4 0 0 1-4-4v-8a4 4 0 0 1 4-4Z' },
  wing: { d: 'M108 186h10a5 5 0 0 1 5 5v22a5 5 0 0 1-5 5h-10a5 5 0 0 1-5-5v-22a5 5 0 0 1 5-5Z' },
  floor: {
    d: 'M55 184h30a4 4 0 0 1 4 4v18a4 4 0 0 1-4 4H55a4 4 0 0 1-4-4v-18a4 4 0 0 1 4-4Z',
    ring: 'M44 178h52v38H44Z',
  },
  pads: { d: 'M66 100h8a9 9 0 0 1 9 9v10a9 9 0 0 1-9 9h-8a9 9 0 0 1-9-9v-10a9 9 0 0 1 9-9Z' },
};

interface ChassisProps {
  mounting: Mounting;
  /** The tank hangs low or is off: drawn as the place it left. */
  tankOff?: boolean;
  /** Draws the paint stroke on the tank. */
  next?: boolean;
  height?: number;
  /** Where its size follows the screen’s. */
  className?: string;
}

/** A vehicle as one sees it lying under it: rails, axles, shaft, exhaust, tank; no body. */
export function Chassis({ mounting, tankOff = false, next = false, height = 224, className = '' }: ChassisProps) {
  const hatch = useId();
  const tank = tanks[mounting];
  return (
    <svg
      viewBox="0 0 140 224"
      height={height}
      width={(height * 140) / 224}
      aria-hidden
      className={`block ${className}`}
    >
      <defs>
        <HatchDefs id={hatch} color="var(--quiet)" />
      </defs>
      <g fill="none" stroke="var(--ink)" strokeWidth="4">
        <path d="M48 6v212M92 6v212" />
        <path d="M48 20h44M48 76h44M48 128h44M48 204h44" strokeWidth="3" />
      </g>
      <g fill="none" stroke="var(--edge)" strokeWidth="3">
        <path d="M20 52h100M20 168h100M70 60v99" />
        <circle cx="70" cy="168" r="9" fill="var(--sheet)" />
      </g>
      <path
        d="M82 48v84c0 10 20 8 20 20v66"
        fill="none"
        stroke="var(--quiet)"
        strokeWidth="2.5"
        strokeDasharray="5 3"
      />
      {[34, 150].map((y) => (
        <g key={y} fill="var(--ink)">
          <rect x="10" y={y} width="12" height="37" />
          <rect x="118" y={y} width="12" height="37" />
        </g>
      ))}
      {tank.ring && <path d={tank.ring} fill="none" stroke="var(--ink)" strokeWidth="2" strokeDasharray="3 3" />}
      <path d={tank.d} fill="var(--sheet)" stroke="none" />
      <path
        d={tank.d}
        fill={tankOff ? 'none' : `url(#${hatch})`}
        stroke={tankOff ? 'var(--quiet)' : 'var(--ink)'}
        strokeWidth="2.5"
        strokeDasharray={tankOff ? '5 3' : undefined}
      />
      {next && (
        <g
          transform={`translate(${mounting === 'rail' ? 10 : 48} ${{ rail: 104, seat: 108, crosswise: 187, upright: 112, wing: 192, floor: 187, pads: 104 }[mounting]})`}
        >
          <PaintPath />
        </g>
      )}
    </svg>
  );
}

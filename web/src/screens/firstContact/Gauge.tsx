import { GAUGE_ERROR, type VehicleFile } from '@iron-cradle/core';
import { useId, useRef } from 'react';
import { HatchDefs } from '../../look/Shapes.tsx';
import { useSize } from '../../ui/useSize.ts';

interface GaugeProps {
  value: number | null;
  litres: string | null;
  file: VehicleFile | null;
  onChange: (share: number) => void;
}

const MARKS = [
  [0, 'empty'],
  [0.25, '1/4'],
  [0.5, '1/2'],
  [0.75, '3/4'],
  [1, 'full'],
] as const;

/** The needle as somebody reads it: drag it, tap a mark, or step it with the arrow keys. Its error is hatched. */
export function Gauge({ value, litres, onChange }: GaugeProps) {
  const hatch = useId();
  const svg = useRef<SVGSVGElement>(null);
  // Drawn in real px, so that its type is as large on a phone as anywhere.
  const [box, size] = useSize<HTMLDivElement>();
  const width = Math.min(640, size.width || 600);
  const [left, right] = [20, width - 40];
  const x = (share: number) => left + share * (right - left);
  const read = (clientX: number) => {
    const at = svg.current!.getBoundingClientRect();
    const share = (((clientX - at.left) / at.width) * width - left) / (right - left);
    onChange(Math.round(Math.min(1, Math.max(0, share)) * 16) / 16);
  };
  return (
    <div ref={box} className="min-w-0 overflow-hidden">
      <p className="text-quiet">Gauge: drag, tap a mark, or use the arrow keys</p>
      <svg
        ref={svg}
        viewBox={`0 0 ${width} 84`}
        width={width}
        height="84"
        className="touch-none"
        role="slider"
        tabIndex={0}
        aria-label="gauge"
        aria-valuemin={0}
        aria-valuemax={1}
        aria-valuenow={value ?? 0}
        aria-valuetext={value === null ? 'not read' : `${value} of full`}
        onPointerDown={(event) => (event.currentTarget.setPointerCapture(event.pointerId), read(event.clientX))}
        onPointerMove={(event) => event.buttons > 0 && read(event.clientX)}
        onKeyDown={(event) => {
          const step = { ArrowRight: 1 / 16, ArrowUp: 1 / 16, ArrowLeft: -1 / 16, ArrowDown: -1 / 16 }[event.key];
          if (step === undefined) return;
          event.preventDefault();
          onChange(Math.min(1, Math.max(0, (value ?? 0.5) + step)));
        }}
      >
        <defs>
          <HatchDefs id={hatch} />
        </defs>
        {value !== null && (
          <>
            <rect
              x={x(Math.max(0, value - GAUGE_ERROR))}
              y="28"
              width={x(Math.min(1, value + GAUGE_ERROR)) - x(Math.max(0, value - GAUGE_ERROR))}
              height="24"
              fill={`url(#${hatch})`}
              stroke="var(--ink)"
              strokeWidth="1.5"
            />
            <path d={`M${x(value)} 20V54`} stroke="var(--ink)" strokeWidth="5" />
            <text
              x={Math.min(width - 110, Math.max(70, x(value)))}
              y="16"
              textAnchor="middle"
              fontSize="19"
              className="reading"
              fill="var(--ink)"
            >
              {litres ?? ''}
            </text>
          </>
        )}
        <path d={`M${left} 40V54H${right}V40`} fill="none" stroke="var(--ink)" strokeWidth="2.5" />
        {MARKS.map(([share, word]) => (
          <g key={word}>
            <path d={`M${x(share)} 46v8`} stroke="var(--ink)" strokeWidth="2" />
            <text
              x={x(share)}
              y="77"
              textAnchor={share === 0 ? 'start' : share === 1 ? 'end' : 'middle'}
              fontSize="17"
              fill="var(--quiet)"
            >
              {word}
            </text>
          </g>
        ))}
      </svg>
    </div>
  );
}

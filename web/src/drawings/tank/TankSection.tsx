import { rangeInWords, type Axis, type Estimate, type Tilt, type VehicleFile } from '@iron-cradle/core';
import { useId, useRef, useState, type PointerEvent } from 'react';
import { HatchDefs } from '../../look/Shapes.tsx';
import { layTank, pathOf, roundedPath, type Px } from './layout.ts';

interface TankSectionProps {
  vehicle: VehicleFile;
  aboard: Estimate;
  tilt: Tilt;
  axis?: Axis | undefined;
  width: number;
  /** A level somebody drags to, mm; null when nobody does. Left out where it cannot be dragged. */
  seen?: number | null;
  onSeen?: (mm: number) => void;
}

/**
 * The tank in section, made from its shape: what is aboard for certain by lines, what may be by hatching, what stays behind
 * a sill by close hatching, the pick-up where it takes fuel. The tank tilts, the fuel stays level.
 */
export function TankSection({ vehicle, aboard, tilt, axis, width, seen = null, onSeen }: TankSectionProps) {
  const id = useId();
  const svg = useRef<SVGSVGElement>(null);
  const [drags, setDrags] = useState(false);
  const wide = width > 500;
  const pad = { left: wide ? 36 : 8, right: wide ? 76 : 56, top: 44, foot: 18 };
  const box = { width: width - pad.left - pad.right, height: wide ? 236 : 170 };
  const view = layTank({ vehicle, aboard, tilt, box, ...(axis ? { axis } : {}) });
  const height = view.height + pad.top + pad.foot;
  const outline = roundedPath(view.outline);
  const flat = tilt.x === 0 && tilt.y === 0;
  const lines = (list: Px[][], from: number) => {
    const foot = Math.max(...list.flat().map((p) => p[1]));
    return Array.from({ length: Math.max(0, Math.ceil((foot - from) / 7)) }, (_, i) => from + 7 * (i + 1));
  };
  const drag = (event: PointerEvent) => {
    const rect = svg.current?.getBoundingClientRect();
    if (rect && onSeen) onSeen(Math.round(view.mmAt(event.clientY - rect.top - pad.top)));
  };
  const label = (y: number) => Math.min(view.height - 8, Math.max(22, y - 10));
  const step = (mm: number) => onSeen?.(Math.min(vehicle.tank.shape.height, Math.max(0, Math.round(mm))));
  return (
    <svg
      ref={svg}
      viewBox={`0 0 ${width} ${height}`}
      width={width}
      height={height}
      role="group"
      aria-label={`tank in section, ${rangeInWords(aboard, 1)} litres aboard`}
      fontSize="16"
      className="block touch-pan-y select-none"
    >
      <defs>
        <HatchDefs id={`${id}-maybe`} color="var(--quiet)" />
        <pattern id={`${id}-behind`} width="9" height="9" patternUnits="userSpaceOnUse" patternTransform="rotate(-45)">
          <line x1="0" y1="0" x2="0" y2="9" stroke="var(--ink)" strokeWidth="3" />
        </pattern>
        <clipPath id={`${id}-inside`}>
          <path d={outline} />
        </clipPath>
        <clipPath id={`${id}-sure`}>
          {view.sure.map((p, i) => (
            <path key={i} d={pathOf(p)} />
          ))}
        </clipPath>
      </defs>
      <g transform={`translate(${pad.left} ${pad.top})`}>
        <path d={outline} fill="var(--sheet)" />
        <g clipPath={`url(#${id}-inside)`}>
          {view.maybe.map((p, i) => (
            <path key={i} d={pathOf(p)} fill={`url(#${id}-maybe)`} data-fuel="maybe" />
          ))}
          {view.sure.map((p, i) => (
            <path key={i} d={pathOf(p)} fill="var(--sheet)" stroke="var(--sheet)" data-fuel="sure" />
          ))}
          {view.sure.length > 0 && (
            <g clipPath={`url(#${id}-sure)`}>
              <path d={`M0 ${view.surface.lo + 1}H${box.width}`} stroke="var(--fuel)" strokeWidth="3" />
              {lines(view.sure, view.surface.lo).map((y) => (
                <path key={y} d={`M0 ${y}H${box.width}`} stroke="var(--fuel)" strokeWidth="1" />
              ))}
            </g>
          )}
          {view.behind.map((p, i) => (
            <path key={i} d={pathOf(p)} fill={`url(#${id}-behind)`} opacity="0.55" data-fuel="behind" />
          ))}
        </g>
        <path
          d={outline}
          fill="none"
          stroke="var(--ink)"
          strokeWidth="3.5"
          strokeLinejoin="round"
          data-tank="outline"
        />
        {view.pickUp && (
          <g>
            <path
              d={`M${view.pickUp.top[0] - 70} -22H${view.pickUp.top[0]}V${view.pickUp.top[1]}L${view.pickUp.end[0]} ${view.pickUp.end[1] - 12}`}
              fill="none"
              stroke="var(--ink)"
              strokeWidth="5"
            />
            <rect
              x={view.pickUp.end[0] - 17}
              y={view.pickUp.end[1] - 13}
              width="34"
              height="13"
              fill="var(--sheet)"
              stroke="var(--ink)"
              strokeWidth="2.5"
              strokeDasharray={view.pickUp.guessed ? '4 3' : undefined}
            />
            <text x={view.pickUp.top[0] + 10} y="-14" fill="var(--ink)" className="[font-stretch:82%]" fontWeight="600">
              {view.pickUp.guessed ? 'pick-up, place guessed' : 'pick-up'}
            </text>
          </g>
        )}
        <text
          x={box.width * 0.72}
          y={label(view.surface.hi)}
          textAnchor="middle"
          className="reading"
          fontSize="24"
          fill="var(--fuel)"
          stroke="var(--sheet)"
          strokeWidth="6"
          paintOrder="stroke"
        >
          {rangeInWords(aboard, 1)} L
        </text>
        {onSeen && flat && (
          <g
            role="slider"
            tabIndex={0}
            aria-label="level seen in the tank"
            aria-valuemin={0}
            aria-valuemax={Math.round(vehicle.tank.shape.height)}
            aria-valuenow={seen ?? 0}
            aria-valuetext={seen === null ? 'not set' : `${seen} millimetres above the floor`}
            data-action="drag-level"
            className="cursor-ns-resize touch-none"
            onPointerDown={(event) => {
              event.currentTarget.setPointerCapture(event.pointerId);
              setDrags(true);
              drag(event);
            }}
            onPointerMove={(event) => drags && drag(event)}
            onPointerUp={() => setDrags(false)}
            onKeyDown={(event) => {
              const by = { ArrowUp: 5, ArrowDown: -5, PageUp: 25, PageDown: -25 }[event.key];
              if (by === undefined) return;
              event.preventDefault();
              step((seen ?? view.mmAt(view.surface.hi)) + by);
            }}
          >
            <rect x={box.width - 8} y={-8} width={64} height={view.height + 16} fill="transparent" />
            <path
              d={`M${box.width + 22} ${view.yOf(0)}V${view.yOf(vehicle.tank.shape.height)}`}
              stroke="var(--edge)"
              strokeWidth="2"
            />
            <g transform={`translate(0 ${seen === null ? view.surface.hi : view.yOf(seen)})`}>
              {seen !== null && (
                <path d={`M0 0H${box.width + 8}`} stroke="var(--ink)" strokeWidth="2" strokeDasharray="6 4" />
              )}
              <path
                d={`M${box.width + 8} 0l14 -13h26v26h-26Z`}
                fill={seen === null ? 'var(--sheet)' : 'var(--work)'}
                stroke="var(--ink)"
                strokeWidth="2"
                strokeLinejoin="round"
              />
            </g>
          </g>
        )}
      </g>
    </svg>
  );
}

import { asItRuns, dipsAlong, hoseLength, type RoutePoint } from '@iron-cradle/core';
import { useId, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { HatchDefs, Shape } from '../../look/Shapes.tsx';

interface HoseDrawingProps {
  route: readonly RoutePoint[];
  /** mm */
  bore: number;
  /** Is a low place a fault here? */
  breathes: boolean;
  /** px it may be wide. */
  width: number;
  /** Nobody drew it yet: a proposal, that tells of no dip. */
  ghost: boolean;
  chosen: number | null;
  onChoose: (point: number) => void;
  /** A point was dragged, or moved by the arrows; left out: it stands. */
  onMove?: ((point: number, to: RoutePoint) => void) | undefined;
}

/** What stays free round the hose, px. */
const PAPER = { side: 50, top: 70, foot: 52 };
/** It is drawn no smaller than this, and no higher. */
const LEAST = 300;
const HIGHEST = 300;
/** mm a key moves a point. */
const KEY = 5;

/** How a route lies on its paper: mm of its corner, px a mm, px high. */
interface Frame {
  left: number;
  high: number;
  scale: number;
  tall: number;
}

function fitted(route: readonly RoutePoint[], { wide, bore }: { wide: number; bore: number }): Frame {
  const xs = route.map(([x]) => x);
  const zs = route.map(([, z]) => z);
  const [left, right] = [Math.min(...xs), Math.max(...xs)];
  const [low, high] = [Math.min(...zs), Math.max(...zs)];
  const scale = Math.min(
    (wide - 2 * PAPER.side) / Math.max(1, right - left),
    (HIGHEST - PAPER.top - PAPER.foot) / Math.max(60, high - low + bore),
  );
  return { left, high, scale, tall: PAPER.top + (high - low + bore) * scale + PAPER.foot };
}
/** No further than the paper: beyond it, it is lifted and taken again. */
const within = (px: number, most: number): number => Math.min(most, Math.max(0, px));

/** A hose where it runs, from the side, to scale: its bore, its dips full, its points to be touched and dragged. */
export function HoseDrawing({ route, bore, breathes, width, ghost, chosen, onChoose, onMove }: HoseDrawingProps) {
  const wide = Math.max(LEAST, width);
  const svg = useRef<SVGSVGElement>(null);
  const id = useId();
  const [dragged, setDragged] = useState<{ point: number; frame: Frame } | null>(null);
  // Under a finger the paper stays as it is: it is fitted anew once that is lifted.
  const frame = dragged?.frame ?? fitted(route, { wide, bore });
  const { left, high, scale, tall } = frame;
  const x = (mm: number) => PAPER.side + (mm - left) * scale;
  const y = (mm: number) => PAPER.top + (high - mm) * scale;
  const line = asItRuns(route);
  const path = line.map(([a, b], i) => `${i === 0 ? 'M' : 'L'}${x(a).toFixed(1)} ${y(b).toFixed(1)}`).join('');
  const dips = ghost ? [] : dipsAlong(line, bore);
  const tube = Math.max(6, bore * scale);
  const toPlace = (event: PointerEvent): RoutePoint => {
    const box = svg.current!.getBoundingClientRect();
    const px = within(((event.clientX - box.left) / box.width) * wide, wide);
    const py = within(((event.clientY - box.top) / box.height) * tall, tall);
    return [Math.round(left + (px - PAPER.side) / scale), Math.round(high - (py - PAPER.top) / scale)];
  };
  const onKey = (event: KeyboardEvent, i: number) => {
    const step = { ArrowLeft: [-KEY, 0], ArrowRight: [KEY, 0], ArrowUp: [0, KEY], ArrowDown: [0, -KEY] }[event.key];
    if (!step || !onMove) return;
    event.preventDefault();
    const [a, b] = route[i]!;
    onMove(i, [a + step[0]!, b + step[1]!]);
  };
  return (
    <svg
      ref={svg}
      viewBox={`0 0 ${wide} ${tall}`}
      className="block w-full touch-none contain-content"
      role="group"
      aria-label="the hose from the side"
    >
      <defs>
        <HatchDefs id={`${id}h`} color="var(--edge)" />
        <clipPath id={`${id}c`}>
          {dips.map((dip) => (
            <rect
              key={dip.at[0]}
              x={x(dip.between[0])}
              y={y(dip.level)}
              width={Math.max(1, x(dip.between[1]) - x(dip.between[0]))}
              height={tall}
            />
          ))}
        </clipPath>
      </defs>
      <rect x="8" y="14" width={wide - 16} height="18" fill={`url(#${id}h)`} stroke="var(--ink)" strokeWidth="2" />
      <text x="10" y="50" className="narrow" fontSize="16" fill="var(--quiet)">
        tank end
      </text>
      <text x={wide - 10} y="50" textAnchor="end" className="narrow" fontSize="16" fill="var(--quiet)">
        other end
      </text>
      {!ghost && (
        <text x={wide / 2} y="50" textAnchor="middle" className="reading" fontSize="16" fill="var(--ink)">
          {Math.round(hoseLength(route))} mm along it
        </text>
      )}
      <path
        d={path}
        fill="none"
        stroke="var(--ink)"
        strokeWidth={tube + 6}
        strokeDasharray={ghost ? '9 7' : undefined}
        strokeLinejoin="round"
      />
      <path d={path} fill="none" stroke="var(--sheet)" strokeWidth={tube} strokeLinejoin="round" />
      <path
        d={path}
        fill="none"
        stroke="var(--fuel)"
        strokeWidth={tube}
        strokeLinejoin="round"
        opacity="0.55"
        clipPath={`url(#${id}c)`}
      />
      {dips.map((dip) => (
        <g
          key={dip.at[0]}
          transform={`translate(${x(dip.at[0])} ${Math.min(tall - 14, y(dip.at[1]) + tube / 2 + 24)})`}
        >
          <foreignObject x="-80" y="-14" width="28" height="28">
            <Shape outcome={!breathes ? 'good' : dip.shut ? 'bad' : 'doubtful'} size={22} />
          </foreignObject>
          <text x="-48" y="4" className="reading" fontSize="17" fill="var(--ink)">
            {dip.shutsAt === null ? `${inMl(dip.stays)} lie there` : `${inMl(dip.shutsAt)} shut it`}
          </text>
        </g>
      ))}
      {route.map(([a, b], i) => (
        <g
          key={i}
          role="button"
          tabIndex={0}
          aria-label={`point ${i + 1}: ${Math.round(a)} along, ${Math.round(b)} up`}
          aria-pressed={chosen === i}
          data-hose-point={i}
          className={onMove ? 'cursor-grab' : ''}
          onFocus={() => onChoose(i)}
          onKeyDown={(event) => onKey(event, i)}
          onPointerDown={(event) => {
            onChoose(i);
            if (!onMove) return;
            setDragged({ point: i, frame });
            event.currentTarget.setPointerCapture(event.pointerId);
          }}
          onPointerMove={(event) => {
            if (dragged?.point === i && onMove) onMove(i, toPlace(event));
          }}
          onPointerUp={() => setDragged(null)}
          onPointerCancel={() => setDragged(null)}
        >
          <rect x={x(a) - 30} y={y(b) - 30} width="60" height="60" fill="transparent" />
          <rect
            x={x(a) - 10}
            y={y(b) - 10}
            width="20"
            height="20"
            fill={chosen === i ? 'var(--work)' : 'var(--sheet)'}
            stroke="var(--ink)"
            strokeWidth="3"
          />
        </g>
      ))}
    </svg>
  );
}

const inMl = (ml: number): string => `${ml < 10 ? ml.toFixed(1) : Math.round(ml)} mL`;

import type { JobState, Pose, Stop, UnitSystem } from '@iron-cradle/core';
import { poseInWords } from '@iron-cradle/core';
import { useId } from 'react';
import { roundedPath } from '../tank/layout.ts';
import { HatchDefs, PaintPath } from '../../look/Shapes.tsx';
import { TagShape } from '../../look/Tag.tsx';
import { Axis, Blocks, Jack, PlacedText, Tapes } from './parts.tsx';
import { layoutHang } from './layout.ts';
import type { HangLayout, HangStub, Surface } from './types.ts';
import { usePlacing, type OnPlace } from './usePlacing.ts';

interface HangProps {
  state: JobState;
  stop: Pick<Stop, 'pose' | 'holders' | 'actions'>;
  ghost: Pose | null;
  width: number;
  height: number;
  /** In which heights and rooms are read. */
  units: UnitSystem;
  /** A line was tapped: its ledger key. */
  onLine?: (key: string) => void;
  /** Lines and what is in the way may be dragged along the tank. */
  onPlace?: OnPlace;
}

/** The side view: how the tank hangs, what holds it, how far it may go. Everything from vehicle file and log. */
export function Hang({ state, stop, ghost, width, height, units, onLine, onPlace }: HangProps) {
  const hatch = useId();
  const at = layoutHang({ state, stop, ghost, width, height, units });
  const { frame } = at;
  const placing = usePlacing(at, state.vehicle.length, onPlace);
  const outline = roundedPath(at.outline(stop.pose), 9);
  const [first, second] = state.vehicle.ends;
  const nextLine =
    stop.actions.find((a) => a.type === 'part')?.key ?? stop.actions.find((a) => a.type === 'unclip')?.key;
  const nextAt = at.lines.find((l) => `line:${l.id}` === nextLine);
  return (
    <figure
      className="h-full"
      aria-label={`side view: tank at ${poseInWords(stop.pose, state.vehicle.ends, units)}${at.lines.length > 0 ? `, held by ${at.lines.find((l) => l.holds)?.name ?? 'nothing'}` : ''}`}
    >
      <svg
        viewBox={`0 0 ${width} ${height}`}
        width="100%"
        height="100%"
        preserveAspectRatio="xMidYMin meet"
        aria-hidden
        fontSize="16"
        className="[font-stretch:80%]"
      >
        <defs>
          <HatchDefs id={hatch} color="var(--quiet)" />
        </defs>
        <text x={frame.x} y={frame.y - 12} fill="var(--quiet)">
          {first} end, frame
        </text>
        <text x={frame.x + frame.width} y={frame.y - 12} textAnchor="end" fill="var(--quiet)">
          {second} end
        </text>
        <rect {...frame} fill="var(--sheet)" stroke="var(--ink)" strokeWidth="2.5" />
        <rect x={frame.x} y={frame.y} width={frame.width} height="9" fill={`url(#${hatch})`} />
        {at.ghost && (
          <path
            d={roundedPath(at.outline(at.ghost), 9)}
            fill="none"
            stroke="var(--quiet)"
            strokeWidth="1.5"
            strokeDasharray="6 5"
          />
        )}
        <Blocks at={at} hatch={hatch} placing={placing} />
        {at.next && <PlacedText at={at.next} fill="var(--quiet)" />}
        <g>
          <clipPath id={`${hatch}-tank`}>
            <path d={outline} />
          </clipPath>
          <path d={outline} fill="var(--sheet)" stroke="none" />
          <Fuel at={at} hatch={hatch} />
          <path d={outline} fill="none" stroke="var(--ink)" strokeWidth="3" strokeLinejoin="round" />
          <Tapes tapes={at.tapes} />
          <Jack {...at.jack} />
        </g>
        {at.lines.map((line) => (
          <g
            key={line.id}
            data-line={line.id}
            onClick={onLine && (() => onLine(`line:${line.id}`))}
            className={onLine ? 'cursor-pointer' : ''}
            {...placing(`line:${line.id}`)}
          >
            <Reach line={line} hatch={hatch} />
            <path d={line.path} fill="none" stroke="transparent" strokeWidth="26" />
            <rect x={line.port.x - 18} y={line.port.y - 18} width="36" height="36" fill="transparent" />
            <path
              d={line.path}
              fill="none"
              stroke={line.holds ? 'var(--halt)' : 'var(--ink)'}
              strokeWidth="3"
              strokeDasharray={line.guessed ? '8 5' : undefined}
            />
            <rect x={line.anchor.x - 4} y={line.anchor.y - 2} width="8" height="5" fill="var(--ink)" />
            <rect
              x={line.port.x - 6}
              y={line.port.y - 6}
              width="12"
              height="12"
              fill="var(--sheet)"
              stroke="var(--ink)"
              strokeWidth="2"
            />
          </g>
        ))}
        {at.parted.map((p) => (
          <Stub key={p.id} {...p} />
        ))}
        {at.lines.map((line) => (
          <Label key={line.id} line={line} />
        ))}
        {nextAt && (
          <g transform={`translate(${nextAt.port.x + 10} ${nextAt.port.y - 26})`}>
            <PaintPath />
          </g>
        )}
        <Axis at={at} pose={stop.pose} ends={state.vehicle.ends} units={units} />
        <text x={frame.x} y={height - 10} fill="var(--quiet)">
          drop enlarged {at.enlarged} times
          {width > 560 && '; sag stands for room left, rails for where a hand gets to'}
        </text>
      </svg>
    </figure>
  );
}

/** Where a hand gets to the joint: a rail beside the port, hatched where it is only guessed. */
function Reach({ line, hatch }: { line: HangLayout['lines'][number]; hatch: string }) {
  const { sure, perhaps } = line.reach;
  const x = line.port.x + 9;
  return (
    <>
      {perhaps && (
        <rect
          x={x}
          y={perhaps.top}
          width="4"
          height={Math.max(2, perhaps.foot - perhaps.top)}
          fill={`url(#${hatch})`}
        />
      )}
      {sure && (
        <rect
          x={x}
          y={sure.top}
          width="4"
          height={Math.max(2, sure.foot - sure.top)}
          fill="var(--work)"
          opacity="0.22"
        />
      )}
    </>
  );
}

function Label({ line }: { line: HangLayout['lines'][number] }) {
  const { x, y, text } = line.label;
  return (
    <g>
      <path
        d={`M${line.port.x} ${line.port.y + 8}V${y - 4}${x > line.port.x ? 'h5' : ''}`}
        fill="none"
        stroke="var(--quiet)"
        strokeWidth="1"
      />
      {line.holds && (
        <path transform={`translate(${x} ${y - 16}) scale(0.8)`} d="M8 1h8l7 7v8l-7 7H8l-7-7V8Z" fill="var(--halt)" />
      )}
      <text
        x={x + (line.holds ? 25 : 0)}
        y={y}
        fontWeight="600"
        fill={line.holds ? 'var(--halt)' : 'var(--ink)'}
        stroke="var(--sheet)"
        strokeWidth="4"
        paintOrder="stroke"
      >
        {line.holds ? `${text}, holds it` : text}
      </text>
    </g>
  );
}

/** Both ends of a parted line: capped squares with the number painted on. */
function Stub({ x, frameY, tankY, tag, low, left }: HangStub) {
  const number = tag === null ? '' : String(tag);
  const wide = 22 + number.length * 11;
  return (
    <g pointerEvents="none">
      <path d={`M${x} ${frameY}V${low - 8}`} stroke="var(--ink)" strokeWidth="3" />
      <rect x={x - 6} y={low - 10} width="12" height="10" fill="var(--ink)" />
      {tag !== null && (
        <g transform={`translate(${left ? x - 9 - wide * 0.8 : x + 9} ${low - 17}) scale(0.8)`}>
          <TagShape number={number} open w={wide} h={24} />
        </g>
      )}
      <path d={`M${x} ${tankY}v-8`} stroke="var(--ink)" strokeWidth="3" />
      <rect x={x - 6} y={tankY - 14} width="12" height="8" fill="var(--ink)" />
    </g>
  );
}

/** Fuel in the tank: lined for what is in at the least, hatched for what may be in besides. */
function Fuel({ at, hatch }: { at: HangLayout; hatch: string }) {
  if (!at.fuel) return null;
  const { tank } = at;
  const { lo, hi, label } = at.fuel;
  const right = tank.x + tank.width;
  const line = ([a, b]: Surface, lower = 0) => `M${tank.x} ${a + lower}L${right} ${b + lower}`;
  const rows = Math.max(0, Math.floor(tank.height / 6));
  return (
    <g>
      <g clipPath={`url(#${hatch}-tank)`}>
        {hi[0] < lo[0] - 3 && (
          <path
            d={`M${tank.x} ${hi[0]}L${right} ${hi[1]}V${lo[1]}L${tank.x} ${lo[0]}Z`}
            fill={`url(#${hatch})`}
            opacity="0.55"
          />
        )}
        <path d={line(lo)} stroke="var(--fuel)" strokeWidth="2" />
        {Array.from({ length: rows }, (_, i) => (
          <path key={i} d={line(lo, 6 + i * 6)} stroke="var(--fuel)" strokeWidth="1" />
        ))}
      </g>
      <text
        x={label.x}
        y={label.y}
        className="reading"
        fontSize="14"
        fill="var(--fuel)"
        stroke="var(--sheet)"
        strokeWidth="5"
        paintOrder="stroke"
      >
        {label.text}
      </text>
    </g>
  );
}

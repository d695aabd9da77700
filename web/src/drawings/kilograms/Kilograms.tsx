import { roundTo, type Call } from '@iron-cradle/core';
import { useId } from 'react';
import { useSize } from '../../ui/useSize.ts';
import { HatchDefs } from '../../look/Shapes.tsx';

/** Mass now and drained as ranges over a ruler, against what one and two may hold; lying, two have no figure. */
export function Kilograms({
  call,
  alone,
  two,
}: {
  call: Pick<Call, 'now' | 'drained'>;
  alone: number;
  two: number | null;
}) {
  const hatch = useId();
  // Drawn in real px, so that its type is as large on a phone as anywhere.
  const [box, size] = useSize<HTMLDivElement>();
  const width = Math.min(704, size.width || 704);
  const narrow = width < 520;
  const [height, left, right] = [128, 12, width - 44];
  const most = Math.ceil((Math.max(call.now.mass.hi, two ?? alone) * 1.12) / 20) * 20;
  const x = (kg: number) => left + (kg / most) * (right - left);
  const step = most > 120 ? (narrow ? 40 : 20) : narrow ? 20 : 10;
  const ticks = Array.from({ length: Math.floor(most / step) + 1 }, (_, i) => i * step);
  const bar = (mass: { lo: number; typ: number; hi: number }, y: number) => (
    <g>
      <rect
        x={x(mass.lo)}
        y={y}
        width={Math.max(3, x(mass.hi) - x(mass.lo))}
        height="24"
        fill={`url(#${hatch})`}
        stroke="var(--ink)"
        strokeWidth="1.5"
      />
      <path d={`M${x(mass.typ)} ${y - 6}v30`} stroke="var(--ink)" strokeWidth="3.5" />
    </g>
  );
  const kg = (v: number) => String(roundTo(v, 1));
  const nowRight = x(call.now.mass.hi) + 84 > width;
  return (
    <div ref={box} className="min-w-0 shrink-0 overflow-hidden">
      <svg
        viewBox={`0 0 ${width} ${height}`}
        width={width}
        height={height}
        role="img"
        aria-label={`now ${kg(call.now.mass.lo)} to ${kg(call.now.mass.hi)} kilograms, drained ${kg(call.drained.mass.lo)} to ${kg(call.drained.mass.hi)}; ${two === null ? `lying, one up to ${alone}` : `alone up to ${alone}, two up to ${two}`}`}
      >
        <defs>
          <HatchDefs id={hatch} />
        </defs>
        <path
          d={`M${x(alone)} 6V106${two === null ? '' : `M${x(two)} 6V106`}`}
          stroke="var(--ink)"
          strokeWidth="2"
          strokeDasharray="4 4"
        />
        <text x={x(alone) - 7} y="16" textAnchor="end" fontSize="16" fill="var(--ink)" className="[font-stretch:85%]">
          {narrow ? `one ${alone}` : two === null ? `lying ${alone}` : `alone up to ${alone}`}
        </text>
        <text x={x(two ?? alone) + 7} y="16" fontSize="16" fill="var(--ink)" className="[font-stretch:85%]">
          {two === null ? 'two lying: no figure' : narrow ? `two ${two}` : `two up to ${two}, shop rule`}
        </text>
        {bar(call.now.mass, 32)}
        {bar(call.drained.mass, 70)}
        <Figure
          x={nowRight ? x(call.now.mass.lo) - 8 : x(call.now.mass.hi) + 10}
          y={54}
          end={nowRight}
          word="now"
          value={kg(call.now.mass.typ)}
        />
        <Figure
          x={clearOf(x(call.drained.mass.hi) + 10, [x(alone), x(two ?? alone)])}
          y={92}
          word="drained"
          value={kg(call.drained.mass.typ)}
        />
        <path d={`M${left} 106H${right}`} stroke="var(--ink)" strokeWidth="2.5" />
        {ticks.map((tick) => (
          <g key={tick}>
            <path d={`M${x(tick)} 106v6`} stroke="var(--ink)" strokeWidth="1.5" />
            <text x={x(tick)} y="126" textAnchor="middle" fontSize="14" className="reading" fill="var(--quiet)">
              {tick}
            </text>
          </g>
        ))}
        <text x={right + 16} y="126" fontSize="14" className="reading" fill="var(--quiet)">
          kg
        </text>
      </svg>
    </div>
  );
}

/** How wide a figure with its word is drawn. */
const FIGURE = 110;
/** Beside the lines of the limits, never across one. */
const clearOf = (at: number, lines: readonly number[]): number =>
  lines.filter((line) => line > at && line < at + FIGURE).reduce((x, line) => Math.max(x, line + 8), at);

const Figure = ({
  x,
  y,
  word,
  value,
  end = false,
}: {
  x: number;
  y: number;
  word: string;
  value: string;
  end?: boolean;
}) => (
  <text
    x={x}
    y={y}
    textAnchor={end ? 'end' : 'start'}
    fill="var(--ink)"
    fontSize="24"
    className="reading"
    stroke="var(--sheet)"
    strokeWidth="5"
    paintOrder="stroke"
  >
    {value}
    <tspan fontSize="16" fill="var(--quiet)" dx="6" className="font-sans">
      {word}
    </tspan>
  </text>
);

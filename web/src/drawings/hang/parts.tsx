import { isLevel, lengthIn, type Pose, type UnitSystem } from '@iron-cradle/core';
import { BLOCK, LINE } from './names.ts';
import type { HangLayout, Placed } from './types.ts';
import type { usePlacing } from './usePlacing.ts';

/** The jack on the floor: padded head under the middle, ram, cylinder, foot on wheels. */
export function Jack({ x, top: y, body, foot, head }: HangLayout['jack']) {
  return (
    <g fill="var(--sheet)" stroke="var(--ink)" strokeWidth="2.5">
      <path d={`M${x - 300} ${foot}H${x + 300}`} strokeWidth="1" stroke="var(--quiet)" />
      <rect x={x - 7} y={y + 12} width="14" height={Math.max(4, body - y - 12)} />
      <rect x={x - 16} y={body} width="32" height={foot - 10 - body} />
      <path d={`M${x - 62} ${foot - 4}l14 -10h96l14 10Z`} />
      <circle cx={x - 48} cy={foot - 5} r="5" />
      <circle cx={x + 48} cy={foot - 5} r="5" />
      <rect x={x - head / 2} y={y + 2} width={head} height="6" fill="var(--ink)" />
      <path d={`M${x - head / 2 + 6} ${y + 8}h${head - 12}l-10 8h${32 - head}Z`} />
    </g>
  );
}

/** A text where it was placed, on paper of its own: what is drawn behind it does not run through it. */
export function PlacedText({ at: { lines, x, y, anchor }, fill }: { at: Placed; fill: string }) {
  return (
    <text x={x} y={y} textAnchor={anchor} fill={fill} stroke="var(--sheet)" strokeWidth="4" paintOrder="stroke">
      {lines.map((line, i) => (
        <tspan key={i} x={x} y={y + i * LINE}>
          {line}
        </tspan>
      ))}
    </text>
  );
}

interface BlocksProps {
  at: HangLayout;
  hatch: string;
  placing: ReturnType<typeof usePlacing>;
}

/** What stands in the way under the tank, hatched where only guessed. */
export function Blocks({ at, hatch, placing }: BlocksProps) {
  return (
    <g>
      {at.blocks.map((b) => (
        <g key={b.id} data-block={b.id} {...placing(`obstruction:${b.id}`)}>
          {b.hiY > b.loY && (
            <rect
              x={b.x - BLOCK.guessed}
              y={b.loY}
              width={2 * BLOCK.guessed}
              height={b.hiY - b.loY}
              fill={`url(#${hatch})`}
              opacity="0.7"
            />
          )}
          <rect
            x={b.x - BLOCK.half}
            y={b.y}
            width={2 * BLOCK.half}
            height={BLOCK.height}
            rx="11"
            fill="var(--sheet)"
            stroke="var(--ink)"
            strokeWidth="2.5"
          />
          <circle cx={b.x - 19} cy={b.y + 11} r="5" fill="none" stroke="var(--ink)" strokeWidth="1.5" />
          <PlacedText at={b.name} fill="var(--ink)" />
        </g>
      ))}
    </g>
  );
}

interface AxisProps {
  at: HangLayout;
  pose: Pose;
  ends: readonly [string, string];
  units: UnitSystem;
}

/** The scale of heights, with the tank’s own at each end where it is tilted. */
export function Axis({ at, pose, ends, units }: AxisProps) {
  const figure = (mm: number) => lengthIn(mm, units).figure;
  const last = at.ticks.at(-1)!;
  const here = Math.max(pose.f, pose.r);
  return (
    <g className="reading" fontSize="14">
      <path d={`M${at.axisX} ${at.y(0)}V${Math.max(last.y, at.y(here))}`} stroke="var(--ink)" strokeWidth="2" />
      {at.ticks.map((tick) => (
        <g key={tick.drop}>
          <path d={`M${at.axisX} ${tick.y}h10`} stroke="var(--ink)" strokeWidth="1.5" />
          {[pose.f, pose.r].every((mm) => Math.abs(tick.y - at.y(mm)) > 17) && (
            <text x={at.axisX + 15} y={tick.y + 5} fill="var(--quiet)">
              {figure(tick.drop)}
            </text>
          )}
        </g>
      ))}
      <Mark at={at} mm={pose.r} figure={figure(pose.r)} />
      {!isLevel(pose) && (
        <>
          <Mark at={at} mm={pose.f} figure={figure(pose.f)} />
          <text x={at.tank.x - 6} y={at.y(pose.f) + 5} textAnchor="end" fill="var(--ink)">
            {ends[0]} {figure(pose.f)}
          </text>
        </>
      )}
    </g>
  );
}

/** A height on the scale. */
function Mark({ at, mm, figure }: { at: HangLayout; mm: number; figure: string }) {
  return (
    <g>
      <path
        d={`M${at.tank.x + at.tank.width} ${at.y(mm)}H${at.axisX}`}
        stroke="var(--ink)"
        strokeWidth="1"
        strokeDasharray="2 4"
      />
      <path d={`M${at.axisX - 6} ${at.y(mm)}h22`} stroke="var(--ink)" strokeWidth="5" />
      <text x={at.axisX + 20} y={at.y(mm) + 6} fontSize="18" fontWeight="600" fill="var(--ink)">
        {figure}
      </text>
    </g>
  );
}

/** The tape at each end, from the floor up to the tank, with what it reads there. */
export const Tapes = ({ tapes }: Pick<HangLayout, 'tapes'>) => (
  <g fontSize="14">
    {tapes.map(({ x, top, foot, reading }) => (
      <g key={x}>
        <rect x={x - 5} y={top} width="10" height={foot - top} fill="var(--sheet)" stroke="var(--ink)" />
        {Array.from({ length: Math.floor((foot - top - 2) / 6) }, (_, i) => (
          <path
            key={i}
            d={`M${x - 5} ${foot - 6 - i * 6}h${i % 5 === 4 ? 10 : 5}`}
            stroke="var(--ink)"
            strokeWidth="1"
          />
        ))}
        <path d={`M${x - 9} ${top}h18`} stroke="var(--ink)" strokeWidth="3" />
        <text x={reading.x} y={reading.y} textAnchor={reading.anchor} className="reading" fill="var(--ink)">
          {reading.lines}
        </text>
      </g>
    ))}
  </g>
);

import { isLevel, type Pose } from '@iron-cradle/core';
import type { HangLayout } from './layout.ts';

/** The jack on the floor: padded head under the middle, ram, cylinder, foot on wheels. */
export function Jack({ x, y, floor, head }: { x: number; y: number; floor: number; head: number }) {
  const foot = Math.max(floor, y + 40);
  const body = Math.min(foot - 14, Math.max(y + 26, foot - 74));
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

/** What stands in the way under the tank, hatched where only guessed. */
export function Blocks({ at, hatch }: { at: HangLayout; hatch: string }) {
  return (
    <g>
      {at.blocks.map((b) => (
        <g key={b.id}>
          {b.hiY > b.loY && (
            <rect x={b.x - 34} y={b.loY} width="68" height={b.hiY - b.loY} fill={`url(#${hatch})`} opacity="0.7" />
          )}
          <rect
            x={b.x - 30}
            y={b.y}
            width="60"
            height="22"
            rx="11"
            fill="var(--sheet)"
            stroke="var(--ink)"
            strokeWidth="2.5"
          />
          <circle cx={b.x - 19} cy={b.y + 11} r="5" fill="none" stroke="var(--ink)" strokeWidth="1.5" />
          <text x={b.x + 38} y={b.y + 17} fill="var(--ink)">
            {b.name}
          </text>
        </g>
      ))}
    </g>
  );
}

/** The scale of heights, with the tank’s own at each end where it is tilted. */
export function Axis({ at, pose, ends }: { at: HangLayout; pose: Pose; ends: readonly [string, string] }) {
  const last = at.ticks.at(-1)!;
  const here = Math.max(pose.f, pose.r);
  return (
    <g className="reading" fontSize="14">
      <path d={`M${at.axisX} ${at.y(0)}V${Math.max(last.y, at.y(here))}`} stroke="var(--ink)" strokeWidth="2" />
      {at.ticks.map((tick) => (
        <g key={tick.drop}>
          <path d={`M${at.axisX} ${tick.y}h10`} stroke="var(--ink)" strokeWidth="1.5" />
          {[pose.f, pose.r].every((mm) => Math.abs(tick.y - at.y(mm)) > 14) && (
            <text x={at.axisX + 15} y={tick.y + 5} fill="var(--quiet)">
              {tick.drop}
            </text>
          )}
        </g>
      ))}
      <Mark at={at} mm={pose.r} />
      {!isLevel(pose) && (
        <>
          <Mark at={at} mm={pose.f} />
          <text x={at.tank.x - 6} y={at.y(pose.f) + 5} textAnchor="end" fill="var(--ink)">
            {ends[0]} {pose.f}
          </text>
        </>
      )}
    </g>
  );
}

/** A height on the scale, as the tape would read it. */
function Mark({ at, mm }: { at: HangLayout; mm: number }) {
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
        {mm}
      </text>
    </g>
  );
}

import { deepest, lengthText, type Pose, type UnitSystem } from '@iron-cradle/core';

/** Where the tank hangs as somebody has it. */
export interface SaidPose {
  /** Who has it so. */
  name: string;
  /** mm at both ends. */
  pose: Pose;
}

const [LEFT, RIGHT, TOP, DEEP, BODY] = [104, 256, 40, 84, 30] as const;

/** The tank under its frame as each of them has it, one drawn over the other: the first solid, the next in dashes. */
export function Poses({ said, units }: { said: readonly SaidPose[]; units: UnitSystem }) {
  const most = Math.max(1, ...said.map(({ pose }) => deepest(pose)));
  const y = (drop: number) => TOP + (drop / most) * DEEP;
  const bottom = TOP + DEEP + BODY;
  return (
    <svg
      viewBox={`0 0 360 ${bottom + 16}`}
      className="h-auto w-full max-w-xl"
      role="img"
      aria-label={said
        .map((s) => `${s.name}: ${lengthText(s.pose.f, units)}, ${lengthText(s.pose.r, units)}`)
        .join('; ')}
    >
      <path d={`M24 20H336M24 30H336`} stroke="var(--ink)" strokeWidth="2.5" />
      {[LEFT + 18, RIGHT - 18].map((x) => (
        <path key={x} d={`M${x} 20v10`} stroke="var(--ink)" strokeWidth="8" />
      ))}
      {said.map(({ name, pose }, i) => {
        const [f, r] = [y(pose.f), y(pose.r)];
        const first = i % 2 === 0;
        const at = first ? f : r;
        return (
          <g key={name}>
            {[
              [LEFT + 18, f + ((r - f) * 18) / (RIGHT - LEFT)],
              [RIGHT - 18, r - ((r - f) * 18) / (RIGHT - LEFT)],
            ].map(([x, end]) => (
              <path
                key={x}
                d={`M${x! + (first ? -4 : 4)} 34V${end}`}
                stroke="var(--quiet)"
                strokeWidth="1.5"
                strokeDasharray={first ? undefined : '4 4'}
              />
            ))}
            <path
              d={`M${LEFT} ${f}L${RIGHT} ${r}l-8 ${BODY}L${LEFT + 8} ${f + BODY}Z`}
              fill={first ? 'var(--well)' : 'var(--sheet)'}
              fillOpacity={first ? 1 : 0.6}
              stroke="var(--ink)"
              strokeWidth="2.5"
              strokeLinejoin="round"
              strokeDasharray={first ? undefined : '7 5'}
            />
            <path
              d={first ? `M${LEFT - 26} ${at}H${LEFT}` : `M${RIGHT} ${at}h26`}
              stroke="var(--ink)"
              strokeWidth="4"
            />
            <text
              x={first ? LEFT - 30 : RIGHT + 30}
              y={at + 5}
              textAnchor={first ? 'end' : 'start'}
              fill="var(--ink)"
              className="text-[15px] [font-stretch:80%]"
            >
              {name}
            </text>
          </g>
        );
      })}
    </svg>
  );
}

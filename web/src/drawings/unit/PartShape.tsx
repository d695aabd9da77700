import type { PartKind } from '@iron-cradle/core';

/** Middle of the axis in each slice, and the height of a slice, in its own units. */
const SLICE = { width: 200, height: 96, middle: 100 };

const line = { fill: 'var(--sheet)', stroke: 'var(--ink)', strokeWidth: 3 } as const;
const thin = { fill: 'none', stroke: 'var(--ink)', strokeWidth: 2 } as const;

/** Each part of a unit as it looks on its axis, seen from a little above. */
const shapes: Record<PartKind, React.ReactNode> = {
  ring: (
    <>
      <ellipse cx="100" cy="48" rx="88" ry="24" {...line} />
      <ellipse cx="100" cy="46" rx="64" ry="15" {...line} />
      {[34, 84, 136].map((x, i) => (
        <rect key={x} x={x - 8} y={i === 1 ? 62 : 40} width="16" height="10" {...line} strokeWidth="2" />
      ))}
    </>
  ),
  collar: (
    <>
      <path d="M18 40v22c0 12 36 22 82 22s82-10 82-22V40" {...line} />
      <ellipse cx="100" cy="40" rx="82" ry="20" {...line} />
      <ellipse cx="100" cy="39" rx="60" ry="12" {...line} />
      {[34, 52, 76, 100, 124, 148, 166].map((x) => (
        <line
          key={x}
          x1={x}
          y1={62 + (1 - Math.abs(x - 100) / 82) * 10}
          x2={x}
          y2={74 + (1 - Math.abs(x - 100) / 82) * 8}
          {...thin}
        />
      ))}
    </>
  ),
  screws: (
    <>
      <ellipse cx="100" cy="48" rx="86" ry="24" {...line} />
      <ellipse cx="100" cy="47" rx="58" ry="14" {...line} />
      {[0, 60, 120, 180, 240, 300].map((deg) => (
        <rect
          key={deg}
          x={100 + 72 * Math.cos((deg * Math.PI) / 180) - 4}
          y={48 + 19 * Math.sin((deg * Math.PI) / 180) - 4}
          width="8"
          height="8"
          fill="var(--ink)"
        />
      ))}
    </>
  ),
  seal: <ellipse cx="100" cy="48" rx="74" ry="18" fill="none" stroke="var(--ink)" strokeWidth="8" />,
  flange: (
    <>
      <path d="M24 50v14c0 10 34 18 76 18s76-8 76-18V50" {...line} />
      <ellipse cx="100" cy="50" rx="76" ry="18" {...line} />
      <path d="M66 46V18h12v28M92 46V26h10v20" {...line} />
      <rect x="116" y="20" width="34" height="24" {...line} />
    </>
  ),
  hose: (
    <>
      <path d="M84 2c0 36 30 34 30 58 0 16-14 20-14 34" fill="none" stroke="var(--ink)" strokeWidth="15" />
      <path d="M84 2c0 36 30 34 30 58 0 16-14 20-14 34" fill="none" stroke="var(--sheet)" strokeWidth="9" />
      <rect x="74" y="10" width="22" height="8" {...line} strokeWidth="2" />
      <rect x="90" y="78" width="24" height="8" {...line} strokeWidth="2" />
    </>
  ),
  pump: (
    <>
      <path d="M93 2h14v10H93z" {...line} />
      <rect x="66" y="10" width="68" height="80" rx="3" {...line} />
      <rect x="66" y="26" width="68" height="48" fill="url(#unit-hatch)" stroke="var(--ink)" strokeWidth="2" />
    </>
  ),
  strainer: (
    <>
      <path d="M86 14h28l44 66H42Z" {...line} />
      {[34, 50, 66].map((y) => (
        <line
          key={y}
          x1={100 - (y - 10) * 0.68}
          y1={y}
          x2={100 + (y - 10) * 0.68}
          y2={y}
          {...thin}
          strokeDasharray="2 5"
        />
      ))}
    </>
  ),
  sender: (
    <>
      <rect x="84" y="8" width="36" height="56" {...line} />
      <line x1="102" y1="34" x2="160" y2="76" stroke="var(--ink)" strokeWidth="3.5" />
      <rect x="142" y="68" width="48" height="20" rx="10" {...line} />
      <path d="M178 14a74 74 0 0 1 6 40" {...thin} strokeDasharray="3 5" />
    </>
  ),
  pickup: (
    <>
      <path d="M92 0v80h16V0" {...line} />
      <path d="M80 80h40v10H80z" {...line} />
    </>
  ),
  footValve: (
    <>
      <path d="M72 16h56v20l-18 20v30H90V56L72 36Z" {...line} />
      <rect x="90" y="40" width="20" height="8" fill="var(--ink)" />
    </>
  ),
  filter: (
    <>
      <rect x="56" y="14" width="88" height="68" rx="12" {...line} />
      {[72, 86, 100, 114, 128].map((x) => (
        <line key={x} x1={x} y1="22" x2={x} y2="74" {...thin} />
      ))}
    </>
  ),
};

/** One slice of the axis with its part. */
export function PartShape({ kind }: { kind: PartKind }) {
  return (
    <svg
      viewBox={`0 0 ${SLICE.width} ${SLICE.height}`}
      className="block h-full w-full"
      preserveAspectRatio="xMidYMid meet"
      aria-hidden
    >
      <pattern id="unit-hatch" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <line x1="0" y1="0" x2="0" y2="7" stroke="var(--edge)" strokeWidth="2" />
      </pattern>
      <line
        x1={SLICE.middle}
        y1="0"
        x2={SLICE.middle}
        y2={SLICE.height}
        stroke="var(--edge)"
        strokeWidth="2"
        strokeDasharray="14 4 3 4"
      />
      {shapes[kind]}
    </svg>
  );
}

/** The opening of the tank, at the foot of the axis. */
export function Opening() {
  return (
    <svg viewBox="0 0 200 60" className="block h-full w-full" aria-hidden>
      <line x1="100" y1="0" x2="100" y2="60" stroke="var(--edge)" strokeWidth="2" strokeDasharray="14 4 3 4" />
      <path d="M0 26h200" stroke="var(--ink)" strokeWidth="4" />
      <ellipse cx="100" cy="26" rx="70" ry="17" fill="var(--well)" stroke="var(--ink)" strokeWidth="3" />
    </svg>
  );
}

import type { Chord } from '@iron-cradle/core';

interface SmallWellProps {
  chords: readonly Chord[];
  here: number;
  clear: number;
  up: boolean;
  width?: number;
}

/** The well at 96 × 64: enough to see how much is owed and where the tank hangs. */
export function SmallWell({ chords, here, clear, up, width = 96 }: SmallWellProps) {
  const [left, right, top, floor] = [16, 80, 6, 60];
  const open = chords.filter((c) => c.open);
  const deepest = Math.max(60, here >= clear ? 0 : here, ...open.map((c) => Math.max(c.from, c.by)));
  const y = (drop: number) =>
    drop >= clear ? floor : top + 5 + (Math.min(drop, deepest) / deepest) * (floor - top - 14);
  // Chords that fall on one another are drawn side by side, so that each can be counted.
  const lines = open.map((c, i) => ({
    c,
    shift: open.slice(0, i).filter((o) => o.from === c.from && o.by === c.by).length * 5,
  }));
  return (
    <svg
      viewBox="0 0 96 64"
      width={width}
      height={(width * 64) / 96}
      role="img"
      aria-label={`${open.length} ends open, tank at ${here} mm`}
      className="shrink-0"
    >
      <rect x={left} y={top} width={right - left} height={floor - top} fill="var(--well)" />
      <path d={`M2 ${top}H${left}V${floor}H${right}V${top}H94`} fill="none" stroke="var(--ink)" strokeWidth="2.5" />
      {lines.map(({ c, shift }) => (
        <path
          key={c.key}
          d={`M${left} ${y(c.from) + shift}L${right} ${y(c.by) + shift}`}
          stroke="var(--ink)"
          strokeWidth="3"
        />
      ))}
      <path d={up ? `M${right} ${y(here)}h14` : `M${left - 14} ${y(here)}h14`} stroke="var(--ink)" strokeWidth="5" />
    </svg>
  );
}

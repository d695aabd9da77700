import { crosswise } from '@iron-cradle/core';

interface RoundsProps {
  /** Bolts of it. */
  count: number;
  /** N·m of each round. */
  rounds: readonly number[];
  /** Rounds that are done. */
  done: number;
  onRound: (round: number) => void;
}

/** The bolts in the order they are drawn, and each round a key of its own: one tap a round. */
export function Rounds({ count, rounds, done, onRound }: RoundsProps) {
  const order = crosswise(count);
  const place = (at: number): [number, number] => {
    if (count <= 4) return [40 + (at * 240) / Math.max(1, count - 1), 46];
    const rad = (at / count) * 2 * Math.PI - Math.PI / 2;
    return [160 + 118 * Math.cos(rad), 74 + 54 * Math.sin(rad)];
  };
  return (
    <div className="grid gap-3">
      <svg
        viewBox={count <= 4 ? '0 0 320 92' : '0 0 320 148'}
        className="block w-full max-w-[26rem]"
        role="img"
        aria-label={`drawn in this order: ${order.map((at) => at + 1).join(', ')}`}
      >
        <path
          d={order.map((at, i) => `${i === 0 ? 'M' : 'L'}${place(at).join(' ')}`).join('')}
          fill="none"
          stroke="var(--quiet)"
          strokeWidth="2"
          strokeDasharray="6 5"
        />
        {order.map((at, i) => {
          const [x, y] = place(at);
          return (
            <g key={at} transform={`translate(${x} ${y})`}>
              <path d="M0 -22L19 -11V11L0 22L-19 11V-11Z" fill="var(--sheet)" stroke="var(--ink)" strokeWidth="3" />
              <text textAnchor="middle" y="7" className="reading" fontSize="20" fill="var(--ink)">
                {i + 1}
              </text>
            </g>
          );
        })}
      </svg>
      <div className="grid grid-cols-3 gap-3">
        {rounds.map((torque, i) => (
          <button
            key={torque}
            type="button"
            className={`btn ${i < done ? 'bg-ink text-sheet' : ''}`}
            aria-pressed={i < done}
            data-round={i + 1}
            onClick={() => onRound(i + 1)}
          >
            <span>
              <span className="reading text-20">{torque}</span> N·m
            </span>
          </button>
        ))}
      </div>
    </div>
  );
}

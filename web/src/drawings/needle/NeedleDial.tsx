interface NeedleDialProps {
  /** Share of the needle, and what it means, in words. */
  marks: readonly { needle: number; text: string }[];
  /** Share at which the lamp comes on; null: nobody knows. */
  lamp: number | null;
  /** Where the needle stands. */
  needle?: number;
  /** What it shows, for screen readers. */
  label?: string;
}

/** Middle of the dial, its radius, and how far the needle swings either way from upright, degrees. */
const DIAL = { x: 200, y: 190, r: 130, swing: 62 };

const at = (needle: number, r: number): [number, number] => {
  const rad = (((needle - 0.5) * 2 * DIAL.swing - 90) * Math.PI) / 180;
  return [DIAL.x + r * Math.cos(rad), DIAL.y + r * Math.sin(rad)];
};

/** The gauge of the dash, with what each of its marks means in litres of the tank that goes in. */
export function NeedleDial({
  marks,
  lamp,
  needle: stands = 0,
  label = 'what the needle means in litres',
}: NeedleDialProps) {
  const [from, to] = [at(0, DIAL.r), at(1, DIAL.r)];
  return (
    <svg viewBox="0 0 400 236" className="block w-full max-w-[30rem]" role="img" aria-label={label}>
      <path
        d={`M${from.join(' ')}A${DIAL.r} ${DIAL.r} 0 0 1 ${to.join(' ')}`}
        fill="none"
        stroke="var(--ink)"
        strokeWidth="4"
      />
      {marks.map(({ needle, text }) => {
        const [x1, y1] = at(needle, DIAL.r);
        const [x2, y2] = at(needle, DIAL.r - 20);
        const [tx, ty] = at(needle, DIAL.r + 16);
        return (
          <g key={needle}>
            <path
              d={`M${x1} ${y1}L${x2} ${y2}`}
              stroke="var(--ink)"
              strokeWidth={needle === 0 || needle === 1 ? 6 : 3}
            />
            <text
              x={tx}
              y={ty}
              textAnchor={needle < 0.4 ? 'end' : needle > 0.6 ? 'start' : 'middle'}
              className="reading"
              fontSize="20"
              fill="var(--ink)"
            >
              {text}
            </text>
          </g>
        );
      })}
      <path
        d={`M${DIAL.x} ${DIAL.y}L${at(stands, DIAL.r - 30).join(' ')}`}
        stroke="var(--ink)"
        strokeWidth="5"
        strokeLinecap="square"
      />
      <rect x={DIAL.x - 9} y={DIAL.y - 9} width="18" height="18" fill="var(--ink)" />
      {lamp !== null && (
        <path
          d={`M${at(lamp, DIAL.r - 34).join(' ')}L${at(lamp, DIAL.r - 52).join(' ')}`}
          stroke="var(--look-fill)"
          strokeWidth="9"
        />
      )}
      {(['E', 'F'] as const).map((word) => {
        const [x, y] = at(word === 'E' ? 0 : 1, DIAL.r - 8);
        return (
          <text key={word} x={x} y={y + 34} textAnchor="middle" fontSize="20" className="narrow" fill="var(--quiet)">
            {word === 'E' ? 'empty' : 'full'}
          </text>
        );
      })}
    </svg>
  );
}

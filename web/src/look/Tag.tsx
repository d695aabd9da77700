/**
 * A painted tag with its punched hole: filled while the end is open, hollow once it is closed or not yet off.
 */
export function Tag({
  number,
  open = true,
  size = 'md',
}: {
  number: number | null;
  open?: boolean;
  size?: 'sm' | 'md';
}) {
  const text = number === null ? '–' : String(number);
  const h = size === 'sm' ? 24 : 32;
  const w = (size === 'sm' ? 20 : 28) + text.length * (size === 'sm' ? 10 : 13);
  return (
    <svg width={w} height={h} viewBox={`0 0 ${w} ${h}`} role="img" aria-label={`tag ${text}`} className="shrink-0">
      <TagShape number={text} open={open} w={w} h={h} />
    </svg>
  );
}

/** The tag inside another drawing. */
export function TagShape({ number, open, w, h }: { number: string; open: boolean; w: number; h: number }) {
  const ink = open ? 'var(--sheet)' : 'var(--ink)';
  return (
    <g>
      <rect
        x="1"
        y="1"
        width={w - 2}
        height={h - 2}
        rx="2"
        fill={open ? 'var(--ink)' : 'var(--sheet)'}
        stroke="var(--ink)"
        strokeWidth="1.5"
      />
      <circle cx={h * 0.36} cy={h / 2} r={h * 0.13} fill={open ? ink : 'none'} stroke={ink} strokeWidth="1.5" />
      <text
        x={w - h * 0.24}
        y={h / 2}
        dy="0.36em"
        textAnchor="end"
        fill={ink}
        className="reading"
        fontSize={h * 0.62}
        fontWeight="600"
      >
        {number}
      </text>
    </g>
  );
}

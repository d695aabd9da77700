interface IndexDrawingProps {
  /** Degrees clockwise from the front; of the old flange and of the new one. */
  old: number;
  now: number;
}

const MIDDLE = 130;
const at = (degrees: number, r: number): [number, number] => {
  const rad = ((degrees - 90) * Math.PI) / 180;
  return [MIDDLE + r * Math.cos(rad), MIDDLE + r * Math.sin(rad)];
};

/** The flange from above, front of the vehicle at the top: the old index outside in broken line, the new one inside. */
export function IndexDrawing({ old, now }: IndexDrawingProps) {
  const mark = (degrees: number, r: number) => {
    const [x, y] = at(degrees, r);
    const [a, b] = [at(degrees - 7, r + 20), at(degrees + 7, r + 20)];
    return `M${x} ${y}L${a.join(' ')}L${b.join(' ')}Z`;
  };
  return (
    <svg
      viewBox="20 14 220 230"
      className="block w-full max-w-[18rem]"
      role="img"
      aria-label={`index of the old flange at ${old}°, of the new one at ${now}°`}
    >
      <circle cx={MIDDLE} cy={MIDDLE} r="84" fill="none" stroke="var(--quiet)" strokeWidth="2" strokeDasharray="8 6" />
      <circle cx={MIDDLE} cy={MIDDLE} r="64" fill="var(--well)" stroke="var(--ink)" strokeWidth="4" />
      <circle cx={MIDDLE} cy={MIDDLE} r="14" fill="none" stroke="var(--ink)" strokeWidth="3" />
      <path d={mark(old, 84)} fill="none" stroke="var(--ink)" strokeWidth="3" strokeDasharray="5 4" />
      <path
        d={`M${at(now, 64).join(' ')}L${at(now - 9, 42).join(' ')}L${at(now + 9, 42).join(' ')}Z`}
        fill="var(--ink)"
      />
      <text x={MIDDLE} y="240" textAnchor="middle" className="narrow" fontSize="17" fill="var(--quiet)">
        front of the vehicle is up
      </text>
    </svg>
  );
}

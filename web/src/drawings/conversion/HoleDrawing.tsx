interface HoleDrawingProps {
  /** mm, as far as they were typed. */
  stack: number | null;
  recess: number | null;
  hole: number | null;
  boltCircle: number | null;
  inside: number | null;
  swing: number | null;
  hangs: string;
}

const VIEW = { width: 400, height: 300, face: 168, x: 200 };

/** The place of the hole from the side: the stack against what hangs above it, the bolts, what is inside. */
export function HoleDrawing({ stack, recess, hole, boltCircle, inside, swing, hangs }: HoleDrawingProps) {
  const most = Math.max(stack ?? 40, recess ?? 60, 1);
  const up = 130 / (most * 1.15);
  const across = Math.max(boltCircle ?? 0, hole ?? 0, (swing ?? 0) * 2, (inside ?? 0) * 2, 120);
  const side = 360 / (across * 1.15);
  const half = ((hole ?? 90) / 2) * side;
  const top = VIEW.face - (stack ?? 40) * up;
  const ceiling = recess === null ? null : VIEW.face - recess * up;
  const strikes = ceiling !== null && top < ceiling;
  return (
    <svg viewBox={`0 0 ${VIEW.width} ${VIEW.height}`} className="block w-full" aria-hidden>
      <defs>
        <pattern id="hole-above" width="9" height="9" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <line x1="0" y1="0" x2="0" y2="9" stroke="var(--edge)" strokeWidth="2" />
        </pattern>
      </defs>
      {ceiling !== null && (
        <>
          <path d={`M20 6H380V${ceiling}H20Z`} fill="url(#hole-above)" stroke="var(--ink)" strokeWidth="3" />
          <text x="30" y="26" fontSize="16" fill="var(--ink)" stroke="var(--sheet)" strokeWidth="5" paintOrder="stroke">
            {hangs || 'what is above it'}
          </text>
        </>
      )}
      <path
        d={`M14 ${VIEW.face}H${VIEW.x - half}M${VIEW.x + half} ${VIEW.face}H386`}
        stroke="var(--ink)"
        strokeWidth="5"
      />
      <path
        d={`M${VIEW.x - half - 12} ${VIEW.face - 3}V${VIEW.face - 14}H${VIEW.x + half + 12}V${VIEW.face - 3}Z`}
        fill="var(--sheet)"
        stroke="var(--ink)"
        strokeWidth="3"
      />
      <path
        d={`M${VIEW.x - 26} ${VIEW.face - 14}V${top}h16V${VIEW.face - 14}M${VIEW.x + 8} ${VIEW.face - 14}V${(top + VIEW.face - 14) / 2}h30V${VIEW.face - 14}`}
        fill="var(--sheet)"
        stroke={strikes ? 'var(--halt)' : 'var(--ink)'}
        strokeWidth="3"
      />
      {boltCircle !== null &&
        [-1, 1].map((way) => (
          <rect
            key={way}
            x={VIEW.x + way * (boltCircle / 2) * side - 4}
            y={VIEW.face - 22}
            width="8"
            height="34"
            fill="var(--ink)"
          />
        ))}
      {swing !== null && (
        <path
          d={`M${VIEW.x} ${VIEW.face + 30}A${swing * side} ${swing * side} 0 0 1 ${VIEW.x + swing * side} ${VIEW.face + 30}`}
          transform={`rotate(70 ${VIEW.x} ${VIEW.face + 30})`}
          fill="none"
          stroke="var(--ink)"
          strokeWidth="2"
          strokeDasharray="3 5"
        />
      )}
      {inside !== null && (
        <path
          d={`M${Math.min(392, VIEW.x + inside * side)} ${VIEW.face + 14}V292`}
          stroke="var(--quiet)"
          strokeWidth="4"
        />
      )}
      <path d={`M${VIEW.x} ${VIEW.face}V288`} stroke="var(--edge)" strokeWidth="2" strokeDasharray="14 4 3 4" />
    </svg>
  );
}

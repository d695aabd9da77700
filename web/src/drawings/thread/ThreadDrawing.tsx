interface ThreadDrawingProps {
  thread: { outside: number; pitch: number; taper: boolean };
}

/** mm that the drawing shows along the axis, and its size in px. */
const LONG = 14;
const SIZE = { width: 84, height: 84 };
/** Widest that is drawn, mm. */
const WIDEST = 22;

/** A thread to scale: its size, its pitch and its taper beside the others. */
export function ThreadDrawing({ thread: { outside, pitch, taper } }: ThreadDrawingProps) {
  const along = SIZE.width / LONG;
  const across = SIZE.height / WIDEST;
  const deep = 0.6 * pitch;
  const turns = Math.floor(LONG / pitch);
  // One in sixteen, as pipe threads are.
  const half = (mm: number) => (outside / 2 - (taper ? (LONG - mm) / 32 : 0)) * across;
  const middle = SIZE.height / 2;
  const edge = (side: 1 | -1) =>
    Array.from({ length: turns }, (_, i) => {
      const top = (i + 0.5) * pitch;
      const foot = (i + 1) * pitch;
      return `L${(top * along).toFixed(1)} ${(middle + side * half(top)).toFixed(1)}L${(foot * along).toFixed(1)} ${(middle + side * (half(foot) - deep * across)).toFixed(1)}`;
    }).join('');
  const start = (half(0) - deep * across).toFixed(1);
  return (
    <svg
      viewBox={`0 0 ${SIZE.width} ${SIZE.height}`}
      width={SIZE.width}
      height={SIZE.height}
      className="shrink-0"
      aria-hidden
    >
      <path d={`M0 ${middle - Number(start)}${edge(-1)}`} fill="none" stroke="var(--ink)" strokeWidth="2" />
      <path d={`M0 ${middle + Number(start)}${edge(1)}`} fill="none" stroke="var(--ink)" strokeWidth="2" />
      <line x1="0" y1={middle} x2={SIZE.width} y2={middle} stroke="var(--edge)" strokeDasharray="12 4 3 4" />
    </svg>
  );
}

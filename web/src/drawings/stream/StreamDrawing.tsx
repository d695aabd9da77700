import type { StreamPoint } from '@iron-cradle/core';
import { Paint } from '../../look/Shapes.tsx';

/** One place the fuel comes past, on the drawing. */
export interface DrawnPoint {
  /** Its id. */
  id: StreamPoint;
  /** How it was found; null: nobody looked. */
  is: 'clean' | 'dirty' | null;
  /** It was dirty and is clean now. */
  cleaned: boolean;
  /** In words. */
  text: string;
}

interface StreamDrawingProps {
  points: readonly DrawnPoint[];
  chosen: StreamPoint | null;
  next: StreamPoint | null;
  onChoose: (id: StreamPoint) => void;
  /** What stands under the place in hand. */
  children: React.ReactNode;
}

const names: Record<StreamPoint, string> = {
  tank: 'tank',
  screen: 'screen',
  filterIn: 'filter, in',
  filterOut: 'filter, out',
  lines: 'lines',
  rail: 'rail or pump',
};

/** Specks that lie still, evenly strewn by the plastic number: the same on every screen. */
const specks = Array.from({ length: 30 }, (_, i): [number, number, number] => [
  ((i * 0.7549) % 1) * 96 + 2,
  ((i * 0.5698) % 1) * 56 + 2,
  1.5 + (i % 4) * 0.55,
]);

const shapes: Record<StreamPoint, React.ReactNode> = {
  tank: <path d="M8 6H92c4 0 6 3 6 8v34c0 5-3 8-8 8H10c-5 0-8-3-8-8V14c0-5 2-8 6-8Z" />,
  screen: <path d="M34 4H66L96 56H4Z" />,
  filterIn: <path d="M40 2H60V14H84c4 0 6 3 6 6V60H10V20c0-3 2-6 6-6H40Z" />,
  filterOut: <path d="M10 0H90V40c0 3-2 6-6 6H60V58H40V46H16c-4 0-6-3-6-6Z" />,
  lines: <path d="M40 0H60V60H40Z" />,
  rail: <path d="M4 14H96V44H4ZM18 44h8v14h-8ZM46 44h8v14h-8ZM74 44h8v14h-8Z" />,
};

/** The way of the fuel from the tank to the engine, each place touched where it is: specks where it was dirty. */
export function StreamDrawing({ points, chosen, next, onChoose, children }: StreamDrawingProps) {
  return (
    <ol className="grid" aria-label="the way of the fuel">
      {points.map((point, i) => (
        <li key={point.id}>
          <button
            type="button"
            className={`flex w-full items-stretch text-left ${chosen === point.id ? 'bg-ground outline-3 -outline-offset-3 outline-ink' : ''}`}
            aria-pressed={chosen === point.id}
            data-stream={point.id}
            data-is={point.is ?? 'none'}
            onClick={() => onChoose(point.id)}
          >
            <span className="relative block h-20 w-28 shrink-0">
              <svg viewBox="-6 -10 112 80" className="block h-full w-full" aria-hidden>
                {i > 0 && <path d="M50-10V4" stroke="var(--ink)" strokeWidth="4" />}
                {i < points.length - 1 && <path d="M50 56V70" stroke="var(--ink)" strokeWidth="4" />}
                <clipPath id={`stream-${point.id}`}>{shapes[point.id]}</clipPath>
                <g
                  fill="var(--sheet)"
                  stroke="var(--ink)"
                  strokeWidth="3"
                  strokeLinejoin="round"
                  strokeDasharray={point.is === null ? '5 5' : undefined}
                >
                  {shapes[point.id]}
                </g>
                {(point.is === 'dirty' || point.cleaned) && (
                  <g
                    clipPath={`url(#stream-${point.id})`}
                    fill={point.cleaned ? 'none' : 'var(--ink)'}
                    stroke="var(--ink)"
                  >
                    {specks.map(([x, y, r]) => (
                      <circle key={`${x} ${y}`} cx={x} cy={y} r={r} strokeWidth={point.cleaned ? 0.7 : 0} />
                    ))}
                  </g>
                )}
              </svg>
              {next === point.id && <Paint className="absolute bottom-1 left-1" width={44} />}
            </span>
            <span className="flex min-w-0 flex-1 flex-col justify-center py-2 pl-3 leading-tight">
              <span className="narrow text-20">{names[point.id]}</span>
              <span className="text-quiet">{point.text}</span>
            </span>
          </button>
          {chosen === point.id && children}
        </li>
      ))}
    </ol>
  );
}

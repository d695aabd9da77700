import { lengthIn, shortName, stations, type Chord, type StationId, type UnitSystem } from '@iron-cradle/core';
import { useId } from 'react';
import { Link } from 'react-router';
import { HatchDefs } from '../../look/Shapes.tsx';
import { TagShape } from '../../look/Tag.tsx';
import { layoutWell } from './layout.ts';

/** The parts of a job, as people call them. */
export const stationNames: Record<StationId, string> = {
  plan: 'Plan',
  safe: 'Safe',
  drain: 'Drain',
  drop: 'Drop',
  bench: 'Bench',
  refit: 'Refit',
  prove: 'Prove',
};

interface WellProps {
  chords: readonly Chord[];
  here: number;
  clear: number;
  ahead?: readonly { drop: number; names: string[] }[];
  /** Where the person is; null on paper. */
  station: StationId | null;
  done: readonly StationId[];
  /** Is the tank on its way up? */
  up: boolean;
  /** Base of the station links; left out on paper. */
  to?: (station: StationId) => string;
  width?: number;
  height?: number;
  units?: UnitSystem;
  /** Letters of photos, by what they show: they stand on its chord. */
  letters?: ReadonlyMap<string, string>;
}

/** The well: way down, bench, way up, and a chord for every end that was parted. The job's picture and its navigation. */
export function Well(props: WellProps) {
  const { chords, here, clear, station, done, up, to, width = 240, height = 560, units = 'metric', letters } = props;
  const figure = (mm: number) => lengthIn(mm, units).figure;
  const hatch = useId();
  const at = layoutWell({ chords, here, clear, ahead: props.ahead ?? [], width, height, units });
  const hereY = at.y(here);
  const rim = (x1: number, x2: number) => (
    <>
      <rect x={x1} y={at.top - 9} width={x2 - x1} height="9" fill={`url(#${hatch})`} />
      <path d={`M${x1} ${at.top}H${x2}`} stroke="var(--ink)" strokeWidth="3" />
    </>
  );
  return (
    <nav aria-label="the well of this job" className="relative" style={{ width, height }}>
      <svg viewBox={`0 0 ${width} ${height}`} width={width} height={height} aria-hidden className="absolute inset-0">
        <defs>
          <HatchDefs id={hatch} color="var(--quiet)" />
        </defs>
        {rim(8, at.left)}
        {rim(at.right, width - 8)}
        <rect x={at.left} y={at.top} width={at.right - at.left} height={at.floor - at.top} fill="var(--well)" />
        <path
          d={`M${at.left} ${at.top}V${at.floor}H${at.right}V${at.top}`}
          fill="none"
          stroke="var(--ink)"
          strokeWidth="3"
        />
        {at.broken &&
          [at.left, at.right].map((x) => (
            <g key={x}>
              <path d={`M${x - 7} ${at.floor - 26}h14v9h-14Z`} fill="var(--ground)" />
              <path
                d={`M${x - 7} ${at.floor - 24}l14 -5M${x - 7} ${at.floor - 15}l14 -5`}
                stroke="var(--ink)"
                strokeWidth="1.5"
              />
            </g>
          ))}
        {at.ticks.map((tick) => (
          <g key={tick.drop}>
            <path d={`M${at.left - (tick.label ? 10 : 6)} ${tick.y}H${at.left}`} stroke="var(--ink)" strokeWidth="1" />
            {tick.label && Math.abs(tick.y - hereY) > 15 && (
              <text
                x={at.left - 14}
                y={tick.y + 5}
                textAnchor="end"
                className="reading"
                fontSize="14"
                fill="var(--quiet)"
              >
                {figure(tick.drop)}
              </text>
            )}
          </g>
        ))}
        <path d={`M${at.left} ${hereY}H${at.right}`} stroke="var(--ink)" strokeWidth="1" strokeDasharray="1 4" />
        {at.ahead.map((mark) => (
          <g key={`${mark.drop} ${mark.names.join()}`}>
            <path d={`M${at.left} ${mark.y}h16`} stroke="var(--ink)" strokeWidth="2" />
            <text
              x={at.left + 21}
              y={mark.labelY + 4}
              fontSize="14"
              fill="var(--quiet)"
              stroke="var(--well)"
              strokeWidth="4"
              paintOrder="stroke"
              className="[font-stretch:75%]"
            >
              {mark.names.length > 0 ? shorten(mark.names, at.right - at.left - 21) : `look, ${figure(mark.drop)}`}
            </text>
          </g>
        ))}
        {at.chords.map(({ chord, x1, y1, x2, y2, labelY }) => (
          <g key={chord.key}>
            <path
              d={`M${x1} ${y1}L${x2} ${y2}`}
              stroke="var(--ink)"
              strokeWidth={chord.open ? 3.5 : 1.5}
              strokeDasharray={chord.open ? undefined : '2 5'}
              strokeLinecap="round"
            />
            <path d={`M${x2} ${y2}L${x2 + 8} ${labelY}h3`} stroke="var(--quiet)" strokeWidth="1" fill="none" />
            <Prints letters={letters?.get(chord.key)} x={x1 + (x2 - x1) / 3} y={y1 + (y2 - y1) / 3} />
            <g transform={`translate(${x2 + 11} ${labelY - 11})`}>
              <TagShape number={tagText(chord)} open={chord.open} w={tagWidth(chord)} h={22} />
            </g>
            <text
              x={x2 + 14 + tagWidth(chord)}
              y={labelY + 5}
              fontSize="14"
              fontWeight={chord.open ? 600 : 400}
              fill={chord.open ? 'var(--ink)' : 'var(--quiet)'}
              className="[font-stretch:72%]"
            >
              {cut(chord.name, width - x2 - 14 - tagWidth(chord))}
            </text>
          </g>
        ))}
        <path
          d={up ? `M${at.right - 20} ${hereY}h20` : `M${at.left - 18} ${hereY}h18`}
          stroke="var(--ink)"
          strokeWidth="6"
        />
        <text
          x={at.left - 22}
          y={hereY + 6}
          textAnchor="end"
          className="reading"
          fontSize={units === 'us' ? 14 : 18}
          fontWeight="600"
          fill="var(--ink)"
        >
          {figure(here)}
        </text>
      </svg>
      {stations.map((id) => (
        <Bead
          key={id}
          id={id}
          {...beadPlace(id, at, width)}
          now={station === id}
          done={done.includes(id)}
          {...(to ? { to: to(id) } : {})}
        />
      ))}
    </nav>
  );
}

interface PrintsProps {
  letters: string | undefined;
  x: number;
  y: number;
}

/** A print on a peg, on the chord of what it shows: its letter, and a second edge where there are more. */
const Prints = ({ letters, x, y }: PrintsProps) =>
  letters === undefined ? null : (
    <g transform={`translate(${x - 10} ${y - 9})`}>
      {letters.length > 1 && <path d="M4 -3h20v18" fill="none" stroke="var(--ink)" strokeWidth="1.5" />}
      <rect width="20" height="18" fill="var(--sheet)" stroke="var(--ink)" strokeWidth="1.5" />
      <text x="10" y="13.5" fontSize="14" textAnchor="middle" fill="var(--ink)">
        {letters.slice(0, 1)}
      </text>
    </g>
  );

const tagText = (chord: Chord): string => (chord.tag === null ? '–' : String(chord.tag));
const tagWidth = (chord: Chord): number => 19 + tagText(chord).length * 9;

/** Width of a letter of 14 px, narrowed: bold, and not. px */
const LETTER = { bold: 5.6, plain: 5.2 };
/** What there is room for, px; a name cut off ends in a point. */
const cut = (name: string, room: number, letter = LETTER.bold): string => {
  const letters = Math.floor(room / letter);
  return name.length > letters ? `${name.slice(0, letters - 1).trimEnd()}.` : name;
};

/** The first of them, and how many more, as short as its room wants. */
function shorten(names: readonly string[], room: number): string {
  const [first, more] = [shortName(names[0]!), names.length - 1];
  const { plain } = LETTER;
  if (more === 0) return cut(first, room, plain);
  const whole = `${first}, ${more} more`;
  return whole.length * plain <= room ? whole : `${cut(first, room - 4 * plain, plain)} + ${more}`;
}

function beadPlace(
  id: StationId,
  at: ReturnType<typeof layoutWell>,
  width: number,
): { x: number; y: number; bead: boolean } {
  const x: Record<StationId, number> = {
    plan: 22,
    safe: 62,
    drain: 102,
    prove: width - 28,
    drop: at.left + 22,
    refit: at.right - 22,
    bench: (at.left + at.right) / 2,
  };
  const bead = id === 'plan' || id === 'safe' || id === 'drain' || id === 'prove';
  return { x: x[id], y: bead ? 22 : id === 'bench' ? at.floor + 16 : at.top - 14, bead };
}

function Bead({
  id,
  x,
  y,
  bead,
  now,
  done,
  to,
}: {
  id: StationId;
  x: number;
  y: number;
  bead: boolean;
  now: boolean;
  done: boolean;
  to?: string;
}) {
  const style = { left: x, top: y, transform: 'translate(-50%, -50%)' };
  const body = (
    <>
      <span className={now ? 'font-bold text-ink' : ''}>{stationNames[id]}</span>
      {bead && (
        <span
          aria-hidden
          className={`mx-auto block size-3.5 rounded-[2px] border-2 border-ink ${now ? 'bg-paint' : done ? 'bg-ink' : 'bg-ground'}`}
        />
      )}
    </>
  );
  const look = `absolute block min-w-9 px-1 py-1 text-center text-14 leading-tight [font-stretch:80%] ${now ? '' : 'text-quiet'}`;
  return to ? (
    <Link to={to} className={look} style={style} aria-current={now ? 'step' : undefined}>
      {body}
    </Link>
  ) : (
    <span className={look} style={style}>
      {body}
    </span>
  );
}

import { format } from 'date-fns';
import { wordOf, type Piece } from '../bench/index.ts';
import { LIES, STRAPS } from '../fastener/index.ts';
import { heldTight } from '../hold/index.ts';
import { nameOf, type JobState } from '../job/index.ts';
import { SERVER_DEVICE } from '../kernel/index.ts';
import { inWords, litres, type UnitSystem } from '../quantity/index.ts';
import { unitOf } from '../vehicle/index.ts';
import { wetsOf } from '../proof/index.ts';
import type { JobRecord } from './recordOf.ts';
import type { RecordCell, RecordTable } from './table.ts';

type Reader = { units: UnitSystem };
/** Beside a name: the year stands at the head of the record. */
const when = (iso: string): string => format(new Date(iso), 'd MMM, H:mm');
const moment = (iso: string): string => format(new Date(iso), 'yyyy-MM-dd H:mm');

/**
 * Every joint that was to be seen: how it was seen or held, what wetted it, and by whom.
 *
 * @example jointsTable(record, { units: 'metric' }).rows[0] // ['7', 'feed line', 'dry', 'pump or engine running, 8 L in it', 'Ines Calder']
 */
export function jointsTable({ state, name }: JobRecord, { units }: Reader): RecordTable {
  const seen = state.joints.map((joint): RecordCell[] => [
    numberOf(state, joint.key),
    nameOf(state, joint.key),
    { outcome: joint.verdict.outcome, text: joint.seen },
    // Where nothing wetted it the table says so, not what would have.
    joint.verdict.outcome === 'good'
      ? inWords(wetsOf(state, joint.key).text, units)
      : inWords(joint.verdict.reasons[0]?.text ?? '', units),
    `${name(joint.by)}, ${when(joint.at)}`,
  ]);
  const held = state.openings
    .filter(({ id, key }) => heldTight(state, id) && !state.joints.some((joint) => joint.key === key))
    .map(({ key }) => [
      numberOf(state, key),
      nameOf(state, key),
      { outcome: 'good' as const, text: 'tight' },
      'held, shut off',
      '',
    ]);
  return { title: 'Joints', head: ['no.', 'joint', 'seen', 'what wetted it', 'by'], rows: [...seen, ...held] };
}

const numberOf = (state: JobState, key: string): string =>
  String(state.items.find((item) => item.key === key)?.tag ?? state.numbers[key] ?? '');

/** Torques as they were written, against what the file says. @example torquesTable(record, { units: 'us' }).rows[0] */
export function torquesTable({ state, name }: JobRecord, { units }: Reader): RecordTable {
  return {
    title: 'Torques',
    head: ['of', 'as written', 'N·m', 'file', 'lies on the thread', 'by'],
    rows: state.torques.map(({ key, asWritten, lo, hi, lubricant, lies, strap, verdict, by, at }) => [
      [nameOf(state, key), ...(lies ? [LIES[lies]] : []), ...(strap ? [STRAPS[strap]] : [])].join('; '),
      asWritten,
      lo === undefined ? '' : lo === hi || hi === undefined ? String(lo) : `${lo}–${hi}`,
      verdict.reasons[0]?.limit
        ? inWords(verdict.reasons[0].limit, units)
        : inWords(verdict.reasons[0]?.text ?? '', units),
      lubricant ?? 'not said',
      `${name(by)}, ${when(at)}`,
    ]),
  };
}

/** Parts that came out and went in, with the word that counts of each. @example partsTable(record, { units: 'metric' }).rows[0] */
export function partsTable({ state, name }: JobRecord, { units }: Reader): RecordTable {
  const word = (piece: Piece): RecordCell => {
    const said = wordOf(piece);
    const [why] = said?.verdict.reasons ?? [];
    if (!said || !why) return 'not tried';
    const figure = why.figure ? `, ${inWords(why.figure, units)}` : '';
    return { outcome: said.verdict.outcome, text: `${inWords(why.text, units)}${figure} (${name(said.by)})` };
  };
  const parts = unitOf(state.vehicle).parts.flatMap((part) =>
    (state.pieces[part.id] ?? []).map((piece) => [
      part.name,
      piece.called === null ? 'out, as it was' : `in: ${piece.called}`,
      piece.tag === null ? '' : String(piece.tag),
      word(piece),
    ]),
  );
  const hoses = Object.values(state.replaced).map(({ key, words }) => [nameOf(state, key), 'in, new', '', words ?? '']);
  return { title: 'Parts out and in', head: ['part', 'which', 'no.', 'found'], rows: [...parts, ...hoses] };
}

/** Fuel, movement by movement. @example fuelTable(record, { units: 'metric' }).rows[0] // ['out', '18.5 L', 'can 1, clean', …] */
export function fuelTable({ state, name }: JobRecord, { units }: Reader): RecordTable {
  const amount = (n: number) => inWords([litres(n, n, 1)], units);
  const rows = [
    ...state.pours.map((p) => ({
      at: p.at,
      cells: ['out', amount(p.litres), `can ${p.number}, ${p.clean ? 'clean' : 'suspect'}`, name(p.by)],
    })),
    ...state.fills.map((f) => ({
      at: f.at,
      cells: ['in', amount(f.litres), f.own ? 'its own, from the cans' : 'new', name(f.by)],
    })),
    ...state.moves.map((m) => ({
      at: m.at,
      cells: [
        { spilled: 'spilt', returned: 'put back', disposed: 'disposed of', fedIn: 'came in by itself' }[m.what],
        amount(m.litres),
        m.words ?? '',
        name(m.by),
      ],
    })),
  ].sort((a, b) => (a.at < b.at ? -1 : 1));
  return {
    title: 'Fuel',
    head: ['when', 'which way', 'litres', 'what', 'by'],
    rows: rows.map(({ at, cells }) => [moment(at), ...cells]),
  };
}

/** Longer than this between two entries nobody was at it, min; common practice, no source. */
const AWAY = 30;

/** Minutes of hands by person and day, from the times of their entries. */
function workedIn({ file }: Pick<JobRecord, 'file'>) {
  const days = new Map<string, { by: string; day: string; minutes: number; last: number; count: number }>();
  for (const { by, at, device } of file.entries) {
    if (device === SERVER_DEVICE) continue;
    const [time, day] = [Date.parse(at), format(new Date(at), 'yyyy-MM-dd')];
    const key = `${by} ${day}`;
    const had = days.get(key) ?? { by, day, minutes: 0, last: time, count: 0 };
    const gap = (time - had.last) / 60_000;
    days.set(key, {
      ...had,
      minutes: had.minutes + (gap > 0 && gap <= AWAY ? gap : 0),
      last: Math.max(time, had.last),
      count: had.count + 1,
    });
  }
  return [...days.values()];
}

/** Hands of one person on a job. */
export interface HandsOn {
  /** Person's id. */
  by: string;
  /** As the record names them. */
  name: string;
  /** min */
  minutes: number;
}

/**
 * Minutes of hands on a job, person by person: gaps of more than half an hour are not work.
 *
 * @example handsOn(record) // [{ by: 'ines', name: 'Ines Calder', minutes: 145 }]
 */
export function handsOn(record: Pick<JobRecord, 'file' | 'name'>): HandsOn[] {
  const minutes = new Map<string, number>();
  for (const day of workedIn(record)) minutes.set(day.by, (minutes.get(day.by) ?? 0) + day.minutes);
  return [...minutes].map(([by, sum]) => ({ by, name: record.name(by), minutes: sum }));
}

/**
 * Hours by person and day, to the quarter.
 *
 * @example hoursTable(record).rows[0] // ['Ines Calder', '2026-11-26', '2.25', '41']
 */
export const hoursTable = (record: JobRecord): RecordTable => ({
  title: 'Hours',
  head: ['who', 'day', 'hours', 'entries'],
  rows: workedIn(record).map(({ by, day, minutes, count }) => [
    record.name(by),
    day,
    (Math.round(minutes / 15) / 4).toFixed(2),
    String(count),
  ]),
});

/** Readings of every hold, one after the other; s and Pa as they were read. @example readingsTable(record).rows[0] */
export function readingsTable({ file }: JobRecord): RecordTable {
  const rows = file.entries
    .filter(({ kind }) => kind === 'held')
    .flatMap(({ at, body }) =>
      ((body as { readings?: [number, number][] }).readings ?? []).map(([seconds, pascals]) => [
        at,
        String(seconds),
        String(pascals),
      ]),
    );
  return { title: 'Readings of holds', head: ['entered', 'time s', 'pressure Pa'], rows };
}

import fc from 'fast-check';
import { archetypes } from '../vehicle/index.ts';
import { kinds } from './kinds.ts';
import {
  foldJob,
  foldJobOn,
  logWriter,
  refusalOf,
  type Bodies,
  type Entry,
  type EntryKind,
  type JobState,
} from './index.ts';
import { questions } from './kinds.ts';

/** Kinds that stand in the middle of a log. */
const middle = kinds.filter((kind) => kind.kind !== 'opened' && kind.kind !== 'takeBack' && kind.kind !== 'settled');

/** A kind with a body of its own, sensible or senseless. */
const anySaid = (of: readonly string[] | null): fc.Arbitrary<{ kind: string; body: object }> =>
  fc
    .constantFrom(...middle.filter((kind) => !of || of.includes(kind.kind)))
    .chain((kind) => (kind.arbitrary(fc) as fc.Arbitrary<object>).map((body) => ({ kind: kind.kind, body })));

const entry = (id: string, kind: string, { body, more }: { body: object; more: Partial<Entry> }): Entry =>
  ({
    id,
    jobId: 'job',
    version: 1,
    kind,
    body,
    by: 'ines',
    device: 'd0',
    n: 0,
    at: '2026-01-05T08:00:00.000Z',
    on: null,
    ...more,
  }) as Entry;

const opening = (): object => ({ name: 'Van', complaint: 'pump', vehicle: archetypes[0], gauge: 0.5 });

/** A log of one device, on its way, of up to `most` entries that opens the job first; some take an earlier entry back. */
export const anyLog = (most = 25): fc.Arbitrary<Entry[]> =>
  fc
    .array(fc.oneof({ weight: 6, arbitrary: anySaid(null) }, { weight: 1, arbitrary: fc.nat() }), { maxLength: most })
    .map((list) => [
      entry('e0', 'opened', { body: opening(), more: { n: 1 } }),
      ...list.map((said, i) =>
        typeof said === 'number'
          ? entry(`e${i + 1}`, 'takeBack', { body: { entry: `e${said % (i + 1)}` }, more: { n: i + 2 } })
          : entry(`e${i + 1}`, said.kind, { body: said.body, more: { n: i + 2 } }),
      ),
    ]);

/** Facts and takeBacks two devices enter while both are away, each in its own order. */
interface Queues {
  /** What both hold: numbered. */
  common: Entry[];
  /** One queue a device. */
  queues: [Entry[], Entry[]];
}

const facts = middle
  .map((kind) => kind.kind as string)
  .filter(
    (kind) =>
      !['gate', 'signed', 'addendum', 'countersigned', 'followUpDone', 'reopened', 'shopFigures'].includes(kind),
  );

/** Random pairs of offline queues over a random common log; a takeBack names an entry its device holds. */
export const anyQueues = (mostCommon = 4, most = 4): fc.Arbitrary<Queues> => {
  const said = fc.oneof({ weight: 4, arbitrary: anySaid(facts) }, { weight: 1, arbitrary: fc.nat() });
  return fc
    .tuple(
      fc.array(fc.tuple(anySaid(facts), fc.constantFrom('a', 'b')), { maxLength: mostCommon }),
      fc.array(said, { minLength: 1, maxLength: most }),
      fc.array(said, { minLength: 1, maxLength: most }),
    )
    .map(([before, ...mine]) => {
      const count = { a: 0, b: 0 } as Record<string, number>;
      const common = [entry('c0', 'opened', { body: opening(), more: { device: 'a', n: (count.a = 1), seq: 1 } })];
      for (const [{ kind, body }, device] of before) {
        const seq = common.length + 1;
        const n = (count[device] = (count[device] ?? 0) + 1);
        common.push(entry(`c${seq - 1}`, kind, { body, more: { device, n, seq, on: `c${seq - 2}` } }));
      }
      const on = common.at(-1)?.id ?? null;
      const queueOf = (device: string, list: (number | { kind: string; body: object })[]): Entry[] => {
        const queue: Entry[] = [];
        for (const one of list) {
          const n = (count[device] = (count[device] ?? 0) + 1);
          const id = `${device}${queue.length + 1}`;
          const held = [...common, ...queue];
          const by = { a: 'ines', b: 'bo' }[device] ?? 'ines';
          if (typeof one === 'number')
            queue.push(
              entry(id, 'takeBack', { body: { entry: held[one % held.length]?.id }, more: { device, n, on, by } }),
            );
          else queue.push(entry(id, one.kind, { body: one.body, more: { device, n, on, by } }));
        }
        return queue;
      };
      return { common, queues: [queueOf('a', mine[0]), queueOf('b', mine[1])] };
    });
};

/** What a server has made of the entries that have arrived. */
export interface Delivered {
  /** The state they make. */
  state: JobState;
  /** Those that got a number. */
  log: Entry[];
  /** Those that did not. */
  refused: string[];
}

/** What a server makes of two queues in every order in which they can reach it. Orders that begin alike share what they begin with. */
export function everyDelivery(
  common: readonly Entry[],
  [a, b]: readonly [readonly Entry[], readonly Entry[]],
): Delivered[] {
  const from = (so: Delivered, x: number, y: number): Delivered[] =>
    x === a.length && y === b.length
      ? [so]
      : [
          ...(x < a.length ? from(arrived(so, a[x]!), x + 1, y) : []),
          ...(y < b.length ? from(arrived(so, b[y]!), x, y + 1) : []),
        ];
  return from(before(common), 0, 0);
}

/** What another tablet wrote that held the log up to `on`: the newest of it, where nobody says. @example elsewhere(log, 1, { kind: 'fill', body: { litres: 9 } }) */
export const elsewhere = (
  log: readonly Entry[],
  n: number,
  { kind, body, on = log.at(-1)?.id ?? null }: { kind: string; body: object; on?: string | null },
): Entry =>
  ({
    ...log[0],
    id: `b${n}`,
    seq: undefined,
    device: 'other',
    by: 'bo',
    n,
    kind,
    version: 1,
    body,
    on,
  }) as unknown as Entry;

/** The state these entries make, numbered in this order. */
export function inThisOrder(entries: readonly Entry[]): JobState {
  const whole = entries.map((one, i) => ({ ...one, seq: i + 1 }) as Entry);
  return folded(null, whole, whole);
}

/** What a server makes of entries in the order they arrive: who gets a number, who is refused. */
export const deliver = (common: readonly Entry[], arriving: readonly Entry[]): Delivered =>
  arriving.reduce(arrived, before(common));

const before = (common: readonly Entry[]): Delivered => ({
  state: folded(null, common, common),
  log: [...common],
  refused: [],
});

/** One more arrives: it gets the next number or is refused. */
function arrived({ state, log, refused }: Delivered, one: Entry): Delivered {
  if (refusalOf(state, one)) return { state, log, refused: [...refused, one.id].sort() };
  const more = [...log, { ...one, seq: log.length + 1 } as Entry];
  return { state: folded(state, more, more.slice(-1)), log: more, refused };
}

function folded(base: JobState | null, log: readonly Entry[], fresh: readonly Entry[]): JobState {
  const state = foldJobOn(base, () => log, fresh);
  if (!state) throw new Error('never opened');
  return state;
}

/** A job that is worked entry by entry on one device; takeBacks fold the whole log anew. */
export function jobAt(opened: Partial<Bodies['opened']> = {}) {
  const write = logWriter('job');
  const log: Entry[] = [];
  let state: JobState | null = null;
  const add = (one: Entry): JobState => {
    log.push(one);
    return (state = folded(state, log, [one]));
  };
  const start = { name: 'Van', complaint: 'pump', vehicle: archetypes[0], ...opened } as Bodies['opened'];
  add(write('opened', start));
  return {
    log: <K extends EntryKind>(kind: K, body: Bodies[K]): JobState => add(write(kind, body) as Entry),
    /** The entry that would be written next, without writing it. */
    write,
    add,
    entries: log,
    get state(): JobState {
      if (!state) throw new Error('never opened');
      return state;
    },
  };
}

/** An answer as people say it: the question with its thing, and a word or a figure. */
export function said(question: string, value: string): Bodies['answer'] {
  const asked = questions.find((q) => question === q.id || (q.ofThing && question.startsWith(`${q.id} `)));
  const figure = value !== '' && Number.isFinite(Number(value)) ? Number(value) : value;
  if (!asked) throw new Error(`Nobody asks ${question}.`);
  return { question: asked.id, value: figure, ...(asked.ofThing ? { of: question.slice(asked.id.length + 1) } : {}) };
}

/** A job told entry by entry in a test. */
export interface Told {
  /** As it stands, folded from the start. */
  readonly state: JobState;
  /** Its log so far. */
  readonly log: readonly Entry[];
  /** One more entry; its id. */
  say: <K extends EntryKind>(kind: K, body: Bodies[K]) => string;
  /** Takes an entry back. */
  back: (id: string) => void;
}

/** Begins a job and tells it on. For tests. @example const job = tell({ complaint: 'leak', vehicle: van }) */
export function tell(opened: Omit<Bodies['opened'], 'name'>): Told {
  const write = logWriter('job');
  const log: Entry[] = [write('opened', { name: 'Van', ...opened }) as Entry];
  const add = (entry: Entry) => {
    log.push(entry);
    return entry.id;
  };
  return {
    get state() {
      return foldJob(null, log)!;
    },
    log,
    say: (kind, body) => add(write(kind, body) as Entry),
    back: (id) => void add(write('takeBack', { entry: id }) as Entry),
  };
}

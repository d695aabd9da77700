import type { Sentence } from '../quantity/index.ts';
import { createDraft, finishDraft, freeze, type Draft } from 'immer';
import type { RawEntry } from './entry.ts';
import type { EventName, Events } from './events.ts';
import type { Kind, Moment, Slice } from './kind.ts';
import { knows, whyNotTakenBack } from './knowledge.ts';
import { headOf, Ledgering } from './order.ts';
import { readAs, type Registry } from './registry.ts';
import type { KernelState } from './state.ts';

/** What was folded before takes no part in this: an entry of it is taken back, or what came late to it takes effect. */
export class FoldWhole extends Error {
  constructor() {
    super('Fold the whole log.');
    this.name = 'FoldWhole';
  }
}

/** The parts a fold is made of. */
export interface Parts {
  /** Every kind there is. */
  registry: Registry;
  /** Every slice there is. */
  slices: readonly Slice[];
}

interface Planned {
  entry: RawEntry;
  /** Version it was written in. */
  written: number;
  kind: Kind;
  place: number;
}

/**
 * The state after these entries, in the order given: first the numbered ones, then what is on its way. What counts is
 * resolved from the ids alone, then each counting entry takes effect once. Numbered intentions always count: that was
 * decided when they got their number. `fold(fold(a), b)` equals `fold(a + b)` for every b that takes back or reopens
 * nothing of a.
 *
 * @param base null, or a state folded before by the same build; it is never changed
 * @throws FoldWhole where `base` can't stand, UnknownEntry for what this build does not know
 * @example fold(parts, null, entries)
 */
export function fold<S extends KernelState>(parts: Parts, base: S | null, entries: readonly RawEntry[]): S | null {
  const fresh = unheard(base, entries);
  if (fresh.length === 0) return base;
  const run = new Run<S>(parts, base);
  run.plan(fresh);
  return run.play();
}

/** Leaves out what was folded already. */
function unheard(base: KernelState | null, entries: readonly RawEntry[]): RawEntry[] {
  const ids = new Set<string>();
  const last = base?.lastSeq ?? 0;
  let had: Set<string> | null = null;
  return entries.filter((entry) => {
    if (ids.has(entry.id)) return false;
    ids.add(entry.id);
    if (entry.seq !== undefined && entry.seq <= last) return false;
    had ??= onTheirWay(base);
    return !had.has(entry.id);
  });
}

/** What was folded before it had a number. */
const onTheirWay = (base: KernelState | null): Set<string> =>
  new Set(base && base.unnumbered > 0 ? base.heads.filter((head) => head.seq === null).map((head) => head.id) : []);

/** One run over a batch: what is planned first, then played. */
class Run<S extends KernelState> {
  private planned: Planned[] = [];
  private refused = new Map<string, string>();
  private taken = new Set<string>();
  private ledger: Ledgering;
  private draft: Draft<object> | null;
  private lateHere: Planned[] = [];

  constructor(
    private parts: Parts,
    private base: S | null,
  ) {
    this.ledger = new Ledgering(base);
    this.draft = base ? createDraft(base as object) : null;
  }

  /** Reads every entry and finds out which count. */
  plan(fresh: readonly RawEntry[]): void {
    const before = this.base?.heads.length ?? 0;
    const { heads } = this.ledger;
    let closed = this.base?.closedAt ?? null;
    const late: string[] = [];
    const take = (id: string) => {
      this.taken.add(id);
      const place = this.ledger.placeOf(id);
      if (place >= 0 && place < before) throw new FoldWhole();
    };
    for (const raw of fresh) {
      const { kind, entry } = readAs(this.parts.registry, raw);
      // Only the first entry opens a job: what stands before it is not of it.
      if (heads.length === 0 && kind.kind !== 'opened') continue;
      const place = heads.length;
      const head = headOf(heads, entry, kind);
      const known = closed === null || knows(head, heads[closed] ?? head, closed);
      const numbered = entry.seq !== undefined;
      if (head.names !== null) {
        if (!known) late.push(head.names);
        else {
          const why = numbered ? null : whyNotTakenBack(heads, head, head.names);
          if (why) this.refused.set(entry.id, why);
          else take(head.names);
        }
      }
      this.ledger.add(head);
      this.planned.push({ entry, kind, place, written: raw.version });
      if (kind.closes && numbered) closed = place;
      if (kind.reopens && numbered) {
        closed = null;
        if (this.base && this.base.late.some((l) => !l.stands)) throw new FoldWhole();
        late.splice(0).forEach(take);
      }
    }
  }

  /** Lets what counts take effect, one after the other. */
  play(): S | null {
    for (const planned of this.planned) this.step(planned);
    return this.composed();
  }

  private step(planned: Planned): void {
    const { entry, kind, place } = planned;
    const { ledger } = this;
    ledger.lastSeq = Math.max(ledger.lastSeq, entry.seq ?? 0);
    const head = ledger.heads[place];
    if (!head || this.taken.has(entry.id)) return;
    if (!this.draft) return this.open(planned);
    if (kind.kind === 'opened') return this.refuse(entry.id, 'this job is already open');
    const { closedAt } = ledger;
    const closing = closedAt === null ? null : (ledger.heads[closedAt] ?? null);
    if (closing && closedAt !== null && !kind.afterClosing && !knows(head, closing, closedAt)) {
      ledger.late = [...ledger.late, { id: entry.id, kind: entry.kind, by: entry.by, at: entry.at, stands: false }];
      this.lateHere.push(planned);
      return;
    }
    if (entry.seq === undefined) {
      const why = this.refused.get(entry.id) ?? this.whyNot(entry, kind, closing !== null);
      if (why) return this.refuse(entry.id, why);
    }
    this.takeEffect(planned);
    if (!kind.reopens) return;
    ledger.closedAt = null;
    const stands = new Set(ledger.late.flatMap((late) => (late.stands ? [late.id] : [])));
    for (const one of this.lateHere.splice(0))
      if (!this.taken.has(one.entry.id) && !stands.has(one.entry.id)) this.takeEffect(one);
    ledger.late = ledger.late.filter((late) => late.stands);
  }

  /** What the device itself says to an intention that has no number yet. */
  private whyNot(entry: RawEntry, kind: Kind, closed: boolean): Sentence | null {
    if (closed && !kind.afterClosing) return 'the job is signed';
    if (!kind.refuse) return null;
    const state = this.composed();
    this.draft = createDraft(state as object);
    return kind.refuse(state as never, entry as never)?.text ?? null;
  }

  private refuse(id: string, text: Sentence): void {
    this.ledger.refusedHere = [...this.ledger.refusedHere, { id, text }];
  }

  private open(planned: Planned): void {
    const { entry } = planned;
    const stamp = { id: entry.id, by: entry.by, at: entry.at };
    const parts = this.parts.slices.map((slice) => slice.start(entry.body as object, stamp));
    this.draft = createDraft(Object.assign({ jobId: entry.jobId, twoDevices: {} }, ...parts) as object);
    this.takeEffect(planned);
  }

  /** One entry takes effect: what it meets is found, its slice changes, the others hear of it. */
  private takeEffect({ entry, kind, place, written }: Planned): void {
    const { ledger } = this;
    const { slices } = this.parts;
    const head = ledger.count(place);
    const decided = entry.decided ?? this.decide(kind, entry.body as object);
    const draft = this.draft as Record<string, unknown>;
    const queue: { name: EventName; event: Events[EventName] }[] = [];
    const tell = <N extends EventName>(name: N, event: Events[N]) => void queue.push({ name, event });
    for (const key of ledger.meet(head, place)) tell('unsettled', { key });
    if (kind.kind === 'settled') ledger.settle(entry.body as { key: string; entries: string[] });
    draft.twoDevices = ledger.twoDevices;
    const moment: Moment = {
      id: entry.id,
      by: entry.by,
      at: entry.at,
      entry: decided ? { ...entry, decided } : entry,
      written,
      knew: (id) => {
        const other = ledger.placeOf(id);
        const found = ledger.heads[other];
        return found !== undefined && knows(head, found, other);
      },
    };
    const around = { moment, tell, facts: draft as never };
    kind.apply?.(draft, entry.body as object, around);
    for (let i = 0; i < queue.length; i++) {
      const { name, event } = queue[i] as { name: EventName; event: never };
      for (const slice of slices) slice.hears?.[name]?.(draft, event, around);
    }
    ledger.newest = entry.id;
    if (kind.closes) ledger.closedAt = place;
  }

  private decide(kind: Kind, body: object): RawEntry['decided'] {
    if (!kind.decide) return undefined;
    const state = this.composed();
    this.draft = createDraft(state as object);
    return kind.decide(state as never, body);
  }

  /** The state as it is now: slices, what the kernel keeps, and what follows from both. */
  private composed(): S | null {
    if (!this.draft) return null;
    const state = { ...finishDraft(this.draft), ...this.ledger.kept() } as S;
    for (const slice of this.parts.slices) Object.assign(state, slice.derive?.(state as never));
    this.draft = null;
    return freeze(state);
  }
}

import { freeze } from 'immer';
import type { RawEntry } from './entry.ts';
import { SERVER_DEVICE } from './entry.ts';
import type { Kind } from './kind.ts';
import { placeIn } from './knowledge.ts';
import type { Head, KernelState, LateEntry, TwoDevices } from './state.ts';

/** What is kept of an entry that stands next in the log. */
export function headOf(heads: readonly Head[], entry: RawEntry, kind: Kind): Head {
  const names = kind.kind === 'takeBack' ? (entry.body as { entry: string }).entry : null;
  const target = names === null ? undefined : heads[placeIn(heads, names)];
  // A takeBack writes what its entry wrote.
  const { reads, writes } = target
    ? { reads: [], writes: target.writes }
    : kind.touches(entry.body as object, entry.id);
  return {
    id: entry.id,
    kind: entry.kind,
    by: entry.by,
    device: entry.device,
    n: entry.n,
    seen: placeIn(heads, entry.on),
    seq: entry.seq ?? null,
    reads,
    writes,
    counts: false,
    names,
  };
}

/** So often looking through the heads costs less than a book of all of them. */
const FEW = 4;

/** The kernel’s own part of a state while a batch is folded: copied once, then added to. */
export class Ledgering {
  heads: Head[];
  unnumbered: number;
  lastSeq: number;
  newest: string;
  closedAt: number | null;
  late: readonly LateEntry[];
  refusedHere: KernelState['refusedHere'];
  twoDevices: Record<string, TwoDevices>;
  private touched: Record<string, readonly number[]>;
  private own = new Map<string, number[]>();
  private places: Map<string, number> | null = null;
  private asked = 0;

  constructor(base: KernelState | null) {
    this.heads = [...(base?.heads ?? [])];
    this.unnumbered = base?.unnumbered ?? 0;
    this.lastSeq = base?.lastSeq ?? 0;
    this.newest = base?.newest ?? '';
    this.closedAt = base?.closedAt ?? null;
    this.late = base?.late ?? [];
    this.refusedHere = base?.refusedHere ?? [];
    this.twoDevices = base?.twoDevices ?? {};
    this.touched = base?.touched ?? {};
  }

  /** Puts an entry next in the log. */
  add(head: Head): void {
    this.places?.set(head.id, this.heads.length);
    this.heads.push(freeze(head, true));
    if (head.seq === null) this.unnumbered += 1;
  }

  /** Place of an entry in the log; -1 where it is not there. Asked often, it makes itself a book of them. */
  placeOf = (id: string): number => {
    if (!this.places && this.asked++ < FEW) return placeIn(this.heads, id);
    if (!this.places) this.places = new Map(this.heads.map((head, place) => [head.id, place]));
    return this.places.get(id) ?? -1;
  };

  /** From now on the entry counts. */
  count(place: number): Head {
    const head = freeze({ ...(this.heads[place] as Head), counts: true }, true);
    this.heads[place] = head;
    return head;
  }

  /**
   * Writes down what the entry touches and finds what it meets that its maker did not know: the resources that are open
   * between two devices from now on.
   *
   * @param at its place in the log; what came late takes effect after others, and still stands in its own place
   */
  meet(head: Head, at: number): string[] {
    if (head.device === SERVER_DEVICE) return [];
    const found: string[] = [];
    const keys = new Set([...head.writes, ...head.reads]);
    for (const key of keys) {
      const places = this.placesOf(key);
      const against: string[] = [];
      for (let i = places.length - 1; i >= 0; i--) {
        const other = this.heads[places[i] as number];
        if ((places[i] as number) <= head.seen) break;
        if (!other || other.device === head.device) continue;
        if (!head.writes.includes(key) && !other.writes.includes(key)) continue;
        if (this.twoDevices[key]?.done.includes(other.id)) continue;
        against.push(other.id);
      }
      const after = places.findLastIndex((p) => p < at);
      places.splice(after + 1, 0, at);
      if (against.length === 0) continue;
      found.push(key);
      const had = this.twoDevices[key];
      const open = [...new Set([...(had?.open ?? []), ...against, head.id])].sort();
      const pairs = [...(had?.pairs ?? []), ...against.map((id) => [id, head.id].sort() as [string, string])];
      pairs.sort((a, b) => (a.join() < b.join() ? -1 : 1));
      this.twoDevices = { ...this.twoDevices, [key]: { open, done: had?.done ?? [], pairs } };
    }
    return found.sort();
  }

  /** A question of two devices is answered between the entries named; or late entries stand. */
  settle({ key, entries }: { key: string; entries: readonly string[] }): void {
    if (key === 'late')
      this.late = this.late.map((entry) => (entries.includes(entry.id) ? { ...entry, stands: true } : entry));
    const had = this.twoDevices[key] ?? { open: [], done: [], pairs: [] };
    if (key === 'late') return;
    this.twoDevices = {
      ...this.twoDevices,
      [key]: {
        open: had.open.filter((id) => !entries.includes(id)),
        done: [...new Set([...had.done, ...entries])].sort(),
        pairs: had.pairs.filter((pair) => !pair.some((id) => entries.includes(id))),
      },
    };
  }

  /** What the state keeps. */
  kept(): Omit<KernelState, 'jobId'> {
    const { heads, unnumbered, lastSeq, newest, closedAt, late, refusedHere, twoDevices } = this;
    this.touched = Object.freeze({ ...this.touched, ...Object.fromEntries(this.own) });
    for (const places of this.own.values()) Object.freeze(places);
    this.own.clear();
    return {
      heads: Object.freeze([...heads]) as Head[],
      unnumbered,
      lastSeq,
      newest,
      closedAt,
      late,
      refusedHere,
      twoDevices,
      touched: this.touched,
    };
  }

  /** Places of the entries that touch a resource, to be added to. */
  private placesOf(key: string): number[] {
    let list = this.own.get(key);
    if (!list) this.own.set(key, (list = [...(this.touched[key] ?? [])]));
    return list;
  }
}

import {
  checkBody,
  completed,
  foldJobOn,
  UnknownEntry,
  versionOf,
  type Bodies,
  type Entry,
  type EntryKind,
  type JobState,
} from '@iron-cradle/core';
import { ApiProblem, get } from '../net/api.ts';
import { deviceId, newId } from './device.ts';
import { inOrder } from './inOrder.ts';
import { lineState, setLine, storageFailed } from './line.ts';
import type { JobView } from './jobView.ts';
import { keepConfirmed, onlyHere, putBackOn, putOut, readShelf } from './shelf.ts';
import { deliver, heldInMemory, holdInMemory, onDelivered } from './sender.ts';
import { onTabs } from './tabs.ts';
import { ensureBlock } from './tags.ts';
import { tokenOf } from './tokens.ts';

/** What is entered, by whom, and who said it first where it is entered anew. */
interface Making<K extends EntryKind> {
  by: string;
  kind: K;
  body: Bodies[K];
  said?: { by: string; at: string };
}

/**
 * One job on this device: what the server confirmed, then what is still on its way, folded together. Reads first from
 * the device's own store, so that a reload without a network shows the same.
 */
export class JobStore {
  /** The log from its first entry on, without a gap. */
  private confirmed: Entry[] = [];
  /** Confirmed with a number that does not follow yet: others’ entries in between have still to be heard. */
  private ahead: Entry[] = [];
  private pending: Entry[] = [];
  private base: JobState | null = null;
  private view: JobView = { status: 'loading', number: null, state: null, log: [], putBack: null };
  private listeners = new Set<() => void>();
  private stream: EventSource | null = null;
  private stopHearing: (() => void) | null = null;
  private stopTabs: (() => void) | null = null;
  /** Of the time somebody looks at this job: over once the last of them has left, and another one when somebody comes back. */
  private watched = new AbortController();

  constructor(readonly jobId: string) {}

  snapshot = (): JobView => this.view;

  subscribe = (tell: () => void): (() => void) => {
    if (this.listeners.size === 0) void this.open((this.watched = new AbortController()).signal);
    this.listeners.add(tell);
    return () => {
      this.listeners.delete(tell);
      if (this.listeners.size === 0) this.close();
    };
  };

  /** A page that is left must not hold a connection: a browser has six for one server, and a page put aside keeps its own. */
  private rest = (): void => {
    this.stream?.close();
    this.stream = null;
  };
  private wake = (event: PageTransitionEvent): void => {
    if (event.persisted) void this.catchUp(this.watched.signal);
  };

  /** What it waits for may come when everybody has left again: then nobody is there to listen for, and nothing is begun. */
  private async open(left: AbortSignal): Promise<void> {
    globalThis.addEventListener?.('pagehide', this.rest);
    globalThis.addEventListener?.('pageshow', this.wake);
    this.stopHearing = onDelivered((jobId, accepted, gone) => {
      if (jobId !== this.jobId) return;
      this.pending = this.pending.filter((e) => !gone.includes(e.id));
      this.confirm(accepted);
    });
    this.stopTabs = onTabs((jobId) => void (jobId === this.jobId && this.reread()));
    const before = this.pending;
    await this.reread();
    if (left.aborted) return;
    // What was entered meanwhile stands in the outbox already.
    this.pending = [...this.pending, ...before.filter((e) => !this.pending.some((w) => w.id === e.id))];
    this.show();
    await this.catchUp(left);
  }

  /** Reads what the device holds of this job: at the start, and when another tab has changed it. */
  private async reread(): Promise<void> {
    const had = new Set(this.pending.map((e) => e.id));
    const { held, outgoing } = await readShelf(this.jobId);
    const kept = [...outgoing, ...heldInMemory(this.jobId)];
    // What was entered while it was read is on its way too.
    const meanwhile = this.pending.filter((e) => !had.has(e.id) && !kept.some(({ id }) => id === e.id));
    this.pending = [...kept, ...meanwhile];
    this.confirm(held);
  }

  /** Reads what is new, then listens. Away: tries again until it is heard. */
  private catchUp = async (left: AbortSignal): Promise<void> => {
    if (left.aborted) return;
    const held = this.confirmed.at(-1);
    /** Was more of it taken by the server since this was asked? Then the answer is about a time before, and is asked for anew. */
    const older = () => this.confirmed.at(-1)?.id !== held?.id;
    try {
      const hash = held?.hash;
      const { number, entries, putBack } = await get<{ number: number; entries: Entry[]; putBack?: boolean }>(
        `/jobs/${this.jobId}/entries?since=${this.lastSeq()}${hash ? `&hash=${hash}` : ''}`,
      );
      this.view = { ...this.view, number };
      if (putBack && older()) return await this.catchUp(left);
      if (putBack) await this.replace(entries);
      else await this.keep(entries);
      if (left.aborted) return;
      this.listen(left);
      void ensureBlock(this.jobId);
    } catch (error) {
      const unknown = error instanceof ApiProblem && error.status === 404;
      if (unknown && older()) return this.catchUp(left);
      // The copy that was put back is older than the whole job: what this device holds of it is listed.
      if (unknown && this.confirmed.length > 0) await this.replace([]);
      if (unknown && this.confirmed.length + this.pending.length === 0) {
        this.view = { ...this.view, status: 'missing', number: null, state: null, log: [] };
        this.tell();
        return;
      }
      const said = error instanceof ApiProblem ? error.status : null;
      if (said === 401) setLine({ server: 'signIn' });
      else if (said === 423) setLine({ server: 'pin' });
      // What says no is there: about a job that is still on its way to it.
      else if (said === null || said >= 500) setLine({ server: 'away' });
      setTimeout(() => void this.catchUp(left), 2500);
    }
  };

  private listen(left: AbortSignal): void {
    this.stream?.close();
    this.stream = new EventSource(`/api/jobs/${this.jobId}/events?since=${this.lastSeq()}`);
    let first = true;
    this.stream.onopen = () => {
      setLine({ server: 'here' });
      deliver();
      // Heard again after a silence: the server may stand on another history now.
      if (!first) void this.catchUp(left);
      first = false;
    };
    this.stream.addEventListener(
      'entry',
      (event) => void this.keep([JSON.parse((event as MessageEvent<string>).data) as Entry]),
    );
    this.stream.onerror = () => {
      setLine({ server: 'away' });
      // The browser tries again by itself unless it was told off for good.
      if (this.stream?.readyState === EventSource.CLOSED) setTimeout(() => void this.catchUp(left), 2500);
    };
  }

  private close(): void {
    this.watched.abort();
    globalThis.removeEventListener?.('pagehide', this.rest);
    globalThis.removeEventListener?.('pageshow', this.wake);
    this.rest();
    this.stopHearing?.();
    this.stopHearing = null;
    this.stopTabs?.();
    this.stopTabs = null;
  }

  private lastSeq = (): number => this.confirmed.at(-1)?.seq ?? 0;

  private async keep(entries: Entry[]): Promise<void> {
    await keepConfirmed(entries);
    this.confirm(entries);
  }

  /**
   * The shop’s history was put back from a copy: the server’s stands, also for where the tank hangs. What only this device
   * holds is listed, not folded in; entered again by hand it is a new entry.
   */
  private async replace(entries: Entry[]): Promise<void> {
    const there = new Set(entries.map((e) => e.id));
    const newest = entries.at(-1);
    const at = (newest as { received?: string } | undefined)?.received ?? newest?.at ?? '';
    const only = onlyHere([...this.confirmed, ...this.ahead], there);
    await putBackOn(entries, only);
    setLine({ notTaken: [...lineState().notTaken.filter((one) => !only.some(({ id }) => id === one.id)), ...only] });
    this.confirmed = [];
    this.ahead = [];
    this.base = null;
    this.view = { ...this.view, putBack: at };
    this.confirm(entries);
  }

  /** Somebody read that the history was put back. */
  seenPutBack = (): void => {
    this.view = { ...this.view, putBack: null };
    this.tell();
  };

  /** Adds what follows on; what does not yet is kept aside. */
  private take(entries: readonly Entry[]): void {
    const { follows, waits } = inOrder(this.lastSeq(), [...this.ahead, ...entries]);
    this.confirmed = [...this.confirmed, ...follows];
    this.base = this.folded(this.base, this.confirmed, follows);
    this.ahead = waits;
  }

  private confirm(entries: Entry[]): void {
    this.take(entries);
    const ids = new Set([...this.confirmed, ...this.ahead].map((e) => e.id));
    this.pending = this.pending.filter((e) => !ids.has(e.id));
    this.show();
  }

  private show(): void {
    const later = [...this.ahead, ...this.pending];
    const log = [...this.confirmed, ...later];
    const state = this.folded(this.base, log, later);
    const status = this.view.status === 'missing' ? 'missing' : 'loading';
    this.view = { ...this.view, state, log, status: this.unknown ? 'reload' : state ? 'ready' : status };
    this.tell();
  }

  /** Something in this log is not known here. */
  private unknown = false;

  private folded(base: JobState | null, log: readonly Entry[], fresh: readonly Entry[]): JobState | null {
    try {
      return foldJobOn(base, () => log, fresh);
    } catch (error) {
      if (!(error instanceof UnknownEntry)) throw error;
      this.unknown = true;
      return base;
    }
  }

  private tell(): void {
    this.listeners.forEach((tell) => tell());
  }

  /**
   * Enters something: into the outbox of this device first, shown at once, then on its way.
   *
   * @throws InputError when the body is not as its kind expects
   */
  append<K extends EntryKind>(by: string, kind: K, body: Bodies[K]): Promise<string> {
    return this.enter({ by, kind, body });
  }

  /** Enters anew what the server did not take: by who does it now, saying who said it first. @throws InputError */
  enterAgain(by: string, { kind, body, ...first }: Entry): Promise<string> {
    return this.enter({ by, kind, body, said: { by: first.by, at: first.at } });
  }

  private async enter<K extends EntryKind>({ by, kind, body, said }: Making<K>): Promise<string> {
    const checked = checkBody(kind, completed(this.view.state, kind, body));
    const id = newId();
    const made = (n: number) =>
      ({
        id,
        jobId: this.jobId,
        version: versionOf(kind),
        kind,
        body: checked,
        by,
        device: deviceId(),
        n,
        at: new Date().toISOString(),
        on: this.confirmed.at(-1)?.id ?? null,
        ...(said ? { said } : {}),
      }) as unknown as Entry;
    const token = await tokenOf(by);
    let entry: Entry;
    try {
      entry = await putOut(this.jobId, { least: this.madeHere(), token }, made);
    } catch (error) {
      // Kept on the screen and on its way all the same: no room on the device loses nothing that was said.
      storageFailed(error);
      entry = made(this.madeHere() + 1);
      holdInMemory(entry, token);
    }
    if (!this.pending.some((e) => e.id === id)) this.pending = [...this.pending, entry];
    this.show();
    deliver();
    return id;
  }

  /** How many entries of this device the log knows: a store that was lost does not count from one again. */
  private madeHere(): number {
    const device = deviceId();
    return Math.max(0, ...this.view.log.filter((e) => e.device === device).map((e) => e.n));
  }
}

const stores = new Map<string, JobStore>();

/** The store of a job, one on each page. */
export function jobStore(jobId: string): JobStore {
  let found = stores.get(jobId);
  if (!found) stores.set(jobId, (found = new JobStore(jobId)));
  return found;
}

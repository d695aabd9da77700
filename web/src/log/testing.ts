import 'fake-indexeddb/auto';
import { jest } from '@jest/globals';
import {
  archetypes,
  foldJobOn,
  logWriter,
  refusalOf,
  type Bodies,
  type Entry,
  type EntryKind,
} from '@iron-cradle/core';

/** What the log of the web needs of a browser, and a server in memory that keeps the rules of the real one. */
class Shelf {
  private kept = new Map<string, string>();
  getItem = (key: string) => this.kept.get(key) ?? null;
  setItem = (key: string, value: string) => void this.kept.set(key, value);
}

class Ear {
  static all: Ear[] = [];
  /** What was missed since the number a stream begins after, as the real one tells it first. */
  static missed: (url: string) => Entry[] = () => [];
  static readonly CLOSED = 2;
  readyState = 1;
  caughtUp = false;
  onopen: (() => void) | null = null;
  onerror: (() => void) | null = null;
  private hear = new Map<string, (event: { data: string }) => void>();
  constructor(readonly url: string) {
    Ear.all.push(this);
  }
  addEventListener = (kind: string, hear: (event: { data: string }) => void): void => {
    this.hear.set(kind, hear);
    if (kind === 'entry')
      queueMicrotask(() => {
        Ear.missed(this.url).forEach(this.tell);
        this.caughtUp = true;
      });
  };
  close = () => void (Ear.all = Ear.all.filter((e) => e !== this));
  tell = (entry: Entry) => this.hear.get('entry')?.({ data: JSON.stringify(entry) });
}

Object.assign(globalThis, {
  localStorage: new Shelf(),
  sessionStorage: new Shelf(),
  EventSource: Ear,
  navigator: {},
  window: { addEventListener: () => undefined },
});

/** What a sign-in of a person leaves here. */
export const tokenFor = (person: string): string => `a-token-of-${person}-on-this-device`;

export class Server {
  log: Entry[] = [];
  blocks = new Map<string, number>();
  numbers = new Map<string, number>();
  /** Id of an entry no request with it in can be read. */
  poison: string | null = null;
  /** Answers to it: not readable, or a fault of the server's own. */
  poisoned: 400 | 500 = 400;
  mode: 'up' | 'away' | 'signedOut' | 'broken' | 'faulty' | 'badRequest' | 'locked' = 'up';
  requests: { method: string; path: string; ids: string[] }[] = [];
  /** Who is signed in, and what sign-ins left on this device. */
  signedIn = 'ines';
  ended = new Set<string>();
  /** Until this is over, what was read is on its way: answered as it stood when it was asked. */
  readsWait: Promise<void> | null = null;
  /** Until this is over, what is sent is on its way: taken only then. */
  writesWait: Promise<void> | null = null;

  constructor() {
    Ear.missed = (url) => {
      const since = Number(new URL(url, 'http://shop').searchParams.get('since') ?? 0);
      return this.log.filter((e) => url.includes(e.jobId) && ((e as { seq?: number }).seq ?? 0) > since);
    };
    globalThis.fetch = jest.fn(async (url: unknown, init?: unknown) => {
      const request = (init ?? {}) as RequestInit;
      if (request.method === 'POST' && this.writesWait) await this.writesWait;
      return this.answer(String(url), request);
    }) as never;
  }

  private reply = (status: number, body: unknown) =>
    Promise.resolve(new Response(JSON.stringify(body), { status, headers: { 'Content-Type': 'application/json' } }));

  private answer(url: string, init: RequestInit): Promise<Response> {
    const path = url.replace('/api', '');
    const body = init.body
      ? (JSON.parse(init.body as string) as { entries?: Entry[]; tokens?: (string | null)[] })
      : {};
    this.requests.push({ method: init.method ?? 'GET', path, ids: (body.entries ?? []).map((e) => e.id) });
    if (this.mode === 'away') return Promise.reject(new TypeError('network'));
    if (this.mode === 'signedOut') return this.reply(401, { title: 'Sign in first' });
    if (path === '/session/token' && this.mode !== 'faulty')
      return this.reply(200, { personId: this.signedIn, token: tokenFor(this.signedIn) });
    if (this.mode === 'broken') return this.reply(503, { title: 'Not now' });
    if (this.mode === 'faulty') return this.reply(500, { title: 'A fault of the server' });
    if (this.mode === 'badRequest' && init.method === 'POST')
      return this.reply(400, { title: 'Not as expected', detail: 'entries.id: expected an id' });
    if (this.poison && (body.entries ?? []).some((e) => e.id === this.poison))
      return this.reply(this.poisoned, { title: 'Not as expected', detail: 'entries: expected readable text' });
    const [, , jobId, what] = path.split('?')[0]!.split('/') as [string, string, string, string];
    if (what === 'numbers') {
      const key = path.split('/').at(-1) ?? '';
      if (!this.numbers.has(key)) this.numbers.set(key, 100 + this.numbers.size);
      return this.reply(200, { number: this.numbers.get(key) });
    }
    if (what === 'devices') {
      if (!this.blocks.has(jobId)) this.blocks.set(jobId, this.blocks.size === 0 ? 0 : 1);
      return this.reply(200, { block: this.blocks.get(jobId) });
    }
    const mine = this.log.filter((e) => e.jobId === jobId);
    // The device asks for the PIN: what is on its way goes on, nothing is read.
    if (this.mode === 'locked' && (init.method ?? 'GET') === 'GET') return this.reply(423, { title: 'Locked' });
    if (init.method === 'GET') {
      const since = Number(/since=(\d+)/.exec(path)?.[1] ?? 0);
      const hash = /hash=([^&]+)/.exec(path)?.[1];
      const putBack = since > 0 && hash !== undefined && mine.find((e) => e.seq === since)?.hash !== hash;
      const read =
        mine.length === 0
          ? this.reply(404, { title: 'Not here' })
          : this.reply(200, { number: 1, entries: mine.filter((e) => putBack || e.seq! > since), putBack });
      return this.readsWait ? this.readsWait.then(() => read) : read;
    }
    const accepted: { id: string; seq: number; hash: string }[] = [];
    const refused: unknown[] = [];
    const keptBack: unknown[] = [];
    for (const [i, entry] of (body.entries ?? []).entries()) {
      const token = body.tokens?.[i] ?? '';
      if (token !== tokenFor(entry.by) || this.ended.has(token)) {
        keptBack.push({ id: entry.id, errors: [{ field: 'by', found: entry.by, expected: 'a sign-in of theirs' }] });
        continue;
      }
      const had = this.log.find((e) => e.id === entry.id);
      const now = this.log.filter((e) => e.jobId === jobId);
      const lost = entry.on !== null && !now.some((e) => e.id === entry.on);
      const no =
        had || lost
          ? null
          : refusalOf(
              foldJobOn(null, () => now, now),
              entry,
            );
      const seq = had?.seq ?? now.length + 1;
      if (lost)
        keptBack.push({ id: entry.id, errors: [{ field: 'on', found: entry.on, expected: 'an entry held here' }] });
      else if (no) refused.push({ id: entry.id, ...no });
      else {
        const hash = had?.hash ?? `${entry.id}-after-${now.at(-1)?.hash ?? 'nothing'}`;
        if (!had) this.log.push({ ...entry, seq, hash } as Entry);
        accepted.push({ id: entry.id, seq, hash });
      }
    }
    return this.reply(200, { accepted, refused, keptBack });
  }

  /** The database is put back from a copy that ends with this entry; whoever listens hears a silence, then it again. */
  putBack(jobId: string, seq: number): void {
    this.log = this.log.filter((e) => e.jobId !== jobId || (e.seq ?? 0) <= seq);
    for (const ear of Ear.all.filter((e) => e.url.includes(jobId))) {
      ear.onopen?.();
      ear.onopen?.();
    }
  }

  /** Does somebody listen to this job, and has heard what was missed? */
  listened = (jobId: string): boolean => Ear.all.some((ear) => ear.url.includes(jobId) && ear.caughtUp);

  /** How many listen, to whatever job: a browser has six connections for one server. */
  streams = (): number => Ear.all.length;

  /** What stands on the server is told to whoever listens. */
  hear(jobId: string, seq: number): void {
    const entry = this.log.find((e) => e.jobId === jobId && e.seq === seq)!;
    for (const ear of Ear.all) if (ear.url.includes(jobId)) ear.tell(entry);
  }

  /** Another tablet enters something, and everybody listening hears it. */
  other<K extends EntryKind>(jobId: string, kind: K, body: Bodies[K]): void {
    const mine = this.log.filter((e) => e.jobId === jobId);
    const entry = {
      ...logWriter(jobId, { by: 'bo', device: 'other' })(kind, body),
      id: `other-${this.log.length}`,
      n: mine.length + 1,
      seq: mine.length + 1,
      on: mine.at(-1)?.id ?? null,
    } as unknown as Entry;
    this.log.push(entry);
    for (const ear of Ear.all) if (ear.url.includes(jobId)) ear.tell(entry);
  }
}

export const opened = { name: 'Van 4', complaint: 'pump', vehicle: archetypes[0]!, gauge: 0.5 } as Bodies['opened'];

export async function until(what: () => boolean | Promise<boolean>): Promise<void> {
  // Patient: on a busy machine a second try of the sender may take its time.
  for (const end = Date.now() + 15_000; Date.now() < end;) {
    if (await what()) return;
    await new Promise((resolve) => setTimeout(resolve, 10));
  }
  throw new Error('it did not come to that');
}

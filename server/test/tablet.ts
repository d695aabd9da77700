import type { Entry } from '@iron-cradle/core';
import type { Shop } from '../../e2e/lib/server.ts';

/** A client as a tablet is one: its cookie, its ids. */
export class Tablet {
  private readonly jar = new Map<string, string>();
  private n = 0;

  constructor(
    readonly shop: Shop,
    readonly name: string,
  ) {}

  /** Its cookies, as they go along. */
  get cookieNow(): string {
    return [...this.jar].map(([name, value]) => `${name}=${value}`).join('; ');
  }

  // The answers are of many shapes, and every test says what it expects of its own.
  // eslint-disable-next-line @typescript-eslint/no-explicit-any
  async call(method: string, path: string, body?: unknown): Promise<{ status: number; type: string; json: any }> {
    const response = await fetch(`${this.shop.base}/api${path}`, {
      method,
      headers: { cookie: this.cookieNow, ...(body === undefined ? {} : { 'Content-Type': 'application/json' }) },
      ...(body === undefined ? {} : { body: typeof body === 'string' ? body : JSON.stringify(body) }),
    });
    for (const set of response.headers.getSetCookie()) {
      const [name, value] = set.split(';')[0]!.split('=') as [string, string];
      this.jar.set(name, value);
    }
    const text = await response.text();
    return {
      status: response.status,
      type: response.headers.get('content-type') ?? '',
      json: text ? JSON.parse(text) : null,
    };
  }

  /** All that comes of a stream until it ends. */
  async stream(path: string): Promise<{ status: number; text: string }> {
    const response = await fetch(`${this.shop.base}/api${path}`, { headers: { cookie: this.cookieNow } });
    return { status: response.status, text: await response.text() };
  }

  /** What its sign-ins left on it, by person. */
  readonly tokens = new Map<string, string>();

  async signIn(personId = 'ines', pin = '2580') {
    const answer = await this.call('POST', '/session', { personId, pin });
    if (answer.status !== 201) return answer;
    const { json } = await this.call('POST', '/session/token', { device: this.device });
    this.tokens.set(personId, json.token);
    return answer;
  }

  /** Its id, as long as one has to be. */
  get device(): string {
    return this.name.padEnd(8, '-');
  }

  entry(jobId: string, kind: string, body: unknown, by = 'ines'): Entry {
    this.n += 1;
    return {
      id: `${this.name}-${jobId}-${this.n}`.padEnd(12, 'x'),
      jobId,
      version: 1,
      kind,
      body,
      by,
      device: this.device,
      n: this.n,
      at: new Date(1.7e12 + this.n * 1000).toISOString(),
      on: this.held,
    } as unknown as Entry;
  }

  /** Id of the newest entry of the server this tablet holds; null where it holds none. */
  held: string | null = null;

  append = (jobId: string, entries: unknown[]) => {
    const tokens = entries.map((entry) => this.tokens.get((entry as { by?: string } | null)?.by ?? '') ?? null);
    return this.call('POST', `/jobs/${jobId}/entries`, { entries, tokens });
  };
}

import { setTimeout } from 'node:timers/promises';
import { openShop, type Shop } from '../../e2e/lib/server.ts';
import { moments } from '../src/instruments/moments.ts';
import { Tablet } from './tablet.ts';

/** A simulated meter reads by its own clock, whatever the server or the line does meanwhile. */
describe('the moments at which it reads', () => {
  const some = async (n: number, begin: number, between: (i: number) => void) => {
    const found: number[] = [];
    const over = new AbortController();
    for await (const at of moments({ begin, every: 20, signal: over.signal })) {
      expect(at).toBeLessThanOrEqual(Date.now() + 2);
      found.push(at - begin);
      if (found.length === n) over.abort();
      else between(found.length);
    }
    return found;
  };
  const busy = (ms: number) => {
    const until = Date.now() + ms;
    while (Date.now() < until);
  };

  test('a server that is busy for a while reads late, and every reading', async () => {
    expect(await some(12, Date.now(), (i) => i === 4 && busy(130))).toEqual(
      Array.from({ length: 12 }, (_, i) => i * 20),
    );
  });
  test('what is older than its memory is gone, and it goes on in step', async () => {
    const [first, second] = await some(2, Date.now() - 60_000, () => undefined);
    expect(first).toBeGreaterThan(59_900);
    expect(first! % 20).toBe(0);
    expect(second! - first!).toBe(20);
  });
  test('it ends where nobody listens any more, also while it waits for the next, which is a day off', async () => {
    const over = new AbortController();
    const begin = Date.now();
    const found: number[] = [];
    void setTimeout(30).then(() => over.abort());
    for await (const at of moments({ begin, every: 86_400_000, signal: over.signal })) found.push(at);
    expect(found).toEqual([begin]);
  });
});

describe('a stream of it', () => {
  let shop: Shop;
  let ines: Tablet;
  beforeAll(async () => {
    shop = await openShop();
    ines = new Tablet(shop, 'ines');
    await ines.signIn();
  });
  afterAll(() => shop?.stop());

  /** The first reading of the way up, and the id of the stream. */
  const first = async (headers: Record<string, string>) => {
    const over = new AbortController();
    const response = await fetch(`${shop.base}/api/jobs/demo-van-4/instruments/multimeter/stream?channel=sweepUp`, {
      headers: { cookie: ines.cookieNow, ...headers },
      signal: over.signal,
    });
    let text = '';
    for await (const piece of response.body!.pipeThrough(new TextDecoderStream())) {
      text += piece;
      if (/data: .*\n\n/.test(text)) break;
    }
    over.abort();
    return {
      id: Number(/id: (\d+)/.exec(text)?.[1]),
      ohms: (JSON.parse(/data: (.*)/.exec(text)![1]!) as { value: number }).value,
    };
  };

  test('begins at the stop; who lost the line and comes back finds the arm where it is by then', async () => {
    const asked = Date.now();
    const begun = await first({});
    expect(begun.id).toBeGreaterThanOrEqual(asked);
    expect(begun.id).toBeLessThanOrEqual(Date.now());
    const since = Date.now() - 8_500;
    const later = await first({ 'Last-Event-ID': String(since) });
    const heard = Date.now();
    const top = await first({ 'Last-Event-ID': String(Date.now() - 20_000) });
    const share = (later.ohms - begun.ohms) / (top.ohms - begun.ohms);
    // A second at the stop and ten for the way: asked after 7.5 s of them it is past three quarters, and no further
    // than it was when it was heard.
    expect(share).toBeGreaterThan(0.72);
    expect(share).toBeLessThan((heard - since - 1_000) / 10_000 + 0.03);
  });
});

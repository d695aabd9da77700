import type { Page } from 'puppeteer-core';
import { launch, Person, wide } from '../e2e/lib/browser.ts';
import { openShop } from '../e2e/lib/server.ts';

interface TraceEvent {
  name: string;
  ph: string;
  pid: number;
  tid: number;
  ts: number;
  dur?: number;
  args?: { name?: string };
}

/** Something that is dragged on a screen. */
interface Dragged {
  /** What it is. */
  what: string;
  /** Where it stands. */
  path: string;
  /** What is taken hold of. */
  handle: string;
  /** How far it is moved up and down from where it is taken, px. */
  reach: number;
  /** How many times slower the processor is made. */
  slowed: number;
}

const DRAGGED: readonly Dragged[] = [
  {
    what: 'dragging the level',
    path: '/jobs/demo-minibus/drain',
    handle: '[data-action=drag-level]',
    reach: 200,
    slowed: 1,
  },
  {
    what: 'dragging a point of a hose, processor slowed six times',
    path: '/jobs/demo-minibus/bench?hoses=line:filler',
    handle: '[data-hose-point="1"]',
    reach: 60,
    slowed: 6,
  },
];

/** A frame at sixty a second, ms. */
const FRAME = 1000 / 60;

/**
 * Dragging in the drawings, by the browser’s own trace: how long the main thread is busy for each move, against a frame. Needs the web to be
 * built.
 */
export async function benchDrag(): Promise<void> {
  const shop = await openShop();
  const browser = await launch();
  try {
    const ines = await Person.at(browser, shop.base, wide);
    // The runner marks functions by their names; a page does not know how.
    await ines.page.evaluateOnNewDocument('globalThis.__name = (f) => f');
    await ines.signIn('Ines', '2580');
    for (const one of DRAGGED) {
      await ines.go(one.path);
      const { tasks, own } = await whileDragged(ines.page, one);
      console.log(`${one.what}: the product’s own work for a move   ${spread(own)}`);
      console.log(`${one.what}: with what the browser draws   ${spread(tasks)}`);
    }
  } finally {
    await browser.close();
    await shop.stop();
  }
}

/** Times, ms, as shares of a frame. */
function spread(times: readonly number[]): string {
  const sorted = [...times].sort((a, b) => a - b);
  const at = (share: number) =>
    ((sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))] ?? 0) / FRAME).toFixed(2);
  return `median ${at(0.5)}, 95 % ${at(0.95)}, longest ${at(1)} × a frame, of ${sorted.length}`;
}

/** How long the main thread was busy, each time it was, while something was dragged up and down; and how long with what is ours. ms */
async function whileDragged(
  page: Page,
  { handle: selector, reach, slowed }: Dragged,
): Promise<{ tasks: number[]; own: number[] }> {
  const handle = (await page.waitForSelector(selector))!;
  const box = (await handle.boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.emulateCPUThrottling(slowed);
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.tracing.start({
    categories: ['devtools.timeline', 'disabled-by-default-devtools.timeline', 'toplevel'],
  });
  for (let i = 0; i < 120; i++) {
    await page.mouse.move(x, y + ((i * 37) % reach));
    await new Promise((resolve) => setTimeout(resolve, 12));
  }
  const trace = await page.tracing.stop();
  await page.mouse.up();
  await page.emulateCPUThrottling(null);
  const { traceEvents } = JSON.parse(new TextDecoder().decode(trace)) as { traceEvents: TraceEvent[] };
  const mains = new Set(
    traceEvents
      .filter((e) => e.ph === 'M' && e.name === 'thread_name' && e.args?.name === 'CrRendererMain')
      .map(({ pid, tid }) => `${pid} ${tid}`),
  );
  const here = traceEvents.filter((e) => e.ph === 'X' && mains.has(`${e.pid} ${e.tid}`));
  // A task stands in the trace once for each of its names, one in the other.
  const tasks = outermost(here.filter((e) => /RunTask$/.test(e.name) && (e.dur ?? 0) > 500));
  const calls = outermost(
    here.filter((e) => ['EventDispatch', 'TimerFire', 'FireAnimationFrame', 'FunctionCall'].includes(e.name)),
  );
  const own = tasks.map((task) =>
    calls.filter((e) => e.ts >= task.ts && e.ts < task.ts + task.dur!).reduce((sum, e) => sum + (e.dur ?? 0), 0),
  );
  const ms = (list: readonly number[]) => list.map((us) => us / 1000);
  return { tasks: ms(tasks.map((e) => e.dur!)), own: ms(own.filter((us) => us > 0)) };
}

/** Those that lie in none of the others. */
function outermost(events: readonly TraceEvent[]): TraceEvent[] {
  const out: TraceEvent[] = [];
  for (const event of [...events].sort((a, b) => a.ts - b.ts || (b.dur ?? 0) - (a.dur ?? 0))) {
    const last = out.at(-1);
    if (!last || event.ts >= last.ts + (last.dur ?? 0)) out.push(event);
  }
  return out;
}

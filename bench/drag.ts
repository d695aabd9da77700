import type { Page } from 'puppeteer-core';
import { launch, Person, wide } from '../e2e/lib/browser.ts';
import { openShop } from '../e2e/lib/server.ts';

interface TraceEvent {
  name: string;
  ph: string;
  pid: number;
  tid: number;
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
      const tasks = await tasksWhile(ines.page, one);
      const at = (share: number) => tasks[Math.min(tasks.length - 1, Math.floor(tasks.length * share))] ?? 0;
      console.log(
        `${one.what}, ${tasks.length} tasks of the main thread   median ${(at(0.5) / FRAME).toFixed(2)}, 95 % ${(at(0.95) / FRAME).toFixed(2)}, longest ${(at(1) / FRAME).toFixed(2)} × a frame`,
      );
    }
  } finally {
    await browser.close();
    await shop.stop();
  }
}

/** How long each task of the main thread took while it was dragged up and down, ms, the shortest first. */
async function tasksWhile(page: Page, { handle: selector, reach, slowed }: Dragged): Promise<number[]> {
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
  return traceEvents
    .filter((e) => mains.has(`${e.pid} ${e.tid}`))
    .filter((e) => e.ph === 'X' && /RunTask$/.test(e.name) && (e.dur ?? 0) > 500)
    .map((e) => e.dur! / 1000)
    .sort((a, b) => a - b);
}

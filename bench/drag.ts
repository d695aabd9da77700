import { launch, Person, wide } from '../e2e/lib/browser.ts';
import { openShop } from '../e2e/lib/server.ts';

interface TraceEvent {
  name: string;
  ph: string;
  dur?: number;
}

/** A frame at sixty a second, ms. */
const FRAME = 1000 / 60;

/**
 * Dragging the level in the drawn tank, by the browser’s own trace: how long the main thread is busy for each move, against
 * a frame. Needs the web to be built.
 */
export async function benchDrag(): Promise<void> {
  const shop = await openShop();
  const browser = await launch();
  try {
    const ines = await Person.at(browser, shop.base, wide);
    // The runner marks functions by their names; a page does not know how.
    await ines.page.evaluateOnNewDocument('globalThis.__name = (f) => f');
    await ines.signIn('Ines', '2580');
    await ines.go('/jobs/demo-minibus/drain');
    const handle = (await ines.page.waitForSelector('[data-action=drag-level]'))!;
    const box = (await handle.boundingBox())!;
    const x = box.x + box.width / 2;
    await ines.page.mouse.move(x, box.y + 10);
    await ines.page.mouse.down();
    await ines.page.tracing.start({
      categories: ['devtools.timeline', 'disabled-by-default-devtools.timeline', 'toplevel'],
    });
    for (let i = 0; i < 120; i++) {
      await ines.page.mouse.move(x, box.y + 10 + ((i * 37) % (box.height - 20)));
      await new Promise((resolve) => setTimeout(resolve, 12));
    }
    const trace = await ines.page.tracing.stop();
    await ines.page.mouse.up();
    const { traceEvents } = JSON.parse(new TextDecoder().decode(trace)) as { traceEvents: TraceEvent[] };
    const tasks = traceEvents
      .filter((e) => e.ph === 'X' && /RunTask$/.test(e.name) && (e.dur ?? 0) > 500)
      .map((e) => e.dur! / 1000)
      .sort((a, b) => a - b);
    const at = (share: number) => tasks[Math.min(tasks.length - 1, Math.floor(tasks.length * share))] ?? 0;
    console.log(
      `dragging the level, ${tasks.length} tasks of the main thread   median ${(at(0.5) / FRAME).toFixed(2)}, 95 % ${(at(0.95) / FRAME).toFixed(2)}, longest ${(at(1) / FRAME).toFixed(2)} × a frame`,
    );
  } finally {
    await browser.close();
    await shop.stop();
  }
}

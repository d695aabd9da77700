import { launch, Person, wide } from '../e2e/lib/browser.ts';
import { openShop } from '../e2e/lib/server.ts';
import { Tablet } from '../server/test/tablet.ts';
import { middle, row } from './lib.ts';

const JOB = 'demo-van-4';
const PAGE = `/jobs/${JOB}/drop`;
/** What stands once the job is there. */
const THERE = '[data-height]';
const [SHORT, LONG] = [50, 5_000];
const RUNS = 9;

/** Opening a job of 5,000 entries against one of 50, in the browser, until its next stop stands there. Needs the web to be built. */
export async function benchOpen(): Promise<void> {
  const shop = await openShop();
  const browser = await launch();
  try {
    const bo = new Tablet(shop, 'bench-open');
    await bo.signIn('bo', '1470');
    const held = async () => {
      const { entries } = (await bo.call('GET', `/jobs/${JOB}/entries`)).json as { entries: { id: string }[] };
      bo.held = entries.at(-1)!.id;
      return entries.length;
    };
    const upTo = async (length: number) => {
      for (let had = await held(); had < length; had = await held()) {
        const at = new Date().toISOString();
        const some = Array.from({ length: Math.min(100, length - had) }, () => ({
          ...bo.entry(JOB, 'note', { text: 'seen, nothing to do' }, 'bo'),
          at,
        }));
        const { json } = await bo.append(JOB, some);
        if (json.accepted.length !== some.length) throw new Error('not all were taken');
      }
    };
    /** ms on a device that has not seen the job, and on one that has. */
    const opened = async () => {
      const [first, again]: [number[], number[]] = [[], []];
      for (let i = 0; i < RUNS; i++) {
        const context = await browser.createBrowserContext();
        const page = await context.newPage();
        await page.evaluateOnNewDocument('globalThis.__name = (f) => f');
        await page.setViewport(wide);
        const ines = new Person(page, shop.base);
        await ines.signIn('Ines', '2580');
        for (const times of [first, again]) {
          await ines.go('/');
          const from = performance.now();
          await page.goto(shop.base + PAGE, { waitUntil: 'domcontentloaded' });
          await page.waitForSelector(THERE);
          times.push(performance.now() - from);
        }
        await context.close();
      }
      return { first: middle(first), again: middle(again) };
    };
    await upTo(SHORT);
    const short = await opened();
    await upTo(LONG);
    const long = await opened();
    row(`opening a job of ${LONG} entries, new to the device`, long.first, `of ${SHORT}`, short.first);
    row(`opening it again`, long.again, `of ${SHORT}`, short.again);
  } finally {
    await browser.close();
    await shop.stop();
  }
}

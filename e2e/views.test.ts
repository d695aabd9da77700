import { Person, phone, signedIn, upright, wide, type Browsing } from './lib/browser.ts';
import type { Shop } from './lib/server.ts';
import { atWork } from './lib/atWork.ts';
import { inTheme } from './lib/inTheme.ts';
import { overlaps } from './lib/overlaps.ts';

let shop: Shop;
let browser: Browsing;
let ines: Person;

/** Every view, where it is found in the demo shop, and what stands on it. */
const views: [name: string, path: string, sees: string][] = [
  ['bays', '/', 'Next vehicle'],
  ['first-contact', '/next', 'What do you see from below?'],
  ['shop', '/shop', 'The shop’s own rules'],
  ['call', '/jobs/demo-van-9/plan', 'Ask the vehicle'],
  ['quote', '/jobs/demo-van-9/quote', 'Without options'],
  ['labels', '/jobs/demo-van-4/labels', 'Print them'],
  ['owner', '/jobs/demo-pickup-2/owner', 'your word is needed'],
  ['do-not-fill', '/jobs/demo-pickup-2/labels', 'Do not fill'],
  ['make-safe', '/jobs/demo-van-9/safe', 'Is the pressure out?'],
  ['drain', '/jobs/demo-van-4/drain', 'Where it goes'],
  ['drop', '/jobs/demo-van-4/drop', 'Something holds'],
  ['held', '/jobs/demo-minibus/drop', 'holds it at'],
  ['two-tablets', '/jobs/demo-van-12/drop', 'Two devices say different things'],
  ['bench', '/jobs/demo-pickup-2/bench', 'On the bench'],
  ['bad-fuel', '/jobs/demo-pickup-5/bench', 'How far the dirt went'],
  ['conversion', '/jobs/demo-pickup-7/bench', 'Before it is changed'],
  ['threads', '/threads', 'Which thread is it?'],
  ['refit', '/jobs/demo-pickup-2/refit', 'Gate 3 is open'],
  ['prove', '/jobs/demo-pickup-2/prove', 'still owed'],
  ['record', '/jobs/demo-saloon/record', 'Signed'],
  ['sheet', '/jobs/demo-van-9/sheet', 'Save as SVG'],
  ['vehicles', '/vehicles', 'What the shop knows'],
  ['vehicle', '/vehicles/van-4', 'Keep it'],
  ['missing', '/nowhere', 'There is no such page'],
];

const work = atWork(wide);
beforeAll(() => ({ shop, browser, ines } = work));

const show = (path: string, sees: string, theme: 'day' | 'night') => inTheme(ines, theme)(path, sees);

/** The look as it is chosen in another tab: nothing is loaded anew. */
async function look(theme: 'day' | 'night', text: 100 | 150): Promise<void> {
  await ines.page.evaluate(
    (t, size) => {
      localStorage.setItem('cradle-theme', t);
      localStorage.setItem('cradle-text', String(size));
      dispatchEvent(new StorageEvent('storage'));
    },
    theme,
    text,
  );
  await ines.stands(`html[data-theme=${theme}][data-text="${text}"]`);
  await ines.page.evaluate(() => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done))));
}

describe('every view, on every screen, in either theme, opened once on each', () => {
  test.each(views)('%s has no serious fault, does not move sideways, and is read at 150 %%', async (_, path, sees) => {
    for (const [size, viewport] of Object.entries({ wide, phone, upright })) {
      await ines.page.setViewport(viewport);
      await ines.go(path);
      for (const [theme, text] of size === 'phone'
        ? ([
            ['night', 100],
            ['day', 150],
            ['day', 100],
          ] as const)
        : ([
            ['night', 100],
            ['day', 100],
          ] as const)) {
        await look(theme, text);
        await ines.sees(sees);
        const seen = {
          faults: size === 'upright' || text !== 100 ? [] : await ines.seriousFaults(),
          sideways: Math.max(0, await ines.sideways()),
          // On a phone nothing lies over what is read.
          over: size === 'phone' && theme === 'day' ? await overlaps(ines.page) : [],
        };
        expect({ size, theme, text, ...seen }).toEqual({ size, theme, text, faults: [], sideways: 0, over: [] });
      }
    }
  });
  test('the longest line of a call keeps clear of its button', async () => {
    await ines.page.setViewport(phone);
    await ines.go('/next');
    for (const word of ['In the wing', 'Diesel', 'Level']) await ines.tapText(word);
    await ines.tap('::-p-xpath(//button[contains(normalize-space(.), "The call")])');
    await ines.sees('h and more');
    expect(await overlaps(ines.page)).toEqual([]);
  });
});

test('sign-in has no serious fault either', async () => {
  const context = await browser.createBrowserContext();
  const page = await context.newPage();
  await page.setViewport(phone);
  const before = ines;
  ines = new Person(page, shop.base);
  await ines.go('/sign-in');
  await ines.sees('Who is working?');
  expect(await ines.seriousFaults()).toEqual([]);
  expect(await ines.sideways()).toBeLessThanOrEqual(0);
  ines = before;
  await context.close();
});

test('paper is day ink whatever the theme, and a can’s label is a page of its own size', async () => {
  await ines.page.setViewport(wide);
  await show('/jobs/demo-van-4/labels', 'Print them', 'night');
  await ines.page.emulateMediaType('print');
  const ink = await ines.page.$eval('[data-label]', (e) => getComputedStyle(e).color);
  expect(ink).toBe('rgb(20, 28, 30)');
  const pdf = Buffer.from(await ines.page.pdf({ preferCSSPageSize: true })).toString('latin1');
  await ines.page.emulateMediaType();
  // 100 × 150 mm are 283.46 × 425.2 points; one page a can.
  const boxes = [...pdf.matchAll(/\/MediaBox \[0 0 ([\d.]+) ([\d.]+)\]/g)].map((m) => [Number(m[1]), Number(m[2])]);
  // Tags to cut out follow on sheets of their own.
  const labels = boxes.filter(([width]) => width! < 400);
  expect(labels).toHaveLength((await ines.page.$$('[data-label]')).length);
  expect(boxes.length).toBeGreaterThan(labels.length);
  for (const [width, height] of labels) {
    expect(width! / 283.46).toBeCloseTo(1, 2);
    expect(height! / 425.2).toBeCloseTo(1, 2);
  }
});

test('a signed job is found again from the bays; a station that fails keeps the job’s bar and says reload', async () => {
  const bo = await signedIn(browser, shop.base, { viewport: wide });
  await bo.tap('[data-action=find]');
  await bo.type('Vehicle or plate', 'saloon');
  await bo.stands('a[href="/jobs/demo-saloon/record"]');
  await bo.type('Vehicle or plate', 'no such thing');
  await bo.sees('None was signed that fits');
  await bo.page.browserContext().close();
  // What of the application could not be had: on a device that has nothing of it yet.
  const other = await (await browser.createBrowserContext()).newPage();
  const late = new Person(other, shop.base);
  await other.setViewport(wide);
  await other.setBypassServiceWorker(true);
  await other.setRequestInterception(true);
  other.on('request', (request) => void (/Bench-/.test(request.url()) ? request.abort() : request.continue()));
  await late.signIn('Ines', '2580');
  await late.go('/jobs/demo-pickup-2/prove');
  await late.go('/jobs/demo-pickup-2/bench');
  await late.sees('This station could not be shown');
  await late.sees('Pickup 2');
  await other.browserContext().close();
});

test('nothing threw an error on any view', () => expect(ines.errors).toEqual([]));

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

describe.each([
  ['wide', wide],
  ['phone', phone],
  ['upright', upright],
] as const)('%s', (size, viewport) => {
  beforeAll(() => ines.page.setViewport(viewport));
  test.each(views)('%s has no serious fault in either theme and does not move sideways', async (_, path, sees) => {
    for (const theme of ['day', 'night'] as const) {
      await show(path, sees, theme);
      if (size !== 'upright') expect(await ines.seriousFaults()).toEqual([]);
      expect(await ines.sideways()).toBeLessThanOrEqual(0);
    }
  });
});

describe('on a phone, text as it is and at 150 %', () => {
  beforeAll(() => ines.page.setViewport(phone));
  test.each(views)('%s does not move sideways, and nothing lies over what is read', async (_, path, sees) => {
    for (const text of ['100', '150']) {
      await ines.page.evaluate((t) => localStorage.setItem('cradle-text', t), text);
      try {
        await show(path, sees, 'day');
        expect(await overlaps(ines.page)).toEqual([]);
        expect(await ines.sideways()).toBeLessThanOrEqual(0);
      } finally {
        await ines.page.evaluate(() => localStorage.setItem('cradle-text', '100'));
      }
    }
  });
  test('the longest line of a call keeps clear of its button', async () => {
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

test('what a hand must hit is at least 64 px, the main action 72 and low on a phone', async () => {
  await ines.page.setViewport(phone);
  await show('/jobs/demo-van-4/drop', 'Something holds', 'day');
  const box = async (selector: string) => (await (await ines.page.waitForSelector(selector))!.boundingBox())!;
  const main = await box('[data-action=as-said]');
  expect(main.height).toBeGreaterThanOrEqual(72);
  expect(main.y).toBeGreaterThan(844 * 0.55);
  for (const selector of [
    '[data-action=holds]',
    '[data-action=nearer]',
    '[data-action=further]',
    '[data-action=off]',
    '[data-tick]',
  ])
    expect((await box(selector)).height).toBeGreaterThanOrEqual(64);
});

const inSight = {
  drop: 'section[aria-label="to do here, and room left"] li',
  refit: 'ol[aria-label="to make here"] li',
};
/** Four rows of a list stand wholly in sight, with the height and the main action. */
async function fourRows(
  size: Parameters<Person['page']['setViewport']>[0] & object,
  text: number,
  at: [station: keyof typeof inSight, path: string, sees: string, main: string],
): Promise<void> {
  const [station, path, sees, main] = at;
  await ines.page.setViewport(size);
  await ines.page.evaluate((t) => localStorage.setItem('cradle-text', String(t)), text);
  await show(path, sees, 'day');
  await ines.stands(inSight[station]);
  // With large text the first row is scrolled under the height that stays.
  if (text > 100)
    await ines.page.evaluate((rows) => {
      const row = document.querySelector(rows)!;
      const head = document.querySelector('.tank-head')!;
      row.scrollIntoView({ block: 'start' });
      const by = row.getBoundingClientRect().top - head.getBoundingClientRect().bottom;
      document.querySelector('.tank-grid')!.scrollBy(0, by);
      scrollBy(0, by);
    }, inSight[station]);
  const seen = await ines.page.evaluate(
    (height, rows, action) => {
      const top = document.querySelector('.tank-head')!.getBoundingClientRect();
      const foot = document.querySelector(`[data-action="${action}"]`)!.getBoundingClientRect();
      const wholly = (e: Element) => {
        const box = e.getBoundingClientRect();
        // What is really on top there, at its upper and at its lower edge.
        return [box.top + 3, box.bottom - 3].every((y) => {
          const hit = document.elementFromPoint(box.left + box.width / 3, y);
          return hit !== null && e.contains(hit);
        });
      };
      const shown = [...document.querySelectorAll(rows)].filter(wholly).length;
      return { rows: shown, height: top.top >= 0, main: foot.bottom <= height };
    },
    size.height,
    inSight[station],
    main,
  );
  await ines.page.evaluate(() => localStorage.setItem('cradle-text', '100'));
  expect(seen.rows).toBeGreaterThanOrEqual(4);
  expect(seen).toMatchObject({ height: true, main: true });
}

const sizes = [
  ['a phone', { ...phone }],
  ['a screen', { ...wide }],
  ['an upright tablet', { width: 1024, height: 1366 }],
] as const;

describe.each([
  ['drop', '/jobs/demo-van-9/drop', 'Gate 1 is open', 'to-gate'],
  ['refit', '/jobs/demo-pickup-2/refit', 'Gate 3 is open', 'to-gate'],
] as const)('%s with a gate open says so', (...at) => {
  test.each(sizes)('on %s, four rows in sight', (_, size) => fourRows(size, 100, [...at]));
});

test('what is off is a tap away on a phone, also while gate 3 stands before the way back', async () => {
  await ines.page.setViewport(phone);
  await show('/jobs/demo-pickup-2/refit', 'Gate 3 is open', 'day');
  await ines.tap('[data-action=off]');
  await ines.sees('In the order of going back');
  await ines.page.keyboard.press('Escape');
});

test('beside a job’s name its station stands so that it can be read, or not at all', async () => {
  await ines.page.setViewport(phone);
  for (const [path, sees, stands] of [
    ['/jobs/demo-van-4/drop', 'Something holds', true],
    // A rest that runs takes the room.
    ['/jobs/demo-pickup-2/refit', 'Gate 3 is open', false],
  ] as const) {
    await show(path, sees, 'day');
    const seen = await ines.page.$eval('[data-hint]', (e) => {
      const [box, row] = [e.getBoundingClientRect(), e.parentElement!.getBoundingClientRect()];
      return { there: box.top < row.bottom, whole: e.scrollWidth <= e.clientWidth };
    });
    expect(seen).toEqual({ there: stands, whole: true });
  }
});

test('refit goes on when it was done all the same', async () => {
  await ines.page.setViewport(phone);
  await show('/jobs/demo-pickup-2/refit', 'Gate 3 is open', 'day');
  expect(await ines.page.$('[data-action=up]')).toBeNull();
  await ines.tap('[data-action=all-the-same]');
  await ines.stands('[data-action=up]');
});

describe.each([
  ...sizes.map(([name, size]) => [name, size, 100] as const),
  ...sizes.map(([name, size]) => [`${name}, text at 200 %`, size, 200] as const),
])('on %s', (_, size, text) => {
  test.each([
    ['drop', '/jobs/demo-van-4/drop', 'Something holds', 'as-said'],
    ['refit', '/jobs/demo-pickup-2/refit', 'is home', 'up'],
  ] as const)('%s: four rows stand wholly in sight, with the height and the main action', (...at) =>
    fourRows(size, text, [...at]),
  );
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

test('the sheet of a line opens on a phone with a tap, and by keyboard', async () => {
  await ines.page.setViewport(phone);
  await show('/jobs/demo-van-4/drop', 'Something holds', 'day');
  await ines.tap('[data-facts="line:vent"]');
  await ines.sees('Pulls tight');
  await ines.page.keyboard.press('Escape');
  await ines.page.setViewport(wide);
  await show('/jobs/demo-van-4/drop', 'Something holds', 'day');
  await ines.page.focus('[data-facts="line:vent"]');
  await ines.page.keyboard.press('Enter');
  await ines.sees('Pulls tight');
  await ines.page.keyboard.press('Escape');
});

test('nothing threw an error on any view', () => expect(ines.errors).toEqual([]));

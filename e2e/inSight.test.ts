import { phone, wide, type Person } from './lib/browser.ts';
import { atWork } from './lib/atWork.ts';
import { inTheme } from './lib/inTheme.ts';

let ines: Person;
const work = atWork(wide);
beforeAll(() => ({ ines } = work));

const show = (path: string, sees: string, theme: 'day' | 'night') => inTheme(ines, theme)(path, sees);

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

test('nothing threw an error', () => expect(ines.errors).toEqual([]));

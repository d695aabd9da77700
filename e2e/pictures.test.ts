import { atWork } from './lib/atWork.ts';
import { phone, wide, type Person } from './lib/browser.ts';
import { inTheme } from './lib/inTheme.ts';
import { homeAgain } from './lib/provable.ts';

const work = atWork(wide);
let ines: Person;
beforeAll(() => ({ ines } = work));

const show = (path: string, sees: string, theme: 'day' | 'night') => inTheme(ines, theme)(path, sees);

/** Pictures for the documentation, made only when they are asked for: npm run screens. */
(process.env.SCREENS ? describe : describe.skip)('picture', () => {
  const shots: [string, string, string, keyof typeof sizes, 'day' | 'night'][] = [
    ['bays', '/', 'Next vehicle', 'wide', 'day'],
    ['call', '/jobs/demo-van-9/plan', 'Ask the vehicle', 'wide', 'day'],
    ['quote', '/jobs/demo-van-9/quote', 'Without options', 'wide', 'day'],
    ['make-safe-phone', '/jobs/demo-van-9/safe', 'Is the pressure out?', 'phone', 'day'],
    ['drain', '/jobs/demo-minibus/drain', 'Where it goes', 'wide', 'day'],
    ['drop', '/jobs/demo-van-4/drop', 'Something holds', 'wide', 'day'],
    ['drop-night', '/jobs/demo-van-4/drop', 'Something holds', 'wide', 'night'],
    ['drop-phone', '/jobs/demo-van-4/drop', 'Something holds', 'phone', 'day'],
    ['bench', '/jobs/demo-pickup-2/bench', 'On the bench', 'wide', 'day'],
    ['record', '/jobs/demo-saloon/record', 'Signed', 'page', 'day'],
    ['plan-sheet', '/jobs/demo-van-9/sheet', 'Save as SVG', 'page', 'day'],
  ];
  const sizes = { wide, phone, page: { width: 900, height: 1250 } } as const;
  test.each(shots)('%s', async (name, path, sees, size, theme) => {
    await ines.page.setViewport(sizes[size]);
    await show(path, sees, theme);
    await ines.picture(name);
  });
  test('first contact, one chosen', async () => {
    await ines.page.setViewport(wide);
    await show('/next', 'What do you see from below?', 'day');
    await ines.tapText('Behind the axle');
    await ines.tapText('Pump');
    const box = (await (await ines.page.$('[role=slider]'))!.boundingBox())!;
    await ines.page.mouse.click(box.x + box.width / 2, box.y + box.height * 0.5);
    await ines.picture('first-contact');
  });
  test('a line of a vehicle file', async () => {
    await ines.page.setViewport(wide);
    await show('/vehicles/van-4', 'Keep it', 'day');
    await ines.tap('[data-part="line:vent"]');
    await ines.page.waitForSelector('[data-planned]');
    await ines.page.evaluate(() => scrollTo(0, 0));
    await ines.picture('vehicle');
  });
  test('what lies ahead of a tank that is held', async () => {
    await ines.page.setViewport(wide);
    await show('/jobs/demo-minibus/drop', 'holds it at', 'day');
    await ines.tap('[data-action="help"]');
    await ines.sees('mm too late');
    await ines.picture('ahead');
  });
  test('the tank held on the bench, and found to leak', async () => {
    await ines.page.setViewport(wide);
    await show('/jobs/demo-pickup-2/bench?hold', 'Held before it goes back', 'day');
    await ines.tapText('Aired');
    await ines.tap('[data-action=hold-begin]');
    await ines.page.waitForSelector('[data-hold-outcome=bad]');
    await ines.picture('hold');
    await ines.tap('[data-action=hold-drop]');
  });
  test('joint by joint, one of them weeps', async () => {
    await ines.page.setViewport(wide);
    await homeAgain(ines, 'job-pictured');
    await show('/jobs/job-pictured/prove', 'still owed', 'day');
    await ines.type('Litres put in', '12 L');
    await ines.tap('[data-action=fill]');
    for (const tap of ['[data-check=wiped]', '[data-check=wet]', '[data-joint="line:return=weeps"]'])
      await ines.tap(tap);
    await ines.tap('[data-joint="line:feed=dry"]');
    await ines.page.waitForSelector('[data-owed="joint:line:return"]');
    await ines.page.$eval('[aria-label=joints]', (e) => e.scrollIntoView());
    await ines.picture('prove');
  });
  test('new laid on old, on a phone', async () => {
    await ines.page.setViewport(phone);
    await show('/jobs/demo-van-9/plan', 'Ask the vehicle', 'day');
    await ines.tap('[data-action=needed]');
    await ines.tapText('Old, new');
    await ines.stands('[data-port]');
    await ines.picture('fit-phone');
  });
  test('a breather with a dip', async () => {
    await ines.page.setViewport(wide);
    await show('/jobs/demo-van-4/bench?hoses=line:breather', 'Look at it', 'day');
    await ines.page.$eval('[data-hose-point="1"]', (point) => (point as unknown as { focus: () => void }).focus());
    for (let i = 0; i < 4; i++) await ines.page.keyboard.press('ArrowDown');
    for (let i = 0; i < 10; i++) await ines.page.keyboard.press('ArrowRight');
    await ines.type('Bore of the hose', '19');
    await ines.tap('[data-action=runs-so]');
    await ines.sees('what gathers there shuts it');
    await ines.page.evaluate(() => document.querySelector('h1')?.scrollIntoView());
    await ines.picture('hose');
    await ines.tap('[data-action=take-back]');
  });
  test('refit on a phone', async () => {
    await ines.page.setViewport(phone);
    await show('/jobs/demo-pickup-2/refit', 'Gate 3 is open', 'day');
    await ines.tap('[data-action=all-the-same]');
    await ines.sees('last chance here');
    await ines.page.evaluate(() => scrollTo(0, 0));
    await ines.picture('refit-phone');
    await ines.tap('[data-action=take-back]');
  });
});

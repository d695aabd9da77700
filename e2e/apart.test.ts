import { atWork } from './lib/atWork.ts';
import { wide } from './lib/browser.ts';
import { until } from './lib/until.ts';

const work = atWork(wide);

test('two tablets that went apart: one reads what each says, and answers by keyboard alone', async () => {
  const { ines } = work;
  const { keyboard } = ines.page;
  /** On from where one is until the next thing that fits. */
  const on = async (selector: string) => {
    for (let i = 0; i < 40; i++) {
      await keyboard.press('Tab');
      if (await ines.page.evaluate((wanted) => document.activeElement?.matches(wanted), selector)) return;
    }
    throw new Error(`${selector} is not reached`);
  };
  /** Which of the group one is at. */
  const at = () => ines.page.$$eval('[role=radio]', (all) => all.indexOf(document.activeElement as HTMLElement));
  await ines.go('/');
  await ines.sees('two devices disagree');
  await ines.go('/jobs/demo-van-12/drop');
  await ines.sees('Two devices say different things of the litres');
  await ines.sees('3 L into can 2');
  await ines.sees('4.5 L into can 2');
  await on('input');
  await keyboard.type('12 L');
  await on('[data-settle=fuel]');
  await keyboard.press('Enter');
  await ines.sees('Two devices say different things of where the tank hangs');
  // Where it hangs as the one has it, as the other does, or elsewhere: one group, moved in by the arrows.
  await on('[role=radio]');
  for (const [arrow, there] of [
    ['ArrowDown', 1],
    ['ArrowUp', 0],
  ] as const) {
    await keyboard.press(arrow);
    // A hand sees where it is before it goes on.
    await until(at, (now) => now === there);
  }
  await keyboard.press('Space');
  await on('[data-settle=pose]');
  await keyboard.press('Enter');
  await ines.page.waitForSelector('[data-two-devices]', { hidden: true });
  await ines.stands('[data-height]');
  await ines.arrives('demo-van-12', 'settled', { key: 'pose' });
  const log = await ines.log('demo-van-12');
  expect(log.filter(({ kind }) => kind === 'settled').map(({ body }) => [body.key, body.litres ?? null])).toEqual([
    ['fuel', 12],
    ['pose', null],
  ]);
  expect(ines.errors).toEqual([]);
});

import { atWork } from './lib/atWork.ts';
import { phone } from './lib/browser.ts';

/** Before anything is changed: a ring opened rung by rung, a pick-up and a hole measured, what the old needle means. */
const work = atWork(phone);
const JOB = 'demo-pickup-7';

test('the ring comes open by the gentlest rung, the unit is built up from below', async () => {
  const { ines } = work;
  await ines.go(`/jobs/${JOB}/bench`);
  await ines.tap('[data-action=opening]');
  await ines.tap('[data-rung-of=steel]');
  await ines.sees('not tried before');
  await ines.tap('[data-rung-of=clean]');
  await ines.tap('[data-action=rung-tried]');
  await ines.page.waitForSelector('[data-rung-of=clean][data-tried=true]');
  await ines.tap('[data-action=it-is-open]');
  await ines.arrives(JOB, 'ring', { state: 'opened' });
  await ines.tap('[data-action=all-sound]');
  await ines.arrives(JOB, 'partSaid');
  await ines.tap('[data-action=build]');
  await ines.tap('[data-build=groove]');
  await ines.page.waitForSelector('[data-built=bad]');
  const steps = await ines.page.$$eval('[data-build]', (list) => list.map((e) => e.getAttribute('data-build')));
  expect(steps[0]).toBe('groove');
  for (const step of steps.slice(1)) await ines.tap(`[data-build="${step}"]`);
  await ines.page.waitForSelector('[data-built=good]');
  expect(await ines.sideways()).toBeLessThanOrEqual(0);
});

test('a pick-up is cut clear of the float, a hole waits for the room above it, the needle means other litres', async () => {
  const { ines } = work;
  await ines.go(`/jobs/${JOB}/bench`);
  await ines.tap('[data-action=pickup]');
  await ines.tap('[data-action=pickup-judge]');
  await ines.sees('Expected');
  await ines.type('Opening to floor', '260');
  await ines.tapText('Yes');
  await ines.tap('[data-action=pickup-judge]');
  await ines.page.waitForSelector('[data-pickup]');
  // Gasket 3, ten off the floor: 260 + 3 − 10.
  await ines.sees('cut it 253 mm below the flange');
  await ines.tapText('Back');
  await ines.tap('[data-action=conversion]');
  for (const [label, figure] of [
    ['Stack above the tank', '62'],
    ['Room above it', '55'],
    ['Hole across', '110'],
    ['Out of flat', '0.4'],
    ['The seal gives', '2'],
    ['To tray', '220'],
    ['The float needs', '190'],
  ] as const)
    await ines.type(label, figure);
  await ines.tapText('Never');
  await ines.tap('[data-action=hole-judge]');
  await ines.page.waitForSelector('[data-hole=bad]');
  await ines.sees('the stack strikes');
  await ines.tapText('The old sender');
  for (const [label, figure] of [
    ['The new tank holds', '140'],
    ['Its opening to its floor', '330'],
    ['Float below flange, empty', '250'],
    ['Float below flange, full', '20'],
    ['Pick-up off its floor', '10'],
  ] as const)
    await ines.type(label, figure);
  await ines.tap('[data-action=needle-judge-tank]');
  await ines.page.waitForSelector('[data-needle]');
  await ines.sees('are still there');
  expect(await ines.sideways()).toBeLessThanOrEqual(0);
  expect(await ines.seriousFaults()).toEqual([]);
});

import { atWork } from './lib/atWork.ts';
import { wide } from './lib/browser.ts';
import { provedDry, toTheGround, upAndHome } from './lib/home.ts';
import { oneJob } from './lib/oneJob.ts';

/** From what is found on the bench to the signature: the part that was bad is out, the one that is in was proved, and the record says so. */
const work = atWork(wide);
const { step, act, newest } = oneJob(() => work.ines);
const VAN = 'demo-van-4';

const becomes = (part: string, want: string) =>
  work.ines.page.waitForSelector(`[data-part-of-unit=${part}][data-outcome=${want}]`);
/** The pump on the supply, switched off again, its figures taken and judged. */
const runs = async () => {
  const { ines } = work;
  await ines.tap('[data-part-of-unit=pump]');
  await ines.tap('[data-action=run]');
  await ines.tap('[data-action=run-on]');
  await ines.page.waitForFunction(
    () => parseInt(document.querySelector('[data-live-run=runs]')?.nextElementSibling?.textContent ?? '', 10) >= 10,
    { timeout: 30_000 },
  );
  await ines.tap('[data-action=run-off]');
  await ines.page.waitForSelector('[data-live-run=stands]');
  await new Promise((resolve) => setTimeout(resolve, 3_000));
  await ines.tap('[data-action=run-take]');
  await ines.tap('[data-action=run-enter]');
};

step(
  'down to the ground, on to the bench',
  async () => {
    await work.ines.go(`/jobs/${VAN}/drop`);
    await toTheGround(work.ines, { act });
    await work.ines.tapText('On to the bench');
    await work.ines.sees('On the bench');
  },
  90_000,
);

step(
  'a weak pump: its current is sound and little comes; the hose inside is split, another goes in, and it is run again',
  async () => {
    const { ines } = work;
    await runs();
    await becomes('pump', 'bad');
    await ines.sees('it leaks inside, hose or relief');
    await ines.tap('[data-part-of-unit=hose]');
    await ines.tap('[data-said="split at the clamp"]');
    await becomes('hose', 'bad');
    await ines.tap('[data-action=fit-another]');
    await ines.type('What goes in', 'hose for submersion, 8 mm');
    await ines.tap('[data-action=fit]');
    await becomes('hose', 'unknown');
    await ines.tap('[data-said=good]');
    await becomes('hose', 'good');
    await runs();
    await becomes('pump', 'good');
    await ines.tap('[data-action=all-sound]');
    await becomes('ring', 'good');
  },
  120_000,
);

step(
  'gate 3 asks of a hose its grade, and of no pump that stays; then the ring closes',
  async () => {
    const { ines } = work;
    await ines.tapText('Back');
    await ines.tap('[data-action=fit-row]');
    await ines.tap('[data-action=all-same]');
    await ines.page.waitForSelector('[data-fit=good]');
    await ines.tapText('Close');
    await ines.tapText('New seal');
    await ines.tapText('Gate 3: the ring may close');
    await ines.tap('[data-action=ring]');
    await ines.page.waitForFunction(() => location.pathname.endsWith('/refit'));
  },
  60_000,
);

step(
  'up, home, proved, signed; the record tells what was bad, what is in, and what proved it',
  async () => {
    const { ines } = work;
    await upAndHome(ines, { act });
    await ines.tapText('Prove it');
    await provedDry(ines, '9');
    await ines.type('Plate', 'is 204');
    await ines.type('Mileage', '48 210');
    await ines.tap('[data-action=identity]');
    await ines.sees('Nothing is owed.');
    await ines.tap('[data-action=sign]');
    await ines.tap('[data-action=sign-now]');
    await ines.page.waitForSelector('[data-record]');
    await newest('signed');
    await ines.sees('hose inside out: split at the clamp');
    await ines.sees('“hose for submersion, 8 mm”');
    await ines.sees('it delivers what it is rated for');
    // What was fitted is kept for the next one who opens this van.
    await ines.tap('[data-action=taught]');
    await ines.page.waitForSelector('[data-lesson="fitted hose"]');
  },
  180_000,
);

import { atWork } from './lib/atWork.ts';
import { type Person, phone, wide } from './lib/browser.ts';
import { until } from './lib/until.ts';

/** The bench: the unit apart on its axis, each part with its word; what is bad is swapped, and what goes in is tested too. */
let ines: Person;
const work = atWork(wide);
beforeAll(() => void (ines = work.ines));

const becomes = (part: string, want: string) =>
  ines.page.waitForSelector(`[data-part-of-unit=${part}][data-outcome=${want}]`);
/** One slow way of the arm: it ends by itself. */
const sweep = async (way: 'up' | 'down') => {
  await ines.tap(`[data-action=sweep-${way}]`);
  await ines.page.waitForSelector(`[data-live-sweep=${way}]`);
  await ines.page.waitForSelector('[data-live-sweep=stands]');
};

test('a sender with a dead spot is found, swapped, swept, and the record says so', async () => {
  const job = 'demo-minibus';
  await ines.go(`/jobs/${job}/bench`);
  await becomes('sender', 'unknown');
  // What does not differ is said in one tap; the sender is what this job is about, and a look shows no dead spot.
  await ines.tap('[data-action=all-sound]');
  await ines.arrives(job, 'partSaid');
  await becomes('ring', 'good');
  await becomes('sender', 'unknown');
  await ines.sees('looked at, not swept');
  await ines.tap('[data-part-of-unit=sender]');
  await sweep('up');
  await sweep('down');
  await ines.tap('[data-action=sweep-judge]');
  await ines.arrives(job, 'swept');
  await becomes('sender', 'bad');
  await ines.sees('up and back');
  const words = await ines.page.$eval('[data-hand=sender]', (e) => (e as unknown as { innerText: string }).innerText);
  // Open from 35 to 60 % of its height: in litres of this tank, or in ohms where its file gives no stops.
  expect(words).toMatch(/open at \d+–\d+ (L|Ω), up and back/);
  await ines.tap('[data-action=fit-another]');
  await ines.tap('[data-action=fit]');
  await ines.sees('Expected what goes in, as it is written on it');
  await ines.type('What goes in', 'sender, long arm');
  await ines.tap('[data-action=fit]');
  await ines.arrives(job, 'partSwapped');
  await becomes('sender', 'unknown');
  await ines.sees('new: nobody tested or looked at it');
  // The new one was swept with a meter of its own: its readings come as a table.
  const ramp = Array.from({ length: 41 }, (_, i) => 20 + 60 * Math.min(1, Math.max(0, (i - 5) / 30)));
  const way = (pass: number, ohms: number[]) => ohms.map((one) => `${pass};${one.toFixed(1)}`);
  await ines.chooseTable(['pass;ohms', ...way(1, ramp), '2;about 80']);
  await ines.sees('line 43, column 2 (ohms): expected a figure; “about 80” was given');
  await ines.chooseTable(['pass;ohms', ...way(1, ramp), ...way(2, [...ramp].reverse())]);
  await ines.tap('[data-action=sweep-judge]');
  await ines.page.waitForFunction(
    () =>
      !['bad', 'unknown'].includes(
        document.querySelector('[data-part-of-unit=sender]')?.getAttribute('data-outcome') ?? 'bad',
      ),
  );
  await ines.go(`/jobs/${job}/record`);
  await ines.sees('level sender out: open at');
  await ines.sees('“sender, long arm”');
});

test('a sender no file knows: doubted without its family, held against it once somebody names it', async () => {
  const job = 'demo-van-9';
  await ines.go(`/jobs/${job}/bench`);
  await ines.tap('[data-part-of-unit=sender]');
  const ramp = Array.from({ length: 41 }, (_, i) => 20 + 60 * Math.min(1, Math.max(0, (i - 5) / 30)));
  const table = [
    'pass;ohms',
    ...ramp.map((one) => `1;${one.toFixed(1)}`),
    ...[...ramp].reverse().map((one) => `2;${one.toFixed(1)}`),
  ];
  await ines.chooseTable(table);
  await ines.tap('[data-action=sweep-judge]');
  await becomes('sender', 'doubtful');
  await ines.sees('nothing to hold it against');
  await ines.chooseTable(table);
  await ines.page.waitForSelector('[data-hand=sender] select');
  await ines.page.select('[data-hand=sender] select', '20 to 80');
  await ines.tap('[data-action=sweep-judge]');
  await ines.arrives(job, 'swept', { family: '20 to 80' });
  await becomes('sender', 'good');
});

test('where the readings stopped it is not judged by half: that way is swept again, on a phone', async () => {
  await ines.page.setViewport(phone);
  await ines.go('/jobs/demo-van-9/bench');
  await ines.tap('[data-part-of-unit=sender]');
  const line = (pass: number, at: number) => {
    const along = Math.min(1, Math.max(0, (at - 1) / 10));
    return `${pass};${(20 + 60 * (pass === 1 ? along : 1 - along)).toFixed(1)};${at.toFixed(1)}`;
  };
  const times = Array.from({ length: 31 }, (_, i) => i * 0.4);
  await ines.chooseTable([
    'pass;ohms;seconds',
    ...times.filter((at) => at <= 4 || at >= 6).map((at) => line(1, at)),
    ...times.map((at) => line(2, at)),
  ]);
  await ines.sees('not read on the way up: the readings stopped at 38–50 Ω, for 2 s');
  await sweep('up');
  await ines.page.waitForSelector('[data-unread]', { hidden: true });
  await ines.page.select('[data-hand=sender] select', '20 to 80');
  await ines.tap('[data-action=sweep-judge]');
  const thirdPass = async () => {
    const sweeps = (await ines.log('demo-van-9')).filter(({ kind }) => kind === 'swept');
    return (sweeps.at(-1)!.body.passes as { ohms: number[]; seconds?: number[] }[])[2];
  };
  // Each with its times: the third was read by the meter, every 0.4 s by its own clock.
  const third = await until(thirdPass, (pass) => pass !== undefined);
  expect(third!.seconds!.slice(0, 4)).toEqual([0, 0.4, 0.8, 1.2]);
  expect(third!.ohms).toHaveLength(third!.seconds!.length);
  await becomes('sender', 'good');
  expect(await ines.sideways()).toBeLessThanOrEqual(0);
  await ines.page.setViewport(wide);
});

test('a whole new unit asks seal, index and ring; fitted in error, the old one is back with all that was said of it', async () => {
  const job = 'demo-pickup-7';
  await ines.go(`/jobs/${job}/bench`);
  await ines.tap('[data-action=all-sound]');
  await becomes('ring', 'good');
  await ines.tap('[data-action=fit-unit]');
  await ines.tap('[data-action=fit]');
  await ines.sees('Expected what goes in, as it is written on it');
  await ines.type('What goes in', 'module 90 L/h');
  await ines.tap('[data-action=fit]');
  await ines.arrives(job, 'unitSwapped', { with: 'module 90 L/h' });
  for (const part of ['flange', 'seal', 'ring']) await becomes(part, 'unknown');
  for (const part of ['strainer', 'sender']) await becomes(part, 'good');
  await ines.sees('The other 3 looked at, sound');
  await ines.tap('[data-action=fit-unit-again]');
  await becomes('ring', 'good');
  await ines.sees('looked at: sound');
});

test('by the needle alone: a tap where it jumps, up and back, on a phone', async () => {
  await ines.page.setViewport(phone);
  await ines.go('/jobs/demo-pickup-2/bench');
  await ines.tap('[data-part-of-unit=sender]');
  await ines.tap('[data-action=needle]');
  for (const at of [4_000, 12_000]) {
    await ines.watched(at === 4_000 ? 4_000 : 11_600);
    await ines.tap('[data-action=jumps]');
  }
  await ines.page.waitForSelector('[data-action=needle-judge]');
  await ines.tap('[data-action=needle-judge]');
  await ines.arrives('demo-pickup-2', 'swept');
  await ines.page.waitForFunction(() =>
    ['bad', 'doubtful'].includes(
      document.querySelector('[data-part-of-unit=sender]')?.getAttribute('data-outcome') ?? '',
    ),
  );
  expect(await ines.sideways()).toBeLessThanOrEqual(0);
  await ines.page.setViewport(wide);
});

test('a weak pump whose hose inside is split: run, hose swapped, run again; bad figures stay typed', async () => {
  const job = 'demo-van-4';
  await ines.go(`/jobs/${job}/bench`);
  await ines.tap('[data-part-of-unit=pump]');
  await ines.tap('[data-action=run]');
  await ines.sees('never over an open jug');
  await ines.type('What came', '0,17');
  await ines.tap('[data-action=run-enter]');
  await ines.sees('Expected a figure');
  // A meter that stops in the middle is said, and what it read until then stands.
  await ines.tap('[data-action=run-on]');
  await ines.page.waitForSelector('[data-live-run=runs]');
  const wire = await ines.page.createCDPSession();
  await wire.send('Network.enable');
  await wire.send('Network.setBlockedURLs', { urls: ['*/instruments/supply*'] });
  await ines.sees('A meter stopped answering');
  await ines.page.waitForSelector('[data-live-run=not]');
  await wire.send('Network.setBlockedURLs', { urls: [] });
  // On the supply: it draws what it should, little comes, and it falls once it stands.
  await ines.tap('[data-action=run-on]');
  await ines.page.waitForFunction(
    () => parseInt(document.querySelector('[data-live-run=runs]')?.nextElementSibling?.textContent ?? '', 10) >= 10,
    {},
  );
  await ines.tap('[data-action=run-off]');
  await ines.page.waitForSelector('[data-live-run=stands]');
  // Real time: the meter goes on meanwhile.
  await new Promise((resolve) => setTimeout(resolve, 4_000));
  await ines.tap('[data-action=run-take]');
  await ines.page.waitForFunction(
    () => (document.querySelector('[name="litres"]') as { value?: string } | null)?.value !== '0.17',
  );
  await ines.tap('[data-action=run-enter]');
  await ines.arrives(job, 'pumpRan');
  await becomes('pump', 'bad');
  await ines.sees('it leaks inside, hose or relief, or is worn');
  await ines.tap('[data-part-of-unit=hose]');
  await ines.tap('[data-said="split at the clamp"]');
  await becomes('hose', 'bad');
  await ines.tap('[data-action=fit-another]');
  await ines.type('What goes in', 'hose for submersion, 8 mm');
  await ines.tap('[data-action=fit]');
  await ines.arrives(job, 'partSwapped');
  await ines.tap('[data-said=good]');
  await becomes('hose', 'good');
  await ines.tap('[data-part-of-unit=pump]');
  await ines.tap('[data-action=run]');
  const typed = [
    ['At its plug', '12'],
    ['It draws', '4,1 A'],
    ['Pressure in front', '3.9 bar'],
    ['What came', '0.5'],
    ['In how long', '20 s'],
  ] as const;
  for (const [label, text] of typed) await ines.type(label, text);
  await ines.tap('[data-action=run-enter]');
  await ines.page.waitForSelector('[data-part-of-unit=pump]:not([data-outcome=bad])');
  await ines.sees('it delivers what it is rated for');
});

test('which thread is it, without a job: what seals first, size and pitch, and what it must never meet', async () => {
  await ines.go('/vehicles');
  await ines.tap('[data-action=threads]');
  await ines.type('Across the tops', '3/8 in');
  await ines.page.waitForSelector('[data-thread="3/8-16 UNC"]');
  await ines.type('Across the tops', '9.85');
  await ines.type('From turn to turn', '1.5 mm');
  await ines.page.waitForSelector('[data-thread="M10 × 1.5"]');
  await ines.sees('never in 3/8-16 UNC');
  await ines.sees('drill for a tap 8.5 mm');
  await ines.tapText('A cone');
  await ines.tapText('turns in an inch');
  await ines.type('Turns in an inch', '20');
  await ines.type('Across the tops', '10.95');
  await ines.page.waitForSelector('[data-thread="7/16-20 flare"]');
  await ines.type('Across the tops', '0.5 mm');
  await ines.sees('Expected 2 to 60 mm');
});

test('at 200 % text on a phone every part stands beside its name', async () => {
  await ines.page.setViewport(phone);
  await ines.page.evaluate(() => localStorage.setItem('cradle-text', '200'));
  await ines.go('/jobs/demo-pickup-2/bench');
  await becomes('ring', 'unknown');
  const name = (await (await ines.page.$('[data-part-of-unit=ring] .narrow'))!.boundingBox())!;
  // One line of it, not letter under letter.
  expect(name.height).toBeLessThan(70);
  expect(await ines.sideways()).toBeLessThanOrEqual(0);
  await ines.page.evaluate(() => localStorage.setItem('cradle-text', '100'));
  await ines.page.setViewport(wide);
});

test('nobody is kept from the bench: no serious fault on it, and nothing threw', async () => {
  await ines.go('/jobs/demo-van-4/bench');
  await ines.tap('[data-part-of-unit=pump]');
  expect(await ines.seriousFaults()).toEqual([]);
  expect(ines.errors).toEqual([]);
});

import { atWork } from './lib/atWork.ts';
import { phone, wide } from './lib/browser.ts';

/** The tank on the bench under a little air: it leaks, is mended, holds; figures come by gauge, by hand and as a table. */
const work = atWork(wide);
const JOB = 'demo-pickup-2';

const outcome = (want: string) => work.ines.page.waitForSelector(`[data-hold-outcome=${want}]`);
const rowSays = (want: string) => work.ines.page.waitForSelector(`[data-action=hold][data-outcome=${want}]`);
/** A table of a hold: √p falls by so much a second. */
const table = (fall: number, ...wrong: string[]) => [
  's;Pa',
  ...Array.from({ length: 130 }, (_, i) => `${i};${((Math.sqrt(3400) - fall * i) ** 2).toFixed(0)}`),
  ...wrong,
];

test('a tank with a hole is found to leak by the gauge, soap says where, and it is owed', async () => {
  const { ines } = work;
  await ines.go(`/jobs/${JOB}/bench`);
  await rowSays('unknown');
  await ines.tap('[data-action=hold]');
  await ines.tapText('Aired');
  await ines.tap('[data-action=hold-begin]');
  await outcome('unknown');
  await outcome('bad');
  await ines.sees('It leaks');
  await ines.tap('[data-soap="front seam"]');
  await ines.arrives(JOB, 'finding', { what: 'bubbles: front seam', verdict: 'bad' });
  await ines.tap('[data-action=let-out]');
  await ines.arrives(JOB, 'held');
  await ines.tapText('Back to the unit');
  await rowSays('bad');
});

test('a table with a word in it says line and column and takes nothing; a good one is judged, entered, and answers the leak', async () => {
  const { ines } = work;
  await ines.go(`/jobs/${JOB}/bench?hold`);
  await ines.chooseTable(table(0.01, '130;about 3400'));
  await ines.sees('line 132, column 2 (pressure): expected a figure; “about 3400” was given');
  await ines.chooseTable(table(0.01));
  await ines.stands('[data-action=let-out][aria-disabled]');
  await ines.tapText('Aired');
  await outcome('good');
  await ines.tap('[data-action=let-out]');
  await ines.arrives(JOB, 'held');
  await ines.tapText('Back to the unit');
  await rowSays('good');
  await ines.go(`/jobs/${JOB}/record`);
  await ines.sees('held: it falls faster than through a hole of 0.51 mm');
  await ines.sees('held: tighter than a hole of 0.51 mm');
});

test('typed on a phone: each reading at its moment; nothing is said before there is enough', async () => {
  const { ines } = work;
  await ines.page.setViewport(phone);
  await ines.go(`/jobs/${JOB}/bench?hold`);
  await ines.tap('[data-action=hold-typed]');
  await ines.stands('[data-action=let-out][aria-disabled]');
  for (const reading of ['14 inH2O', '3.4 kPa', '34']) {
    await ines.type('The gauge shows', reading);
    await ines.tap('[data-action=hold-reading]');
  }
  await ines.sees('3 readings');
  expect(await ines.sideways()).toBeLessThanOrEqual(0);
  await ines.tap('[data-action=hold-drop]');
  await ines.stands('[data-action=hold-typed]');
  await ines.page.setViewport(wide);
});

test('a valve gone inside is searched for until it is found; a tester nobody proved says nothing', async () => {
  const { ines } = work;
  await ines.go(`/jobs/${JOB}/bench`);
  await ines.tap('[data-action=vacuum]');
  const valve = '[data-tried="check valve of the pump"]';
  const noneEitherWay = async () => {
    for (const way of ['Against its arrow', 'Along its arrow'])
      await ines.tap(`::-p-xpath((//form//fieldset[contains(legend, "${way}")]//button)[last()])`);
    await ines.tap('[data-action=valve-judge]');
  };
  await ines.tap(valve);
  await noneEitherWay();
  await ines.sees('nobody proved the tester first');
  await ines.tapText('It held');
  await noneEitherWay();
  await ines.page.waitForSelector(`${valve}[data-outcome=bad]`);
  await ines.sees('What is missing of the check valve of the pump');
  await ines.tap('[data-search="tank notThere"]');
  await ines.tap('[data-search="filter found"]');
  await ines.arrives(JOB, 'searched', { place: 'filter', told: 'found' });
  await ines.page.waitForSelector('[data-search]', { hidden: true });
});

test('a hold that stands outlives a reload: the same one goes on, none is begun anew', async () => {
  const { ines } = work;
  await ines.page.setViewport(wide);
  await ines.go(`/jobs/${JOB}/bench?hold`);
  await ines.tapText('Aired');
  await ines.tap('[data-action=hold-begin]');
  const ago = () =>
    ines.page.$eval('[data-live-hold]', (e) =>
      parseInt(/(\d+) s ago/.exec(e.nextElementSibling!.textContent!)![1]!, 10),
    );
  await ines.page.waitForFunction(() =>
    /([6-9]|\d\d) s ago/.test(document.querySelector('[data-live-hold]')?.nextElementSibling?.textContent ?? ''),
  );
  const before = await ago();
  const first = await ines.page.$eval(
    '[data-live-hold]',
    (e) => /^[\d.]+/.exec(e.nextElementSibling!.textContent!)![0],
  );
  await ines.page.reload({ waitUntil: 'load' });
  await ines.page.waitForFunction(
    (had) =>
      parseInt(
        /(\d+) s ago/.exec(
          document.querySelector('[data-live-hold=gauge]')?.nextElementSibling?.textContent ?? '',
        )?.[1] ?? '0',
        10,
      ) > had,
    {},
    before,
  );
  expect(await ines.page.$eval('[data-live-hold]', (e) => /^[\d.]+/.exec(e.nextElementSibling!.textContent!)![0])).toBe(
    first,
  );
  await ines.tap('[data-action=hold-drop]');
});

test('the vacuum pump watched: it proves itself, and the valve by what it shows', async () => {
  const { ines } = work;
  await ines.go(`/jobs/${JOB}/bench`);
  await ines.tap('[data-action=vacuum]');
  await ines.tap('[data-watch="tester off"]');
  // Real time: a meter is watched.
  await new Promise((resolve) => setTimeout(resolve, 4_000));
  await ines.tap('[data-watch="tester on"]');
  // Too short says nothing.
  await ines.sees('watched for 20 s and more');
  await ines.tap('[data-watch="tester off"]');
  await new Promise((resolve) => setTimeout(resolve, 22_000));
  await ines.tap('[data-watch="tester on"]');
  await ines.page.waitForSelector(
    '::-p-xpath(//fieldset[contains(legend, "The tester")]//button[@data-state="on"][contains(., "It held")])',
  );
});

import { phone, wide, type Person } from './lib/browser.ts';
import { atWork } from './lib/atWork.ts';

/** Pressure out, fuel out: make safe and drain, tried as a person does. */
let ines: Person;
const work = atWork(wide);
beforeAll(() => void (ines = work.ines));

describe('make safe', () => {
  test('only ways that fit can be chosen; the gauge is watched while it falls, and entered', async () => {
    await ines.go('/jobs/demo-van-9/safe');
    await ines.tap('[data-action=schools]');
    expect(await ines.page.$eval('[data-school=capOnly]', (e) => (e as unknown as HTMLButtonElement).disabled)).toBe(
      true,
    );
    await ines.tap('[data-school=bleed]');
    await ines.arrives('demo-van-9', 'answer', { question: 'school', value: 'bleed' });
    await ines.tap('[data-instrument=pressureGauge]');
    const bar = () =>
      ines.page.$eval('[data-live=pressureGauge]', (e) => parseFloat((e as unknown as HTMLElement).innerText));
    await ines.page.waitForFunction(
      () => parseFloat((document.querySelector('[data-live=pressureGauge]') as HTMLElement).innerText) > 1,
    );
    const high = await bar();
    await ines.tap('[data-action=let-out]');
    await ines.page.waitForFunction(
      (from) => parseFloat((document.querySelector('[data-live=pressureGauge]') as HTMLElement).innerText) < from / 2,
      {},
      high,
    );
    await ines.page.waitForFunction(
      () => parseFloat((document.querySelector('[data-live=pressureGauge]') as HTMLElement).innerText) < 0.1,
      {},
    );
    await ines.tap('[data-take=pressureGauge]');
    await ines.sees('Is the vehicle held?');
  });

  test('axle weights that do not add up are said, and what was typed stays', async () => {
    await ines.sees('over the jack');
    await ines.tap('[data-action=balance]');
    for (const [label, text] of [
      ['Front axle', '60 kg'],
      ['Rear axle', '70 kg'],
      ['Wheelbase', '3000'],
      ['Middle of the arms', '1450'],
      ['Middle of the tank', '2600'],
      ['From that middle', '500'],
    ] as const)
      await ines.type(label, text);
    await ines.sees('axle weights that add up to a vehicle');
    await ines.type('Front axle', '1100');
    await ines.type('Rear axle', '1000');
    await ines.sees('once the tank is out');
    await ines.tapText('Close');
  });
});

describe('drain', () => {
  test('the level is dragged to what was seen, or moved by keys, and told in litres', async () => {
    await ines.go('/jobs/demo-van-9/drain');
    const handle = await ines.page.waitForSelector('[data-action=drag-level]');
    const box = (await handle!.boundingBox())!;
    await ines.page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
    await ines.page.mouse.down();
    await ines.page.mouse.move(box.x + box.width / 2, box.y + box.height * 0.7, { steps: 6 });
    await ines.page.mouse.up();
    await ines.page.waitForSelector('[data-seen]');
    await ines.sees('L by the shape');
    const seen = () => ines.page.$eval('[data-seen]', (e) => Number(e.getAttribute('data-seen')));
    const before = await seen();
    await handle!.evaluate((e) => (e as unknown as HTMLElement).focus());
    await ines.page.keyboard.press('ArrowUp');
    expect(await seen()).toBe(before + 5);
    await ines.tap('[data-action=enter-seen]');
    await ines.arrives('demo-van-9', 'fuelWitness', { witness: 'levelSeen', reading: before + 5 });
  });

  test('a shape that cannot be says where, a table that does not rise says which row, nothing typed is lost', async () => {
    await ines.tap('[data-action=shape]');
    await ines.tapText('Level table');
    await ines.sees('expected columns of level, litres');
    await ines.type('Level and litres', 'mm,litres\n0,0\n100,40\n90,60');
    await ines.sees('more than the row before');
    await ines.tapText('Two lobes');
    await ines.type('Hump begins at', '360');
    await ines.type('Hump ends at', '640');
    await ines.type('Hump: height', '400');
    await ines.sees('below 280 mm');
    await ines.type('Hump: height', '110');
    await ines.type('Hump: width of a flank', '40');
    await ines.type('From the front end', '500');
    await ines.sees('the pick-up needs all three');
    await ines.type('From the near side', '200');
    await ines.type('Above the lowest point', '20');
    await ines.sees('a place inside the tank');
    await ines.type('From the front end', '150');
    await ines.tap('[data-action=keep-shape]');
    await ines.arrives('demo-van-9', 'tankShape');
    await ines.page.waitForSelector('[data-stays="behind the hump"]');
    await ines.sees('down to the front');
  });

  test('the best tilt is shown: the tank tips, the fuel stays level', async () => {
    const outline = () => ines.page.$eval('[data-tank=outline]', (e) => e.getAttribute('d'));
    const flat = await outline();
    await ines.tap('[data-action=best-tilt]');
    await ines.sees('Show it level');
    expect(await outline()).not.toBe(flat);
    await ines.tapText('Show it level');
    expect(await outline()).toBe(flat);
  });

  test('a sample stands, is judged, and says what it means', async () => {
    await ines.tap('[data-action=sample]');
    await ines.tap('[data-action=judge-sample]');
    await ines.tapText('Water layer');
    await ines.sees('Dispose of it');
    await ines.sees('not proven without a laboratory');
    await ines.arrives('demo-van-9', 'answer', { question: 'sample', value: 'water' });
  });

  test('what was seen rules a way out, and litres that went another way stand in the balance', async () => {
    await ines.tap('[data-action=seen]');
    await ines.tapText('Nothing came');
    await ines.type('From the hose', '-10 cm');
    await ines.tap('::-p-xpath(//button[starts-with(normalize-space(.), "Enter it")])');
    await ines.tapText('Close');
    await ines.sees('empty or blocked');
    await ines.sees('the end of the hose is above the fuel');
    await ines.tap('[data-action=fuel-moved]');
    await ines.type('Litres, as near', '0');
    await ines.sees('more than nothing');
    await ines.type('Litres, as near', '0,4');
    await ines.tap('::-p-xpath(//*[@role="dialog"]//button[normalize-space(.)="Enter it"])');
    await ines.arrives('demo-van-9', 'fuelMoved', { what: 'spilled', litres: 0.4 });
    await ines.sees('spilt');
  });

  test('a can has its label, with a code of the same words', async () => {
    await ines.sees('cans to have ready');
    await ines.tap('[data-action=fill-can]');
    await ines.tapText('Suspect');
    await ines.type('Litres that went in', '12');
    await ines.tapText('Into can 1');
    await ines.arrives('demo-van-9', 'container', { number: 1, litres: 12 });
    await ines.tapText('Labels for the cans');
    await ines.page.waitForSelector('[data-label="1"]');
    await ines.sees('Petrol, suspect');
    await ines.sees('Not back into any tank');
  });

  test('more fuel than the tank holds is refused in place', async () => {
    await ines.go('/jobs/demo-van-9/drain');
    await ines.tap('[data-witness=sinceEmpty]');
    await ines.type('Litres put in', '900');
    await ines.sees('what the tank can hold');
    await ines.tapText('Close');
  });
});

test.each([
  ['/jobs/demo-van-9/plan', 'needed'],
  ['/jobs/demo-van-9/plan', 'tests'],
  ['/jobs/demo-van-9/safe', 'schools'],
  ['/jobs/demo-van-9/drain', 'shape'],
  ['/jobs/demo-van-9/drain', 'seen'],
  ['/jobs/demo-van-9/drain', 'fuel-moved'],
])('%s: the sheet of %s has no serious fault on a phone, by night, and stays within it', async (path, action) => {
  await ines.page.setViewport(phone);
  await ines.page.evaluate(() => localStorage.setItem('cradle-theme', 'night'));
  await ines.go(path);
  if (action === 'schools')
    await ines.tap('::-p-xpath(//button[contains(., "pressure") and not(@data-action="rest")])');
  await ines.tap(`[data-action=${action}]`);
  await ines.page.waitForSelector('[role=dialog]');
  expect(await ines.seriousFaults()).toEqual([]);
  expect(await ines.sideways()).toBe(0);
  await ines.picture(`sheet-${action}`);
});

test('at 390 wide nothing runs over the edge on any of these', async () => {
  await ines.page.setViewport(phone);
  for (const path of ['plan', 'safe', 'drain', 'quote', 'labels']) {
    await ines.go(`/jobs/demo-van-9/${path}`);
    await ines.sees('Van 9');
    expect([path, await ines.sideways()]).toEqual([path, 0]);
  }
});

test('none of it threw an error', () => expect(ines.errors).toEqual([]));

import type { Entry } from '@iron-cradle/core';
import { Person, phone, wide, type Browsing } from './lib/browser.ts';
import type { Shop } from './lib/server.ts';
import { atWork } from './lib/atWork.ts';
import { until } from './lib/until.ts';

/** The turns a job can take off the straight way, each as a person meets it. */
let shop: Shop;
let browser: Browsing;
let ines: Person;

const work = atWork(phone);
beforeAll(() => ({ shop, browser, ines } = work));

const kinds = async (jobId: string): Promise<string[]> =>
  (await ines.api<{ entries: Entry[] }>(`/jobs/${jobId}/entries`)).entries.map((e) => e.kind);
const arrived = async (jobId: string, ...wanted: string[]): Promise<void> => {
  await until(
    () => kinds(jobId),
    (all) => all.slice(-wanted.length).join() === wanted.join(),
  );
};

test('a wrong PIN says how many tries are left and keeps the name', async () => {
  const context = await browser.createBrowserContext();
  const page = await context.newPage();
  await page.setViewport(phone);
  const bo = new Person(page, shop.base);
  await bo.go('/sign-in');
  await bo.tapText('Bo');
  for (const digit of '9999') await page.keyboard.press(digit as '9');
  await page.keyboard.press('Enter');
  await bo.sees('Wrong PIN. 4 tries left');
  for (const digit of '1470') await page.keyboard.press(digit as '1');
  await page.keyboard.press('Enter');
  await bo.sees('Next vehicle');
  await context.close();
});

test('something new holds: it is taken out of the way, gets a number, and is owed', async () => {
  await ines.go('/jobs/demo-van-4/drop');
  await ines.tap('[data-action=holds]');
  await ines.acts('demo-van-4', '[data-holds^="new:1@25"]');
  await ines.sees('something not in the file holds it at 25');
  await ines.acts('demo-van-4', '[data-action=cleared]');
  await ines.tap('[data-action=off]');
  await ines.sees('something not in the file');
  await ines.tapText('Close');
  await ines.page.waitForSelector('[role=dialog]', { hidden: true });
  await ines.acts('demo-van-4', '[data-action=take-back]');
  await ines.sees('something not in the file holds it at 25');
  await ines.acts('demo-van-4', '[data-action=take-back]');
  await ines.page.waitForSelector('[data-action=as-said]');
});

test('a line was pulled: written down, owed, inspected, no longer owed', async () => {
  await ines.tap('[data-action=holds]');
  await ines.tapText('A line was pulled');
  await ines.acts('demo-van-4', '[data-pulled="line:vent"]');
  await ines.go('/jobs/demo-van-4/prove');
  await ines.tap('[data-owed="line:vent"]');
  await ines.tapText('Sound');
  await ines.page.waitForFunction(() => !document.body.innerText.includes('was pulled and is not inspected'));
  await arrived('demo-van-4', 'pulled', 'inspected');
});

test('a deviation says what was expected, keeps what was typed, and takes the debt off the list', async () => {
  await ines.tap('[data-owed=complaint]');
  await ines.type('Why it stays like this', 'the customer drives it on Monday');
  await ines.tapText('Enter the deviation');
  await ines.sees('Expected a name');
  expect(
    await ines.page.$eval(
      '::-p-xpath(//label[contains(., "Why it stays")]/following::input[1])',
      (e) => (e as unknown as { value: string }).value,
    ),
  ).toBe('the customer drives it on Monday');
  await ines.type('Agreed by', 'Marit');
  await ines.type('Due', 'next service');
  await ines.tapText('Enter the deviation');
  await ines.page.waitForSelector('[data-owed=complaint]', { hidden: true });
  await ines.sees('the customer drives it on Monday; agreed by Marit, due next service');
});

test('the lead decides: a wrong PIN is refused, the right one passes the item with its reason', async () => {
  await ines.go('/jobs/demo-van-9/safe');
  await ines.sees('still under pressure');
  await ines.tapText('Lead decides');
  await ines.type('Why it may pass', 'gauge reads 0.4 with the line open');
  await ines.type('PIN', '0000');
  await ines.tapText('Allow it');
  await ines.sees('Wrong PIN');
  await ines.type('PIN', '3690');
  await ines.tapText('Allow it');
  await ines.sees('Is the vehicle held?');
  await arrived('demo-van-9', 'exception');
});

test('its own pump in bursts: the clock counts, rests and sums, goes on over a reload, and stops', async () => {
  await ines.go('/jobs/demo-van-9/drain');
  await ines.sees('it leaks: not on the road');
  await ines.tap('[data-way=ownPump]');
  await ines.tap('[data-action=bursts]');
  await ines.page.waitForSelector('[data-phase=burst]');
  await arrived('demo-van-9', 'answer', 'wait');
  await ines.page.reload({ waitUntil: 'load' });
  // A slow machine sees a later one.
  await ines.page.waitForFunction(() => /rest after burst \d/i.test(document.body.innerText), { polling: 100 });
  await ines.tap('[data-instrument=flowCounter]');
  await ines.page.waitForSelector('[data-live=flowCounter]');
  await ines.tap('[data-action=bursts]');
  const waits = async () => (await ines.log('demo-van-9')).filter(({ kind }) => kind === 'wait') as unknown as Entry[];
  const [start, end] = (await until(waits, (all) => all.length === 2)).map(({ at }) => Date.parse(at) / 1000);
  // Ten seconds on, twenty off: each thirty seconds one more is over.
  let over = 0;
  for (let ends = 10; ends <= end! - start!; ends += 30) over += 1;
  await ines.sees(over === 1 ? '1 burst, 0–0.5 L by the count' : `${over} bursts, `);
});

test('a height chosen by hand warns where it may pull, and the plan is one tap away', async () => {
  await ines.go('/jobs/demo-van-4/drop');
  for (let i = 0; i < 3; i++) await ines.tap('[data-action=further]');
  await ines.sees('further than is safe');
  await ines.tapText('plan says');
  await ines.page.waitForFunction(() => !document.body.innerText.includes('further than is safe'));
});

test('a tag opens from the wire, is put off, and says so', async () => {
  await ines.page.setViewport(wide);
  await ines.go('/jobs/demo-van-4/drop');
  await ines.tap(
    '::-p-xpath(//*[@aria-label="tags on the wire, in the order of going back"]//button[contains(., "filler")])',
  );
  await ines.sees('higher than that no hand gets there');
  await ines.tapText('Put off until home');
  await ines.sees('put off: the tank is home');
});

test('quick tests: a ground that loses too much halts the drop, mended it does not', async () => {
  await ines.go('/jobs/demo-van-4/plan');
  await ines.page.waitForSelector('[data-verdict=unknown]', { visible: true });
  await ines.tap('[data-action=tests]');
  await ines.tap('[data-test=ground]');
  await ines.type('The meter reads', '350 mV');
  await ines.tapText('Enter it');
  await ines.page.waitForSelector('[data-verdict=bad]', { visible: true });
  await ines.sees('mend the ground first');
  await ines.tap('[data-test=ground]');
  await ines.type('The meter reads', 'much');
  await ines.sees('Expected a voltage like 12.1 V');
  await ines.type('The meter reads', '0,06');
  await ines.tapText('Enter it');
  await ines.page.waitForSelector('[data-verdict=doubtful]', { visible: true });
});

test('the theme is kept, the gauge moves by keys, the why of a line opens', async () => {
  await ines.go('/jobs/demo-van-9/plan');
  await ines.sees('Ask the vehicle');
  await ines.tap('button[aria-label="night theme"]');
  await ines.go('/next');
  expect(await ines.page.evaluate(() => document.documentElement.dataset.theme)).toBe('night');
  await ines.tapText('Along the rail');
  await ines.page.$eval('[role=slider]', (e) => (e as unknown as HTMLElement).focus());
  for (let i = 0; i < 3; i++) await ines.page.keyboard.press('ArrowLeft');
  expect(await ines.page.$eval('[role=slider]', (e) => e.getAttribute('aria-valuetext'))).toBe('0.3125 of full');
  await ines.go('/jobs/demo-van-9/plan');
  await ines.tap('button[aria-label^="why: Take out"]');
  await ines.sees('one may take 25 kg off a jack');
  await ines.tap('button[aria-label="day theme"]');
});

test('the lead changes the shop’s kilograms and the call changes with them', async () => {
  const context = await browser.createBrowserContext();
  const page = await context.newPage();
  await page.setViewport(wide);
  const marit = new Person(page, shop.base);
  await marit.signIn('Marit', '3690');
  await marit.go('/shop');
  await marit.type('One may take off a jack', 'much');
  await marit.tapText('Keep the rules');
  await marit.sees('Expected a mass like 14 kg');
  await marit.type('One may take off a jack', '3 kg');
  await marit.tapText('Keep the rules');
  await marit.sees('Expected at least 5 kg.');
  await marit.type('One may take off a jack', '10 kg');
  await marit.tapText('Keep the rules');
  await marit.sees('Kept: the calls and quotes reckon with these from now on.');
  await marit.go('/jobs/demo-van-9/plan');
  await marit.sees('Drain it first, then take it down with two.');
  await context.close();
});

test('a signed job takes an addendum and nothing else; its record prints', async () => {
  await ines.go('/jobs/demo-saloon/record');
  await ines.tapText('Add an addendum');
  await ines.type('What is to be added', 'looked at cold next day: dry');
  await ines.tapText('Add it');
  await ines.sees('looked at cold next day: dry (Ines');
  await ines.go('/jobs/demo-saloon/bench');
  await ines.sees('Signed. Only an addendum');
  expect(await ines.page.$('[data-put=rag]')).toBeNull();
  await ines.go('/jobs/demo-saloon/record');
  await ines.page.waitForSelector('[data-record]');
  const pdf = Buffer.from(await ines.page.pdf({ format: 'A4', printBackground: true })).toString('latin1');
  const pages = Number(/\/Count (\d+)/.exec(pdf)?.[1] ?? 0);
  expect(pages).toBeGreaterThanOrEqual(1);
  expect(pages).toBeLessThanOrEqual(2);
});

test('no turn threw an error', () => expect(ines.errors).toEqual([]));

import { readdirSync, readFileSync } from 'node:fs';
import { gzipSync } from 'node:zlib';
import { launch, Person, phone, signedIn, wide, type Browsing } from './lib/browser.ts';
import { openShop, type Shop } from './lib/server.ts';
import { until } from './lib/until.ts';

let shop: Shop;
let browser: Browsing;

beforeAll(async () => {
  shop = await openShop({ host: '0.0.0.0' });
  browser = await launch();
});
afterAll(async () => {
  await browser?.close();
  await shop?.stop();
});

const asInes = (viewport: Parameters<typeof Person.at>[2]) => signedIn(browser, shop.base, { viewport });

test('the main loop by keyboard at 1280', async () => {
  const ines = await asInes(wide);
  await ines.go('/jobs/demo-van-4/drop');
  await ines.page.waitForSelector('[data-height]');
  const before = (await ines.log('demo-van-4')).length;
  await ines.page.keyboard.press('?');
  await ines.sees('all as said, or on to the bench');
  await ines.page.keyboard.press('Escape');
  await ines.page.waitForSelector('[role=dialog]', { hidden: true });
  const height = () => ines.page.$eval('[data-height]', (e) => Number(e.getAttribute('data-height')));
  const planned = await height();
  await ines.page.keyboard.press('ArrowDown');
  await ines.page.waitForFunction(
    (h) => Number(document.querySelector('[data-height]')!.getAttribute('data-height')) === h,
    {},
    planned + 10,
  );
  await ines.page.keyboard.press('ArrowUp');
  await ines.page.keyboard.press('Enter');
  await ines.sees(`Take back: lowered to ${planned}`);
  await ines.page.keyboard.press('h');
  await ines.sees('What holds, and at which height?');
  await ines.page.keyboard.press('Escape');
  await ines.page.waitForSelector('[role=dialog]', { hidden: true });
  // A tag's number, typed anywhere, opens it.
  await ines.page.keyboard.press('2');
  await ines.page.waitForSelector('[role=dialog]');
  await ines.sees('Goes back:');
  await ines.page.keyboard.press('Escape');
  await ines.page.waitForSelector('[role=dialog]', { hidden: true });
  await ines.page.keyboard.press('Backspace');
  await until(
    () => ines.log('demo-van-4'),
    (all) => all.length >= before + 2,
  );
  expect((await ines.log('demo-van-4')).slice(before).map((e) => e.kind)).toEqual(['stopDone', 'takeBack']);
  expect(ines.errors).toEqual([]);
  await ines.page.close();
});

test('an unknown job and an unknown page help instead of failing', async () => {
  const ines = await asInes(phone);
  await ines.go('/jobs/nobody-knows-it/drop');
  await ines.sees('There is no such job here');
  await ines.go('/nowhere');
  await ines.sees('There is no such page here');
  await ines.tapText('Back to the bays');
  await ines.sees('Next vehicle');
  await ines.page.close();
});

test('a job file goes out and comes into an empty shop as the same record', async () => {
  const ines = await asInes(wide);
  await ines.go('/jobs/demo-saloon/record');
  await ines.page.waitForSelector('[data-record]');
  // Who vouches for it is each shop's own to say: the one that sealed it, and one that does not know its key.
  const standing = (p: Person) =>
    p.page
      .waitForSelector('[data-standing]')
      .then((e) => e!.evaluate((one) => (one as unknown as { innerText: string }).innerText));
  const record = async (p: Person) => {
    const said = await standing(p);
    const all = await p.page.$eval('[data-record]', (e) => (e as unknown as { innerText: string }).innerText);
    return { said, rest: all.replace(said, '') };
  };
  const said = await record(ines);
  const file = await ines.api<unknown>('/jobs/demo-saloon/file');
  const empty = await openShop({ demo: false });
  try {
    const page = await (await browser.createBrowserContext()).newPage();
    await page.setViewport(wide);
    const ada = new Person(page, empty.base);
    await ada.go('/');
    await ada.sees('Nobody works here yet');
    await ada.type('Your name', 'Ada');
    await ada.type('A PIN', '1234');
    await ada.tapText('Open the shop');
    await ada.sees('Who is working?');
    await ada.signIn('Ada', '1234');
    const status = await page.evaluate(
      async (text) =>
        (
          await fetch('/api/jobs/import', {
            method: 'POST',
            headers: { 'Content-Type': 'application/json' },
            body: text,
          })
        ).status,
      JSON.stringify(file),
    );
    expect(status).toBe(201);
    await ada.go('/jobs/demo-saloon/record');
    await page.waitForSelector('[data-record]');
    // Made from the file alone; only the shop that shows it may have another name.
    const there = await record(ada);
    expect(there.rest.replace('The shop', 'Tarrow Quay Garage')).toBe(said.rest);
    expect(said.said).toContain('Verified here');
    expect(there.said).toContain('a key unknown here');
  } finally {
    await empty.stop();
  }
  await ines.page.close();
});

test('the script of the first load is at most 200 kB gzip', () => {
  const dist = new URL('../web/dist/', import.meta.url).pathname;
  const html = readFileSync(`${dist}index.html`, 'utf8');
  const scripts = [...html.matchAll(/(?:src|href)="\/(assets\/[^"]+\.js)"/g)].map((m) => m[1]!);
  expect(scripts.length).toBeGreaterThan(0);
  const size = scripts.reduce((sum, path) => sum + gzipSync(readFileSync(dist + path)).length, 0);
  console.info(
    `first load: ${(size / 1000).toFixed(0)} kB gzip in ${scripts.length} scripts of ${readdirSync(`${dist}assets`).length} files`,
  );
  expect(size).toBeLessThanOrEqual(200_000);
});

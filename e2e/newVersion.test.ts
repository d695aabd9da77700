import { appendFileSync, cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from 'puppeteer-core';
import { launch, Person, wide, type Browsing } from './lib/browser.ts';
import { openShop, type Shop } from './lib/server.ts';

/** The shop's server is given a newer version of the application while people work with the one before. */
const web = join(mkdtempSync(join(tmpdir(), 'cradle-web-')), 'dist');
let shop: Shop;
let browser: Browsing;
beforeAll(async () => {
  cpSync(join(import.meta.dirname, '../web/dist'), web, { recursive: true });
  shop = await openShop({ env: { WEB_ROOT: web } });
  browser = await launch();
});
afterAll(async () => {
  await browser?.close();
  await shop?.stop();
  rmSync(web, { recursive: true, force: true });
});

const wait = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));
/** As a link of the application does it: no page is loaded anew. */
const within = (page: Page, path: string) =>
  page.evaluate((to) => {
    history.pushState({}, '', to);
    dispatchEvent(new PopStateEvent('popstate'));
  }, path);
const marked = (page: Page) => page.evaluate(() => 'before' in window);
const waits = (page: Page) =>
  page.evaluate(async () => Boolean((await navigator.serviceWorker.getRegistration())?.waiting));

test('it is laid by while anybody is in a job, and taken over between jobs', async () => {
  const ines = await Person.at(browser, shop.base, wide);
  await ines.signIn('Ines', '2580');
  await ines.go('/jobs/demo-van-4/drop');
  await ines.page.waitForFunction(
    async () => (await navigator.serviceWorker.getRegistration())?.active?.state === 'activated',
    { polling: 200 },
  );
  // A page that was just opening when it took over has it from its next opening on.
  await ines.go('/jobs/demo-van-4/drop');
  await ines.page.waitForFunction(() => navigator.serviceWorker.controller !== null);
  const other = new Person(await ines.page.browserContext().newPage(), shop.base);
  await other.go('/jobs/demo-van-4/plan');
  for (const { page } of [ines, other]) await page.evaluate(() => void Object.assign(window, { before: true }));
  appendFileSync(join(web, 'sw.js'), '\n// a newer one\n');
  await ines.page.evaluate(async () => void (await (await navigator.serviceWorker.getRegistration())!.update()));
  await ines.page.waitForFunction(async () => Boolean((await navigator.serviceWorker.getRegistration())?.waiting), {
    polling: 200,
  });
  // One goes to the bays; the other tab is still in a job.
  await within(ines.page, '/');
  await wait(1_500);
  expect([await marked(ines.page), await waits(ines.page)]).toEqual([true, true]);
  await within(other.page, '/');
  await ines.page.waitForFunction(async () => !(await navigator.serviceWorker.getRegistration())?.waiting, {
    polling: 200,
  });
  // Whichever asked for it is loaded anew, and stands where it was.
  await Promise.any(
    [ines, other].map(({ page }) => page.waitForFunction(() => !('before' in window), { polling: 100 })),
  );
  await ines.sees('Vehicles');
  await other.sees('Vehicles');
  expect([...ines.errors, ...other.errors]).toEqual([]);
});

import type { Entry } from '@iron-cradle/core';
import { launch, Person, phone } from './lib/browser.ts';
import { openShop, otherAddress, type Shop } from './lib/server.ts';
import { until } from './lib/until.ts';

let shop: Shop;

beforeAll(async () => {
  shop = await openShop({ host: '0.0.0.0' });
});
afterAll(() => shop?.stop());

const wait = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));
const entries = async (person: Person, jobId: string): Promise<Entry[]> =>
  (await person.api<{ entries: Entry[] }>(`/jobs/${jobId}/entries`)).entries;

test('over plain http on a name that is not loopback everything works but what needs a secure context', async () => {
  const address = otherAddress();
  const host = address ?? 'cradle.localtest';
  const other = await launch();
  try {
    const page = await other.newPage();
    await page.setViewport(phone);
    const ines = new Person(page, `http://${host}:${shop.port}`);
    await ines.signIn('Ines', '2580');
    expect(await page.evaluate(() => [isSecureContext, 'randomUUID' in crypto, 'locks' in navigator])).toEqual([
      false,
      false,
      false,
    ]);
    await ines.go('/next');
    await ines.tapText('Behind the axle');
    await ines.tapText('Leak');
    await ines.tapText('Gauge lies');
    await ines.tapText('The call');
    await ines.sees('Record the complaint');
    const jobId = ines.jobId();
    await until(
      () => ines.page.evaluate(async (id) => (await fetch(`/api/jobs/${id}/entries`)).status, jobId),
      (status) => status === 200,
    );
    expect((await entries(ines, jobId))[0]!.kind).toBe('opened');
    expect(ines.errors).toEqual([]);
  } finally {
    await other.close();
  }
});

test('over plain http with the network gone altogether every station opens, and the first tap is kept and delivered', async () => {
  const other = await launch();
  try {
    const page = await other.newPage();
    await page.setViewport(phone);
    const ines = new Person(page, `http://${otherAddress() ?? 'cradle.localtest'}:${shop.port}`);
    await ines.signIn('Ines', '2580');
    await ines.go('/jobs/demo-van-9/plan');
    await ines.sees('Ask the vehicle');
    // Somebody walks to the vehicle; what is not here by then will not come.
    await page.waitForFunction(
      () => {
        const here = performance.getEntriesByType('resource').map((entry) => entry.name);
        return ['Prove-', 'Refit-', 'Bench-', 'Drop-', 'Drain-', 'Safe-', 'WitnessChart-'].every((part) =>
          here.some((name) => name.includes(`/${part}`)),
        );
      },
      { polling: 200 },
    );
    await wait(300);
    await page.setOfflineMode(true);
    // As its links do it: no page is loaded anew.
    const within = (station: string) =>
      page.evaluate((path) => {
        history.pushState({}, '', path);
        dispatchEvent(new PopStateEvent('popstate'));
      }, `/jobs/demo-van-9/${station}`);
    for (const station of ['safe', 'drain', 'drop', 'bench', 'refit', 'prove']) {
      await within(station);
      await page.waitForFunction(() => !document.body.innerText.includes('Opening'));
      await wait(300);
      expect([station, await page.evaluate(() => document.body.innerText)]).toEqual([
        station,
        expect.not.stringMatching(/could not be shown/),
      ]);
    }
    await within('drain');
    await ines.tap('[data-witness=plugDry]');
    await ines.page.waitForSelector('[data-band=away]');
    await ines.sees('1 entry is kept here');
    await page.setOfflineMode(false);
    await ines.page.waitForSelector('[data-band=away]', { hidden: true });
    await until(
      () => entries(ines, 'demo-van-9'),
      (all) => all.at(-1)?.kind === 'fuelWitness',
    );
  } finally {
    await other.close();
  }
});

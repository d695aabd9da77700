import { writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { ElementHandle } from 'puppeteer-core';
import { atWork } from './lib/atWork.ts';
import { oneJob } from './lib/oneJob.ts';
import { phone, wide, type Person } from './lib/browser.ts';
import { until } from './lib/until.ts';

let ines: Person;
const work = atWork(wide);
beforeAll(() => ({ ines } = work));
const { arrives, count } = oneJob(() => ines);
const minutes = () => ines.page.$eval('[data-ahead]', (e) => Number(e.getAttribute('data-ahead')));

describe('what lies ahead', () => {
  test('minutes as a range, what each line is asked for, and what if: nothing is entered by asking', async () => {
    await ines.go('/jobs/demo-van-9/plan');
    await ines.tap('[data-action="ahead"]');
    await ines.page.waitForSelector('[data-ahead]');
    const before = await minutes();
    const entries = (await ines.log('demo-van-9')).length;
    await ines.sees('needs to let');
    const vent = await ines.page.$$('[data-less="line:vent"]');
    expect(vent).toHaveLength(1);
    for (let i = 0; i < 6; i++) await ines.tap('[data-less="line:vent"]');
    await ines.page.waitForFunction(
      (was) => {
        const e = document.querySelector('[data-ahead]');
        const no = document.querySelector('[aria-label="no way"]');
        return no !== null || (e !== null && Number(e.getAttribute('data-ahead')) !== was);
      },
      {},
      before,
    );
    await ines.tapText('As it is');
    await ines.page.waitForFunction(
      (was) => Number(document.querySelector('[data-ahead]')?.getAttribute('data-ahead')) === was,
      {},
      before,
    );
    expect((await ines.log('demo-van-9')).length).toBe(entries);
  });

  test('a line that was measured is entered as an answer and known from then on', async () => {
    await ines.page.waitForSelector('[data-asked="line:vent"]');
    const answers = await count('answer');
    await ines.tap('[data-asked="line:vent"]');
    await ines.type('It lets, measured', '95 mm');
    await ines.tapText('It lets 95 mm');
    await arrives('answer', answers);
    await ines.sees('known 95 mm');
  });

  test('no way: the conflict by millimetres, and a change taken over with one tap makes one', async () => {
    await ines.go('/jobs/demo-minibus/drop');
    await ines.sees('holds it at');
    await ines.tap('[data-action="help"]');
    await ines.sees('mm too late');
    const surprises = await count('surprise');
    await ines.tap('[data-remedy="longer"]');
    await arrives('surprise', surprises);
    await ines.page.waitForFunction(() => document.querySelector('[aria-label="no way"]') === null);
    await ines.tapText('Close');
    // The plan goes on from there.
    await ines.page.waitForFunction(() => !document.body.textContent!.includes('holds it at'));
  });
});

describe('the plan on one page', () => {
  test('stands there with its heights, and is kept as SVG and as JSON', async () => {
    await ines.go('/jobs/demo-van-9/sheet');
    await ines.sees('Save as SVG');
    const said = await ines.page.$eval('main svg', (e) => e.getAttribute('aria-label'));
    expect(said).toMatch(/plan of Van 9: \d+ heights on the way down, \d+ on the way up/);
    const saved = await ines.page.evaluate(async () => {
      const kept: { name: string; text: string }[] = [];
      const make = URL.createObjectURL.bind(URL);
      const waiting: Promise<void>[] = [];
      URL.createObjectURL = (blob: Blob) => {
        waiting.push(blob.text().then((text) => void kept.push({ name: blob.type, text })));
        return make(blob);
      };
      for (const which of ['svg', 'json'])
        document.querySelector<HTMLButtonElement>(`[data-action="${which}"]`)!.click();
      await Promise.all(waiting);
      return kept;
    });
    const svg = saved.find((s) => s.name.includes('svg'))!.text;
    expect(svg).toMatch(/^<svg xmlns="http:\/\/www\.w3\.org\/2000\/svg"/);
    const json = JSON.parse(saved.find((s) => s.name.includes('json'))!.text) as { down: unknown[]; caution: string };
    expect(json.down.length).toBeGreaterThan(1);
    expect(json.caution).toMatch(/service information/);
  });
});

describe('the hang', () => {
  test('is drawn along the plan by a key and comes back to now; a tapped line says what is known of it', async () => {
    await ines.page.setViewport(wide);
    await ines.go('/jobs/demo-van-4/drop');
    const slider = '[role=slider][aria-label="along the plan"]';
    await ines.page.waitForSelector(slider);
    const attached = () => ines.page.$$eval('[data-line]', (all) => all.length);
    const now = await attached();
    await ines.page.focus(slider);
    await ines.page.keyboard.press('End');
    await ines.sees('if all is as likely: 320 mm');
    expect(await attached()).toBe(0);
    await ines.page.keyboard.press('Home');
    await ines.page.waitForFunction((n) => document.querySelectorAll('[data-line]').length === n, {}, now);
    await ines.page.$eval('[data-line="vent"]', (e) => e.dispatchEvent(new MouseEvent('click', { bubbles: true })));
    await ines.sees('Pulls tight');
    await ines.sees('mm below home');
    await ines.tapText('Close');
  });
});

describe('a photo bound to a line', () => {
  test('is shrunk on the device, entered with its line, kept by the server and shown beside it', async () => {
    await ines.go('/jobs/demo-van-4/drop');
    // Two taps: the tag, and the photo; on a clip as on a line.
    await ines.tap('[data-facts]');
    const input = await ines.page.waitForSelector('[data-photo] input');
    const about = await input!.evaluate((e) => e.closest('[data-photo]')!.getAttribute('data-photo')!);
    // A picture of its own, larger than is kept.
    const big = await ines.page.evaluate(() => {
      const canvas = document.createElement('canvas');
      [canvas.width, canvas.height] = [2400, 1200];
      canvas.getContext('2d')!.fillRect(100, 100, 900, 700);
      return canvas.toDataURL('image/png').split(',')[1]!;
    });
    const path = join(tmpdir(), 'cradle-photo.png');
    writeFileSync(path, Buffer.from(big, 'base64'));
    const photos = await count('photo');
    await (input as ElementHandle<HTMLInputElement>).uploadFile(path);
    await arrives('photo', photos);
    const entry = (await ines.log('demo-van-4')).filter((e) => e.kind === 'photo').at(-1)!;
    expect(entry.body.key).toBe(about);
    const file = String(entry.body.file);
    const sizeOf = () =>
      ines.page.evaluate(async (id) => {
        const response = await fetch(`/api/jobs/demo-van-4/photos/${id}`);
        if (!response.ok) return null;
        const picture = await createImageBitmap(await response.blob());
        return [picture.width, picture.height];
      }, file);
    expect(await until(sizeOf, (size) => size !== null)).toEqual([1600, 800]);
  });

  test('what is no photo is refused in place, and nothing is entered', async () => {
    const path = join(tmpdir(), 'cradle-text.png');
    writeFileSync(path, 'no picture');
    const photos = await count('photo');
    const input = await ines.page.waitForSelector('[data-photo] input');
    await (input as ElementHandle<HTMLInputElement>).uploadFile(path);
    await ines.sees('That is no picture this device can read');
    expect(await count('photo')).toBe(photos);
  });
});

describe('this device', () => {
  test('glare and text at 150 per cent survive a phone; both stay after a reload', async () => {
    await ines.go('/shop');
    await ines.tapText('Glare');
    await ines.tapText('150');
    await ines.page.setViewport(phone);
    for (const path of [
      '/',
      '/jobs/demo-van-4/drop',
      '/jobs/demo-pickup-2/refit',
      '/jobs/demo-van-9/plan',
      '/vehicles/van-4',
    ]) {
      await ines.go(path);
      await ines.page.waitForSelector('main, section');
      expect(await ines.page.$eval('html', (e) => [e.dataset.theme, e.style.fontSize])).toEqual(['glare', '150%']);
      expect({ path, sideways: await ines.sideways() }).toEqual({ path, sideways: 0 });
      expect(await ines.seriousFaults()).toEqual([]);
    }
    await ines.page.evaluate(() => localStorage.clear());
    await ines.page.setViewport(wide);
  });

  test('a pedal’s forward is “all as said”, once however long a foot rests on it', async () => {
    await ines.go('/jobs/demo-van-4/drop');
    await ines.sees('Something holds');
    const said = async () => (await ines.log('demo-van-4')).length;
    const before = await said();
    const becomes = (want: number) => until(said, (n) => n >= want);
    // The second time and on, it is the key that is held.
    for (let i = 0; i < 12; i++) await ines.page.keyboard.down('PageDown');
    await ines.page.keyboard.up('PageDown');
    await becomes(before + 1);
    // So is Enter on the key that has the focus.
    await ines.page.focus('[data-action=as-said]');
    for (let i = 0; i < 12; i++) await ines.page.keyboard.down('Enter');
    await ines.page.keyboard.up('Enter');
    await becomes(before + 2);
    await new Promise((resolve) => setTimeout(resolve, 500));
    expect((await ines.log('demo-van-4')).slice(before).map(({ kind }) => kind)).toEqual(['stopDone', 'crept']);
  });

  test('none of it threw an error', () => expect(ines.errors).toEqual([]));
});

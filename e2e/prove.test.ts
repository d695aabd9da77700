import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { tagCode } from '@iron-cradle/core';
import { toBuffer } from 'qrcode';
import type { ElementHandle } from 'puppeteer-core';
import { atWork } from './lib/atWork.ts';
import { phone, wide } from './lib/browser.ts';
import { oneJob } from './lib/oneJob.ts';
import { homeAgain, railOf80 } from './lib/provable.ts';

/** At home: what wets a joint decides, a hold stands for a full tank, a needle is off by its ground; then the record, kept and handed over. */
const work = atWork(wide);
const JOB = 'job-to-prove';
const { step } = oneJob(() => work.ines);

const owes = async (text: string): Promise<boolean> =>
  (await work.ines.page.$$eval('[data-owed]', (list) => list.map((e) => e.textContent))).some((one) =>
    one.includes(text),
  );
const joint = (key: string, seen: string) => work.ines.tap(`[data-joint="line:${key}=${seen}"]`);
/** A hold as a table: √p falls by so much a second. */
const table = (seconds: number, fall: number) => [
  's;Pa',
  ...Array.from({ length: seconds }, (_, i) => `${i};${((58 - fall * i) ** 2).toFixed(0)}`),
];
const outcome = (want: string) => work.ines.page.waitForSelector(`[data-hold-outcome=${want}]`);

describe('joint by joint', () => {
  step('a job that came home is opened at Prove', async () => {
    const { ines } = work;
    await ines.go('/');
    await homeAgain(ines, JOB);
    await ines.go(`/jobs/${JOB}/prove`);
    await ines.sees('still owed');
    await ines.type('Litres put in', '12 L');
    await ines.tap('[data-action=fill]');
    await ines.arrives(JOB, 'fill', { litres: 12 });
  });

  step('a clamp that weeps is named, owed, mended and seen dry', async () => {
    const { ines } = work;
    await ines.tap('[data-check=wiped]');
    await ines.tap('[data-check=wet]');
    await joint('return', 'weeps');
    await ines.sees('it weeps');
    await ines.sees('pressure off:');
    await ines.page.waitForSelector('[data-owed="joint:line:return"]');
    expect(await owes('it weeps')).toBe(true);
    await joint('return', 'dry');
    await joint('feed', 'dry');
    await ines.page.waitForFunction(() => !document.querySelector('[data-owed="joint:line:return"]'));
  });

  step('a filler seen dry over twelve litres is not proved', async () => {
    const { ines } = work;
    await joint('filler', 'dry');
    await ines.sees('nothing stood behind it');
    expect(await owes('nothing stood behind it')).toBe(true);
  });
});

describe('held at home instead of a full tank', () => {
  const enterHold = async () => {
    await work.ines.tap('[data-action=let-out]');
    await work.ines.arrives(JOB, 'held', { where: 'home' });
    // Entered, the panel begins anew.
    await outcome('none');
  };
  const warm = async (celsius: string) => {
    await work.ines.tap('::-p-xpath(//summary[contains(., "sharper")])');
    await work.ines.type('How warm at the end', celsius);
  };

  step('a minute without a thermometer over petrol decides nothing, and says so', async () => {
    const { ines } = work;
    await ines.tap('[data-action=hold]');
    await ines.sees('not feed, return or what stands under the fuel');
    await ines.chooseTable(table(64, 0.004));
    await outcome('unknown');
    await ines.stands('[data-action=let-out][aria-disabled]');
    await ines.tapText('It stood');
    await outcome('unknown');
    await ines.sees('Not decided');
    await ines.tap('[data-action=hold-drop]');
  });

  step(
    'one that falls leaks, and is owed; ten minutes that stand hold, and prove what the fuel does not reach',
    async () => {
      const { ines } = work;
      await ines.chooseTable(table(64, 0.4));
      await outcome('bad');
      await enterHold();
      await ines.tapText('Back to the joints');
      await ines.page.waitForSelector('[data-owed=hold]');
      await ines.tap('[data-action=hold]');
      await ines.chooseTable(table(600, 0.0002));
      // Its readings stand before anything is said of them.
      await outcome('unknown');
      await ines.tapText('It stood');
      await warm('20');
      await outcome('good');
      await enterHold();
      await ines.tapText('Back to the joints');
      await ines.page.waitForFunction(() => !document.querySelector('[data-owed=hold]'));
      await ines.page.waitForSelector('[data-held-tight]');
      expect(await owes('nothing stood behind it')).toBe(false);
      expect(await owes('was not looked at')).toBe(false);
    },
  );
});

describe('first start, codes, needle and wires', () => {
  step('an engine that does not start is owed until it runs; a code that is new until it is gone', async () => {
    const { ines } = work;
    await ines.tap('[data-ran=no]');
    await ines.page.waitForSelector('[data-owed=start]');
    await ines.sees('hum as the key goes on');
    await ines.tap('[data-action=start-more]');
    await ines.type('Pressure while it runs', '3.5');
    await ines.type('Battery at rest', '12.6');
    await ines.tap('[data-ran=ran]');
    await ines.page.waitForFunction(() => !document.querySelector('[data-owed=start]'));
    await ines.tapText('Before the work');
    await ines.type('As the tool shows them', 'p0460');
    await ines.tap('[data-action=codes]');
    await ines.arrives(JOB, 'codesRead', { when: 'before' });
    await ines.tapText('After it');
    await ines.type('As the tool shows them', 'P0460, P0455');
    await ines.tap('[data-action=codes]');
    await ines.sees('new since the work: P0455');
    await ines.page.waitForSelector('[data-owed=codes]');
    await ines.tap('[data-action=no-codes]');
    await ines.page.waitForFunction(() => !document.querySelector('[data-owed=codes]'));
  });

  /** Ohms of the sound sender with so many litres: this tank is a box, so they rise straight with them. */
  const ohmsAt = (litres: number): string => (20 + (60 * litres) / railOf80.tank.litres.typ).toFixed(1);

  step(
    'needle and scan tool off alike while the ohms are right: its ground, which is measured bad, mended, and read again',
    async () => {
      const { ines } = work;
      const read = async (litres: number, scan: string) => {
        if (await ines.page.$('[data-action=needle-more]')) await ines.tap('[data-action=needle-more]');
        await ines.type('Scan tool', scan);
        await ines.type('Ohms at its plug', ohmsAt(litres));
        await ines.page.focus('[role=slider][aria-label=needle]');
        await ines.page.keyboard.press('End');
        await ines.tap('[data-action=needle-read]');
      };
      await read(12, '95');
      await ines.sees('one step proves one point');
      await ines.type('Litres put in', '20 L');
      await ines.tap('[data-action=fill]');
      await read(32, '96');
      await ines.sees('off alike, the ohms are right: ground or wire');
      await ines.page.waitForSelector('[data-owed=refill]');
      await ines.tap('[data-action=wires]');
      await ines.type('Amps while it runs', '6');
      await ines.type('Length, fuse to plug', '4');
      await ines.type('Volts lost in the ground', '0.4');
      await ines.page.waitForSelector('[data-wires=bad]');
      await ines.tap('[data-circuit=ground]');
      await ines.type('Ohms from the sender', '5');
      await ines.page.waitForSelector('[data-ground-off]');
      await ines.tap('[data-action=wire-so]');
      await ines.arrives(JOB, 'wireTried', { ground: 0.4 });
      await ines.type('Amps while it runs', '6');
      await ines.type('Length, fuse to plug', '4');
      await ines.type('Volts lost in the ground', '0.05');
      await ines.page.waitForSelector('[data-wires=good]');
      await ines.tap('[data-action=wire-so]');
      await ines.arrives(JOB, 'wireTried', { ground: 0.05 });
      await ines.tap('[data-action=wires-done]');
      await ines.page.waitForFunction(() => !document.querySelector('[data-owed=wire]'));
    },
  );

  step('nothing of it moves sideways on a phone', async () => {
    const { ines } = work;
    await ines.page.setViewport(phone);
    for (const at of ['prove', 'prove?wires', 'prove?hold']) {
      await ines.go(`/jobs/${JOB}/${at}`);
      await ines.stands('h1');
      expect({ at, sideways: await ines.sideways() }).toEqual({ at, sideways: 0 });
    }
    await ines.go(`/jobs/${JOB}/prove`);
    await ines.tap('[data-action=rest]');
    for (const one of await ines.page.$$eval('[data-evening-check]', (list) =>
      list.map((e) => e.getAttribute('data-evening-check')!),
    ))
      await ines.tap(`[data-evening-check="${one}"]`);
    await ines.tapText('All so: good night');
    await ines.arrives(JOB, 'dayEnded');
    await ines.page.setViewport(wide);
  });
});

describe('signed, kept and handed over', () => {
  step('a needle that is off is left with a reason, and the rest is signed', async () => {
    const { ines } = work;
    await ines.go(`/jobs/${JOB}/prove`);
    await ines.tap('[data-again=passed]');
    await ines.type('Plate', 'IS 806');
    await ines.type('Mileage', '90 210');
    await ines.tap('[data-action=identity]');
    await ines.tap('[data-owed=refill]');
    await ines.type('Why it stays like this', 'gauge comes next week');
    await ines.type('Agreed by', 'the owner');
    await ines.type('Due', '2026-12-20');
    await ines.tapText('Enter the deviation');
    await ines.sees('Nothing is owed.');
    await ines.tap('[data-action=sign]');
    await ines.tap('[data-action=sign-now]');
    await ines.stands('[data-record]');
  });

  step('as PDF, as tables, as a zip; what it teaches; and where to look if it comes back', async () => {
    const { ines } = work;
    // Opened anew, once the signature has arrived.
    await ines.arrives(JOB, 'signed');
    await ines.go(`/jobs/${JOB}/record`);
    await ines.stands('[data-action=zip]');
    const kinds = await ines.page.evaluate(async () => {
      const links = [...document.querySelectorAll<HTMLAnchorElement>('a[download]')].map((a) => a.href);
      return Promise.all(
        links.map(async (link) => {
          const response = await fetch(link);
          return `${response.status} ${response.headers.get('content-type')?.split(';')[0]}`;
        }),
      );
    });
    expect(kinds).toEqual(['200 application/pdf', '200 application/pdf', '200 application/zip']);
    await ines.tap('[data-action=tables]');
    await ines.stands('[data-table=torques]');
    await ines.page.keyboard.press('Escape');
    await ines.tap('[data-action=taught]');
    await ines.stands('[data-lesson^="pulled "]');
    await ines.page.keyboard.press('Escape');
    await ines.tap('[data-comeback] summary');
    await ines.tapText('it drips while it runs');
    await ines.page.waitForSelector('[data-suspect="line:return"], [data-suspect="line:feed"]');
    await ines.sees('2026-12-20');
  });
});

test('a tag’s code, photographed, opens what it hangs on; a picture without one says so', async () => {
  const { ines } = work;
  await ines.go('/jobs/demo-van-4/drop');
  await ines.stands('[data-height]');
  const tag = Number(
    await ines.page.$eval('[aria-label^="tags on the wire"] button', (e) => /\d+/.exec(e.textContent)![0]),
  );
  const folder = mkdtempSync(join(tmpdir(), 'cradle-code-'));
  const photograph = async (name: string, bytes: Buffer) => {
    writeFileSync(join(folder, name), bytes);
    const input = (await ines.page.waitForSelector('[data-action=read-code] input')) as ElementHandle<HTMLInputElement>;
    await input.uploadFile(join(folder, name) as `${string}.png`);
  };
  const pixel = Buffer.from(
    'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNkYPhfDwAChwGA60e6kgAAAABJRU5ErkJggg==',
    'base64',
  );
  await photograph('none.png', pixel);
  await ines.sees('No code was found in it');
  await photograph('other.png', await toBuffer('somebody else’s code', { width: 400 }));
  await ines.sees('none of a tag or a record');
  await photograph('tag.png', await toBuffer(tagCode('demo-van-4', tag), { width: 400 }));
  await ines.stands('[role=dialog]');
  await ines.sees('Came off at');
});

test('none of it threw an error', () => {
  expect(work.ines.errors).toEqual([]);
});

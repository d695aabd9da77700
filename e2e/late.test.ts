import type { Entry } from '@iron-cradle/core';
import { atWork } from './lib/atWork.ts';
import { type Person, phone, signedIn, wide } from './lib/browser.ts';
import { cutOff } from './lib/cutOff.ts';
import { until } from './lib/until.ts';

const at = atWork(wide);
const SALOON = 'demo-saloon';
const log = async (person: Person) => (await person.log(SALOON)) as unknown as Entry[];

test('what was made without knowing a signature waits for the lead, and takes effect when the job is opened again', async () => {
  const { browser, shop } = at;
  const marit = await signedIn(browser, shop.base, { name: 'Marit', pin: '3690', viewport: wide });
  const ines = await signedIn(browser, shop.base, { viewport: phone });
  const bo = await signedIn(browser, shop.base, { name: 'Bo', pin: '1470', viewport: phone });

  // The lead opens the signed job again, and says why.
  await marit.go(`/jobs/${SALOON}/record`);
  await marit.tap('[data-action=reopen]');
  await marit.type('Why', 'the customer smells fuel');
  await marit.tapText('Open it again');
  await marit.arrives(SALOON, 'reopened', { reason: 'the customer smells fuel' });

  // Bo puts a rag in, away from the server; Ines meanwhile signs without knowing of it.
  await bo.go(`/jobs/${SALOON}/bench`);
  await bo.stands('[data-put=rag]', true);
  const letBack = await cutOff(bo);
  await bo.tap('[data-put=rag]');
  await bo.stands('[data-band=away]');
  await ines.go(`/jobs/${SALOON}/prove`);
  await ines.tap('[data-action=sign]');
  await ines.tap('[data-action=sign-now]');
  const signed = (
    await until(
      () => log(ines),
      (all) => all.at(-1)?.kind === 'signed',
    )
  ).at(-1);
  expect(signed).toMatchObject({ by: 'ines' });

  // His entry arrives, is kept, and changes nothing that was signed.
  await letBack();
  await bo.arrives(SALOON, 'putIn');
  await ines.go(`/jobs/${SALOON}/record`);
  await ines.stands('[data-late="1"]', true);
  await ines.sees('Made without knowing the signature');
  await ines.sees('The lead decides about it.');
  expect(await ines.page.$('[data-action=reopen], [data-action=stands]')).toBeNull();
  expect(await ines.sideways()).toBeLessThanOrEqual(0);
  expect(await ines.seriousFaults()).toEqual([]);
  await ines.picture('late');

  // Opened again it takes effect: the rag is still in.
  await marit.go(`/jobs/${SALOON}/record`);
  await marit.stands('[data-late="1"]', true);
  await marit.tap('[data-action=reopen]');
  await marit.type('Why', 'a rag may be in it');
  await marit.tapText('Open it again');
  await marit.arrives(SALOON, 'reopened', { reason: 'a rag may be in it' });
  await ines.go(`/jobs/${SALOON}/prove`);
  await ines.sees('rag');
  expect(await ines.page.$eval('[data-action=sign]', (e) => e.getAttribute('aria-disabled'))).toBe('true');
  for (const person of [marit, ines, bo]) {
    expect(person.errors).toEqual([]);
    await person.page.close();
  }
});

test('what the server cannot read stays on the device, and is entered again by hand', async () => {
  const ines = await signedIn(at.browser, at.shop.base, { viewport: phone });
  await ines.go('/jobs/demo-pickup-2/bench');
  await ines.stands('[data-put=lamp]', true);
  const letBack = await cutOff(ines);
  await ines.tap('[data-put=lamp]');
  await ines.stands('[data-band=away]');
  // As an application would write it that is newer than the server.
  await ines.page.evaluate(
    () =>
      new Promise<void>((resolve, reject) => {
        const open = indexedDB.open('cradle-1');
        open.onerror = () => reject(new Error('no store'));
        open.onsuccess = () => {
          const cursor = open.result.transaction('outbox', 'readwrite').objectStore('outbox').openCursor();
          cursor.onsuccess = () => {
            const row = cursor.result;
            if (!row) return resolve();
            const value = row.value as { entry: { version: number } };
            row.update({ ...value, entry: { ...value.entry, version: 99 } });
            row.continue();
          };
        };
      }),
  );
  await letBack();
  await ines.stands('[data-not-taken="kept back"]', true);
  await ines.sees('Kept on this device:');
  await ines.sees('lamp');
  await ines.sees('entered by Ines');
  // Also for somebody who has scrolled down to the bench.
  const top = await ines.page.$eval('[data-not-taken]', (e) => e.getBoundingClientRect().top);
  expect(await ines.page.evaluate(() => scrollY)).toBeGreaterThan(100);
  expect(top).toBeGreaterThanOrEqual(0);
  expect(await ines.sideways()).toBeLessThanOrEqual(0);
  await ines.picture('kept-back');
  expect((await ines.log('demo-pickup-2')).some((e) => e.kind === 'putIn' && e.body.name === 'lamp')).toBe(false);
  await ines.tapText('Enter it again');
  await ines.arrives('demo-pickup-2', 'putIn', { name: 'lamp' });
  await ines.page.waitForSelector('[data-not-taken]', { hidden: true });
  const again = ((await ines.log('demo-pickup-2')) as unknown as Entry[]).find(
    (e) => e.kind === 'putIn' && e.body.name === 'lamp',
  );
  expect(again).toMatchObject({ by: 'ines', said: { by: 'ines' } });
  expect(ines.errors).toEqual([]);
  await ines.page.close();
});

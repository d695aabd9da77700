import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { JobFile } from '@iron-cradle/core';
import { shopKey } from '../server/src/sealing/key.ts';
import { atWork } from './lib/atWork.ts';
import { renamed } from './lib/files.ts';
import { phone, signedIn, wide } from './lib/browser.ts';
import { cutOff } from './lib/cutOff.ts';
import { until } from './lib/until.ts';

/** Who belongs here: a job sealed by another shop, a PIN changed, a lost tablet ended by the lead, somebody who works here no more. */
const work = atWork(wide);
const JOB = 'demo-pickup-2';

test('a job that another shop sealed is told apart until the lead has compared its key', async () => {
  const { browser, shop, ines } = work;
  const folder = mkdtempSync(join(tmpdir(), 'key-'));
  const key = shopKey(join(folder, 'theirs.pem'));
  rmSync(folder, { recursive: true });
  const marit = await signedIn(browser, shop.base, { name: 'Marit', pin: '3690', viewport: phone });
  const own = await ines.page.evaluate(async () => (await fetch('/api/jobs/demo-saloon/file')).text());
  const file = renamed(JSON.parse(own) as JobFile, 'from-elsewhere');
  const { seq, hash } = file.entries.at(-1)!;
  const sealed = { ...file, seals: [key.seal('from-elsewhere', { seq, hash, at: new Date().toISOString() })] };
  const status = await marit.page.evaluate(
    async (body) =>
      (await fetch('/api/jobs/import', { method: 'POST', headers: { 'Content-Type': 'application/json' }, body }))
        .status,
    JSON.stringify(sealed),
  );
  expect(status).toBe(201);
  const says = async (standing: string) => {
    await marit.go('/jobs/from-elsewhere/record');
    await marit.stands(`[data-standing=${standing}]`);
  };
  await marit.go('/jobs/demo-saloon/record');
  await marit.stands('[data-standing=verifiedHere]');
  await says('unknownKey');
  // As it is read out to each other: in groups of four.
  await marit.sees(key.fingerprint.slice(0, 4));
  await ines.go('/shop');
  await ines.stands('[data-key=unknown]');
  expect(await ines.page.$$('[data-action=compared]')).toHaveLength(0);
  await marit.go('/shop');
  await marit.tap('[data-key=unknown] [data-action=compared]');
  await marit.sees('expected the shop’s name');
  await marit.type('All eight groups agree with', 'Third Street');
  await marit.tap('[data-key=unknown] [data-action=compared]');
  await marit.stands('[data-key=compared]');
  expect(await marit.sideways()).toBeLessThanOrEqual(0);
  expect(await marit.seriousFaults()).toEqual([]);
  await says('broughtIn');
  await marit.sees('sealed by Third Street');
  expect(marit.errors).toEqual([]);
});

test('one changes one’s own PIN with the old one; a wrong one says so and loses nothing', async () => {
  const { ines } = work;
  await ines.page.setViewport(phone);
  await ines.go('/shop');
  await ines.stands('[data-action=person-ines]');
  expect(await ines.page.$$('[data-action^=person-]')).toHaveLength(1);
  await ines.tap('[data-action=person-ines]');
  await ines.sees('This one');
  await ines.type('As it is now', '1111');
  await ines.type('The new one', '97531');
  await ines.tap('[data-action=new-pin]');
  await ines.sees('Wrong PIN');
  await ines.type('As it is now', '2580');
  await ines.tap('[data-action=new-pin]');
  await ines.sees('It is changed.');
  expect(await ines.sideways()).toBeLessThanOrEqual(0);
  expect(await ines.seriousFaults()).toEqual([]);
  await ines.tapText('Close');
  await ines.tapText('Sign out');
  await ines.signIn('Ines', '97531');
  await ines.page.setViewport(wide);
});

test('what somebody heard on a device leaves with them', async () => {
  const { browser, shop } = work;
  const bo = await signedIn(browser, shop.base, { name: 'Bo', pin: '1470', viewport: wide });
  /** What the device keeps for a start without its server. */
  const heard = () =>
    bo.page.evaluate(
      () =>
        new Promise<string>((resolve) => {
          const open = indexedDB.open('cradle-1');
          open.onsuccess = () => {
            const get = open.result.transaction('meta').objectStore('meta').get('heard');
            get.onsuccess = () => resolve(String(get.result));
          };
        }),
    );
  await bo.go('/');
  await bo.sees('Van 4');
  expect(await until(heard, (text) => text.includes('Van 4'))).toContain('Van 4');
  await bo.tapText('sign out');
  await bo.sees('Who is working?');
  const left = await until(heard, (text) => !text.includes('Van 4'));
  expect(left).not.toContain('Van 4');
  // Who works here stays: the next one is asked who they are.
  expect(left).toContain('Marit');
  await bo.page.close();
});

test('a lost tablet is ended: it asks to sign in; what it had not delivered is listed, not entered', async () => {
  const { browser, shop, ines } = work;
  const bo = await signedIn(browser, shop.base, { name: 'Bo', pin: '1470', viewport: phone });
  await bo.go(`/jobs/${JOB}/bench`);
  const back = await cutOff(bo);
  const before = (await ines.log(JOB)).length;
  await bo.tap('[data-put=rag]');
  await bo.stands('[data-band=away]');
  const id = await bo.page.evaluate(() => localStorage.getItem('cradle-device'));
  const marit = await signedIn(browser, shop.base, { name: 'Marit', pin: '3690', viewport: wide });
  await marit.go('/shop');
  await marit.tap('[data-action=person-bo]');
  await marit.tap(`[data-device="${id}"] [data-action=end-device]`);
  await marit.page.waitForSelector(`[data-device="${id}"]`, { hidden: true });
  await back();
  await bo.go('/');
  await bo.sees('Who is working?');
  // Whoever has it now may know the PIN: what was waiting is shown, and goes into no log.
  await bo.signIn('Bo', '1470');
  await bo.go(`/jobs/${JOB}/bench`);
  await bo.sees('not ended by the lead');
  expect((await ines.log(JOB)).length).toBe(before);
  // Who works here no more is asked for twice, and then signs in nowhere; what stood open at their tablet does not stay.
  await bo.go('/');
  await bo.sees('Next vehicle');
  await marit.tap('[data-action=remove]');
  await marit.tap('[data-action=remove-now]');
  await marit.page.waitForSelector('[data-action=person-bo]', { hidden: true });
  await bo.sees('Who is working?');
  // What the device heard before stands there until it has asked anew.
  const names = await until(
    () => bo.page.$$eval('button[aria-pressed]', (all) => all.map((e) => (e as unknown as HTMLElement).innerText)),
    (all) => all.length === 2,
  );
  expect(names.join()).not.toContain('Bo');
  expect([...marit.errors, ...bo.errors]).toEqual([]);
});

test('a sign-in that was locked stays so through a reload; the PIN opens it where one was', async () => {
  const { ines } = work;
  await ines.go('/shop');
  await ines.page.evaluate(() => fetch('/api/session/lock', { method: 'PUT' }));
  await ines.page.setViewport(phone);
  await ines.go('/shop');
  await ines.stands('[data-locked]');
  expect(await ines.sideways()).toBeLessThanOrEqual(0);
  expect(await ines.seriousFaults()).toEqual([]);
  // By the keys of a keyboard.
  await ines.page.keyboard.type('1111');
  await ines.page.keyboard.press('Enter');
  await ines.sees('Wrong PIN');
  await ines.page.keyboard.type('97531');
  await ines.page.keyboard.press('Enter');
  await ines.page.waitForSelector('[data-locked]', { hidden: true });
  await ines.sees('Sign out');
  await ines.page.setViewport(wide);
});

import { createConnection } from 'mariadb';
import { type Person, phone, signedIn, wide } from './lib/browser.ts';
import { cutOff } from './lib/cutOff.ts';
import { atWork } from './lib/atWork.ts';
import type { Shop } from './lib/server.ts';
import { PATIENCE, until } from './lib/until.ts';

/** Tablets and their shop: the server gone, its history put back, two at one job, what is not taken. */
const work = atWork(wide);
let shop: Shop;
beforeAll(() => void (shop = work.shop));

const wait = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));
const asInes = (viewport: Parameters<typeof Person.at>[2]) => signedIn(work.browser, shop.base, { viewport });

test('server killed, reload, still away: the stop is there, and arrives once the server is back', async () => {
  const ines = await asInes(phone);
  await ines.go('/jobs/demo-minibus/drop');
  // The service worker must have the application before the power goes.
  await ines.page.evaluate(async () => void (await navigator.serviceWorker.ready));
  await ines.page.reload({ waitUntil: 'load' });
  await ines.stands('[data-freed="60"]');
  const before = (await ines.log('demo-minibus')).length;
  await shop.kill();
  await ines.tap('[data-freed="60"]');
  await ines.page.waitForSelector('[data-action=as-said]');
  await ines.tap('[data-action=as-said]');
  await ines.page.waitForSelector('[data-band=away]');
  await ines.sees('2 entries are kept here');
  // Long enough that everything the application asks for anew has failed for good.
  await wait(6000);
  await ines.page.reload({ waitUntil: 'load' });
  await ines.sees('2 entries are kept here');
  await ines.page.waitForSelector('[data-action=take-back]', { visible: true });
  const said = await ines.page.$$eval('[data-action=take-back]', (list) => list.map((e) => e.textContent).join());
  expect(said).toMatch(/lowered to|crept to|stop before/);
  await shop.start();
  await ines.page.waitForSelector('[data-band=away]', { hidden: true });
  const after = await until(
    () => ines.log('demo-minibus'),
    (all) => all.length >= before + 2,
  );
  expect(after.slice(before).map((e) => e.kind)).toEqual(['surprise', expect.stringMatching(/stopDone|crept/)]);
  expect(await ines.api('/jobs/demo-minibus/chain')).toMatchObject({ brokenAt: null });
  await ines.page.close();
});

test('a database put back from a copy: the server’s height stands under a band, what only this device has is listed', async () => {
  const ines = await asInes(wide);
  await ines.go('/jobs/demo-minibus/drop');
  await ines.stands('[data-freed], [data-action=as-said]');
  const kept = await ines.log('demo-minibus');
  if (await ines.page.$('[data-freed="40"]')) await ines.tap('[data-freed="40"]');
  await ines.tap('[data-action=as-said]');
  await until(
    () => ines.log('demo-minibus'),
    (all) => all.length > kept.length,
  );
  await wait(500);
  const more = (await ines.log('demo-minibus')).length - kept.length;
  await shop.kill();
  const db = await createConnection(`${shop.db.url()}?connectTimeout=${PATIENCE}`);
  await db.query('DELETE FROM entries WHERE job_id = ? AND seq > ?', ['demo-minibus', kept.length]);
  await db.query('DELETE FROM job_states WHERE job_id = ?', ['demo-minibus']);
  await db.end();
  await shop.start();
  await ines.page.waitForSelector('[data-put-back]');
  await ines.page.waitForFunction(
    (n) => document.querySelectorAll('[data-not-taken="kept back"]').length === n,
    {},
    more,
  );
  await ines.tapText('Seen');
  await ines.page.waitForSelector('[data-put-back]', { hidden: true });
  // Let go of here, they are gone; the job goes on.
  for (let i = 0; i < more; i++) await ines.tapText('Let it go');
  await ines.page.waitForSelector('[data-not-taken]', { hidden: true });
  expect(await ines.log('demo-minibus')).toHaveLength(kept.length);
  expect(ines.errors).toEqual([]);
  await ines.page.close();
});

test('two tablets at one job lose nothing, see each other, and never paint the same number', async () => {
  const [ines, bo] = [await asInes(phone), await asInes(wide)];
  for (const person of [ines, bo]) {
    await person.go('/jobs/demo-pickup-2/bench');
    await person.page.waitForSelector('[data-put=rag]');
  }
  const before = (await ines.log('demo-pickup-2')).length;
  await Promise.all([ines.tap('[data-put=rag]'), bo.tap('[data-put=lamp]')]);
  for (const person of [ines, bo]) {
    await person.sees('rag is still in');
    await person.sees('lamp is still in');
  }
  const added = (await ines.log('demo-pickup-2')).slice(before);
  expect(added).toHaveLength(2);
  const tags = added.map((e) => (e.kind === 'putIn' ? e.body.tag : null));
  expect(new Set(tags).size).toBe(2);
  await ines.page.close();
  await bo.page.close();
});

test('what two devices say without knowing of each other is asked on both, and one answer settles it', async () => {
  const [ines, bo] = [await asInes(phone), await asInes(phone)];
  for (const person of [ines, bo]) {
    await person.go('/jobs/demo-van-4/drop');
    await person.page.waitForSelector('[data-action=take-back]');
  }
  // Ines takes the last stop back without a server; Bo, who sees it standing, meanwhile goes on from it.
  const letBack = await cutOff(ines);
  await ines.tap('[data-action=take-back]');
  await ines.page.waitForSelector('[data-band=away]');
  await bo.acts('demo-van-4', '[data-action=as-said]');
  await letBack();
  for (const person of [ines, bo]) await person.stands('[data-two-devices]', true);
  await ines.sees('Two devices say different things of');
  expect(await ines.sideways()).toBeLessThanOrEqual(0);
  expect(await ines.seriousFaults()).toEqual([]);
  await ines.picture('two-devices');
  while (await ines.page.$('[data-two-devices]')) {
    const about = await ines.page.$eval('[data-two-devices]', (e) => e.getAttribute('data-two-devices')!);
    // Where it hangs as each of them has it: before the stop that was taken back, and below it.
    if (about === 'pose') await ines.tap('fieldset button:nth-child(2)');
    await ines.tap('[data-settle=pose], [data-settle=on], [data-settle=seen]');
    await ines.page.waitForFunction(
      (was) => document.querySelector('[data-two-devices]')?.getAttribute('data-two-devices') !== was,
      {},
      about,
    );
  }
  await ines.page.waitForSelector('[data-height]');
  await bo.page.waitForSelector('[data-height]');
  const height = (p: Person) => p.page.$eval('[data-height]', (e) => e.getAttribute('data-height'));
  expect(await height(bo)).toBe(await height(ines));
  expect((await bo.log('demo-van-4')).map((e) => e.kind)).toContain('settled');
  await ines.page.close();
  await bo.page.close();
});

test('what the server refuses is shown with what to do, never dropped', async () => {
  const [ines, bo] = [await asInes(phone), await asInes(phone)];
  for (const person of [ines, bo]) {
    await person.go('/jobs/demo-pickup-2/bench');
    await person.page.waitForSelector('[data-put=rag]');
  }
  while ((await ines.text()).includes('It is out')) {
    await ines.acts('demo-pickup-2', ines.button('It is out'));
    await wait(100);
  }
  for (const [place, remedy] of [
    ['inside', 'sendOut'],
    ['straps', 'replace'],
    ['pads', 'replace'],
  ] as const) {
    await ines.tap(`[data-place=${place}]`);
    await ines.tap(`[data-remedy=${remedy}]`);
    await ines.tap('[data-action=remedy-done]');
    await ines.page.waitForSelector(`[data-place=${place}][data-outcome=good]`);
    await ines.tapText('Back');
  }
  await ines.tapText('Tests passed');
  await ines.tapText('New seal');
  await ines.page.waitForSelector('[data-gate="3"]:not([aria-disabled])');
  await wait(500);
  // Ines goes through the gate without a server; Bo meanwhile puts something in.
  const letBack = await cutOff(ines);
  await ines.tap('[data-gate="3"]');
  await ines.page.waitForSelector('[data-band=away]');
  await ines.sees('A gate was passed here; waiting for the server.');
  await bo.acts('demo-pickup-2', '[data-put=rag]');
  await letBack();
  await ines.sees('Not taken:');
  await ines.sees('rag');
  await ines.sees('To do:');
  await ines.tapText('Seen');
  await ines.page.waitForFunction(() => !document.body.innerText.includes('Not taken'));
  expect(
    (await bo.log('demo-pickup-2')).some((e) => e.kind === 'gate' && (e.body as { gate: number }).gate === 3),
  ).toBe(false);
  await ines.page.close();
  await bo.page.close();
});

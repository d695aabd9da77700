import { atWork } from './lib/atWork.ts';
import { cutOff, phone, signedIn, wide } from './lib/browser.ts';

/** People and devices: a PIN changed, a lost tablet ended by the lead, somebody who works here no more. */
const work = atWork(wide);
const JOB = 'demo-pickup-2';

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
}, 60_000);

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
  // Who works here no more is asked for twice, and then signs in nowhere.
  await marit.tap('[data-action=remove]');
  await marit.tap('[data-action=remove-now]');
  await marit.page.waitForSelector('[data-action=person-bo]', { hidden: true });
  await bo.go('/sign-in');
  await bo.sees('Who is working?');
  const names = await bo.page.$$eval('button[aria-pressed]', (all) =>
    all.map((e) => (e as unknown as HTMLElement).innerText),
  );
  expect(names.length).toBe(2);
  expect(names.join()).not.toContain('Bo');
  expect([...marit.errors, ...bo.errors]).toEqual([]);
}, 90_000);

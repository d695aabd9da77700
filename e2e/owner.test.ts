import { atWork } from './lib/atWork.ts';
import { phone, wide } from './lib/browser.ts';

/** A job rests outside until its owner decides: one list, a yes and a no, taken up again, done as agreed. */
const work = atWork(phone);
const JOB = 'demo-pickup-2';

test('parked with every open end capped and listed, its tag says do not fill', async () => {
  const { ines } = work;
  await ines.go(`/jobs/${JOB}/bench`);
  await ines.page.waitForSelector('[data-parked]');
  await ines.tap('[data-action=rest]');
  await ines.page.waitForSelector('[data-wait="owner decides"]');
  await ines.sees('feed line, capped');
  await ines.tapText('do not fill');
  await ines.page.waitForSelector('[data-label=do-not-fill]');
  await ines.sees('owner decides: the tank shop');
  expect(await ines.sideways()).toBeLessThanOrEqual(0);
});

test('the owner says yes to one and no to another; what was agreed is owed until it is done, and answers what was found', async () => {
  const { ines } = work;
  await ines.go(`/jobs/${JOB}/owner`);
  await ines.sees('pays if it fails once in');
  expect(await ines.sideways()).toBeLessThanOrEqual(0);
  await ines.page.setViewport(wide);
  const ask = (i: number, answer: 'Yes' | 'No') =>
    ines.tap(`::-p-xpath((//*[@data-ask])[${i}]//button[normalize-space(.)="${answer}"])`);
  await ask(1, 'No');
  await ask(2, 'Yes');
  await ask(3, 'Yes');
  await ines.tap('[data-action=owner-said]');
  await ines.sees('Expected a name');
  await ines.type('Who said it', 'the farmer');
  await ines.type('How:', 'by telephone');
  await ines.tap('[data-action=owner-said]');
  await ines.arrives(JOB, 'ownerSaid', { who: 'the farmer' });
  await ines.sees('Agreed so far');
  // 46 for straps and 38 for rubber.
  await ines.sees('84 cr');
  await ines.go(`/jobs/${JOB}/bench`);
  await ines.tap('[data-action=rest]');
  await ines.tap('[data-action=take-up]');
  await ines.page.waitForFunction(() => !document.querySelector('[data-parked]'));
  await ines.page.waitForSelector('[data-place=straps][data-outcome=bad]');
  await ines.go(`/jobs/${JOB}/owner`);
  await ines.tap('[data-done]');
  await ines.arrives(JOB, 'proposalClosed', { as: 'done' });
  await ines.go(`/jobs/${JOB}/bench`);
  await ines.page.waitForSelector('[data-place=straps][data-outcome=good]');
  await ines.go(`/jobs/${JOB}/record`);
  await ines.sees('agreed by the farmer, by telephone; done');
  await ines.sees('declined by the farmer');
});

test('a spark is asked for, and what is wet or near says no', async () => {
  const { ines } = work;
  await ines.go(`/jobs/${JOB}/bench`);
  await ines.tap('[data-action=spark]');
  for (const word of ['grinder or wire wheel', 'On the tank', 'Has held fuel']) await ines.tapText(word);
  for (const i of [4, 5, 6])
    await ines.tap(`::-p-xpath((//*[@data-hand="spark"]//form//fieldset)[${i}]//button[normalize-space(.)="Yes"])`);
  await ines.tap('::-p-xpath(//*[@data-hand="spark"]//button[@data-action="spark"])');
  await ines.page.waitForSelector('[data-spark=bad]');
  await ines.sees('it has held fuel');
});

import { atWork } from './lib/atWork.ts';
import { phone, wide } from './lib/browser.ts';

/** A tank that does not fit is found as it arrives: new laid on old, port by port, before anything is opened. */
const work = atWork(wide);
const JOB = 'demo-van-9';

const fitIs = (want: string) => work.ines.page.waitForSelector(`[data-fit=${want}]`);
const pick = (value: string) =>
  work.ines.page.evaluate((name) => {
    const list = document.querySelector('[data-port-panel] select') as HTMLSelectElement;
    Object.getOwnPropertyDescriptor(HTMLSelectElement.prototype, 'value')!.set!.call(list, name);
    list.dispatchEvent(new Event('change', { bubbles: true }));
  }, value);

test('on arrival: a port of another size is bridged, a missing one stops the job, and the call says so', async () => {
  const { ines } = work;
  await ines.page.setViewport(phone);
  await ines.go(`/jobs/${JOB}/plan`);
  await ines.tap('[data-action=needed]');
  await ines.tapText('Old, new');
  await fitIs('unknown');
  await ines.tap('[data-action=all-same]');
  await fitIs('good');
  // The feed of the new one is a thread where the old one had a barb.
  await ines.tap('[data-port=feed]');
  await ines.tap('[data-port-is=size]');
  await ines.tap('[data-action=port-size]');
  await ines.sees('Expected its size');
  await ines.type('Its bore', '5/16 in');
  await ines.tap('[data-port-panel] form > div:nth-of-type(2) fieldset button:last-child');
  await ines.page.waitForSelector('[data-port-panel] select');
  await pick('NPT 1/4-18');
  await ines.tapText('Inside');
  await ines.tap('[data-action=port-size]');
  await ines.arrives(JOB, 'portLaid');
  await fitIs('doubtful');
  await ines.sees('barb 5/16 in to male NPT 1/4-18');
  await ines.tap('[data-port=return]');
  await ines.tap('[data-port-is=missing]');
  await fitIs('bad');
  await ines.sees('the new part has no port for it');
  expect(await ines.sideways()).toBeLessThanOrEqual(0);
  await ines.go(`/jobs/${JOB}/record`);
  await ines.sees('new against old: return');
});

test('a plug read pin by pin, an index that turned with the years, parts of two donors', async () => {
  const { ines } = work;
  const van = 'demo-van-4';
  await ines.page.setViewport(wide);
  await ines.go(`/jobs/${van}/bench`);
  await ines.tap('[data-action=fit-row]');
  // Two pins change places; how they were read is asked before it is taken.
  for (const [pin, use] of [
    ['now 2', 'the sender'],
    ['now 3', 'ground'],
  ]) {
    await ines.tap(`[data-pin="${pin}"]`);
    await ines.tap(`::-p-xpath(//section[@aria-label="plug and pins"]//button[contains(., "${use}")])`);
  }
  expect(await ines.page.$eval('[data-action=pins]', (key) => (key as HTMLButtonElement).disabled)).toBe(true);
  await ines.tapText('With the meter');
  await ines.tap('[data-action=pins]');
  await ines.arrives(van, 'pinsRead', { how: 'meter' });
  await ines.page.waitForSelector('[data-pins=doubtful]');
  await ines.sees('pin 2: the sender, where the old one has ground');
  // By the keyboard alone: eight steps of five degrees.
  await ines.page.focus('[aria-label="New index, degrees from the front"]');
  for (let i = 0; i < 8; i++) await ines.page.keyboard.press('ArrowRight');
  await ines.tap('[data-action=index]');
  await ines.arrives(van, 'fitMeasured', { figure: 'index', now: 40, old: 0 });
  await fitIs('bad');
  await ines.sees('the index mark stands 40° from the old one’s');
  await ines.tapText('Close');
  const donor = async (part: string, [from, low, high]: [string, string, string]) => {
    await ines.tap(`[data-part-of-unit=${part}]`);
    await ines.tap('[data-action=donor]');
    await ines.type('From whom', from);
    await ines.type('Its lower end', low);
    await ines.type('Its upper end', high);
    await ines.tap('[data-action=donor-enter]');
    await ines.arrives(van, 'setPart', { part });
  };
  await donor('pump', ['the blue van', '12', '5/16 in']);
  await donor('hose', ['the shelf', '3/8 in', '8']);
  await ines.sees('hose inside on pump: bigger than the pipe by');
});

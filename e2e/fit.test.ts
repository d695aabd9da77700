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
}, 90_000);

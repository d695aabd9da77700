import { atWork } from './lib/atWork.ts';
import { phone, wide } from './lib/browser.ts';

/** Bad fuel to its end: what was suspected beside what was found, how far it went, in whose hands the sample is. */
const work = atWork(wide);
const JOB = 'demo-pickup-5';

const reach = (want: string) => work.ines.page.waitForSelector(`[data-reach=${want}]`);
const cause = (want: string) => work.ines.page.waitForSelector(`[data-cause=${want}]`);
const look = async (at: string, is: string) => {
  await work.ines.tap(`[data-stream=${at}]`);
  await work.ines.tap(`[data-look=${is}]`);
  await work.ines.arrives(JOB, 'streamLooked', { at });
};

test('on a phone: dirty at both ends of the filter holds the job until lines and rail are clean', async () => {
  const { ines } = work;
  await ines.page.setViewport(phone);
  await ines.go(`/jobs/${JOB}/bench`);
  await ines.tap('[data-action=stream]');
  // The sample told of slime while it was drained: nobody is asked twice.
  await cause('doubtful');
  await ines.sees('not proven until a laboratory says so');
  await reach('unknown');
  await look('filterIn', 'slime');
  await look('filterOut', 'slime');
  await reach('bad');
  await look('lines', 'clean');
  await ines.sees('nobody looked');
  await look('rail', 'clean');
  await reach('good');
  expect(await ines.sideways()).toBeLessThanOrEqual(0);
  expect(await ines.seriousFaults()).toEqual([]);
});

test('only a laboratory proves it, of a sample whose seal was whole in every hand; the record says all of it', async () => {
  const { ines } = work;
  await ines.page.setViewport(wide);
  await ines.go(`/jobs/${JOB}/bench`);
  await ines.tap('[data-action=stream]');
  await ines.tap('[data-action=hand-over]');
  await ines.tapText('Handed over');
  await ines.sees('Expected to whom');
  await ines.type('To whom', 'the harbour laboratory');
  await ines.tap('[data-sample] form fieldset button:first-child');
  await ines.tapText('Handed over');
  await ines.arrives(JOB, 'sampleHanded', { to: 'the harbour laboratory', whole: true });
  await ines.tap('[data-action=lab]');
  await ines.type('Which laboratory', 'harbour laboratory, 4411');
  await ines.tap('::-p-xpath(//*[@data-sample]//form//button[contains(., "slime")])');
  await ines.tap('::-p-xpath(//*[@data-sample]//form//button[contains(., "Write it down")])');
  await ines.arrives(JOB, 'labTold', { is: 'slime' });
  await cause('good');
  await ines.tapText('Back');
  // What it left in the tank is found where it is drawn, and washed out.
  await ines.tap('[data-place=inside]');
  await ines.tap('[data-found="dark slime"]');
  await ines.page.waitForSelector('[data-place=inside][data-outcome=bad]');
  await ines.tap('[data-remedy=clean]');
  await ines.sees('Detergent and water');
  await ines.tap('[data-action=remedy-done]');
  await ines.page.waitForSelector('[data-place=inside][data-outcome=good]');
  await ines.go(`/jobs/${JOB}/record`);
  await ines.sees('harbour laboratory, 4411: slime');
  await ines.sees('it went past the filter'.slice(3));
});

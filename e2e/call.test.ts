import { wide, type Person } from './lib/browser.ts';
import { atWork } from './lib/atWork.ts';

/** Before a bolt is touched: the call, a vehicle nobody measured, the quote, tried as a person does. */
let ines: Person;
const work = atWork(wide);
beforeAll(() => void (ines = work.ines));

describe('the call', () => {
  test('asks at most three things, and what is answered is not asked again', async () => {
    await ines.go('/jobs/demo-van-9/plan');
    const asked = () => ines.page.$$eval('[data-question]', (all) => all.map((e) => e.getAttribute('data-question')!));
    await ines.page.waitForSelector('[data-question]');
    const before = await asked();
    expect(before.length).toBeGreaterThan(0);
    expect(before.length).toBeLessThanOrEqual(3);
    // Which vehicle it is comes first; each answer makes room for the next question.
    for (let i = 0; i < 20 && !(await asked()).includes('slack vent'); i++) {
      const [first] = (await asked()).filter((id) => id !== 'dip');
      await ines.tap(`::-p-xpath((//*[@data-question="${first}"]//button)[last()])`);
      await ines.page.waitForSelector(`[data-question="${first}"]`, { hidden: true });
    }
    expect(await asked()).toContain('slack vent');
    await ines.tap('::-p-xpath(//*[@data-question="slack vent"]//button[contains(., "Less")])');
    await ines.page.waitForSelector('[data-question="slack vent"]', { hidden: true });
    await ines.arrives('demo-van-9', 'answer', { question: 'slack', of: 'vent', value: 'short' });
    expect(await asked()).not.toContain('slack vent');
  });

  test('a line is measured with a string: too short says so; over a rail it pulls tight at 126 mm', async () => {
    await ines.tap('[data-action=take-back]');
    await ines.page.waitForSelector('[data-question="slack vent"]');
    await ines.tap('::-p-xpath(//*[@data-question="slack vent"]//button[contains(., "Measure it")])');
    await ines.type('From the clip to the port', '300');
    await ines.type('Length of the line', '290');
    await ines.sees('at least the 300 mm');
    await ines.type('Length of the line', '350');
    await ines.type('Rail it runs over', '100');
    await ines.sees('the rail needs both');
    await ines.type('Rail above the clip', '20');
    await ines.picture('string');
    // √((350 − √(100² + 20²))² − 200²) − 20 = 126.68, worked by hand.
    await ines.tapText('It pulls tight at 126 mm');
    await ines.arrives('demo-van-9', 'answer', { question: 'slack', of: 'vent', value: 126 });
  });

  test('the ways in stand beside each other, each with what it costs or why not', async () => {
    await ines.tap('button[aria-label^="why: Drop it"]');
    const text = await ines.page.$eval('[aria-label="ways in"]', (e) => (e as unknown as HTMLElement).innerText);
    for (const way of ['Lower the tank', 'Lift or slide the bed', 'Through the hatch', 'Part-way down'])
      expect(text).toContain(way);
    expect(text).toMatch(/off and back: /);
  });

  test('what is not here could stop the job; what came short in the kit says so', async () => {
    await ines.tap('[data-action=needed]');
    await ines.tap('[data-here="here fastener-strap-stud"][aria-label$="no"]');
    await ines.tap('[data-here="here tabs"][aria-label$="yes"]');
    await ines.tap('::-p-xpath(//li[contains(., "push-tab clips")]//button[normalize-space(.)="1"])');
    await ines.sees('too few in the kit');
    await ines.tapText('Once');
    await ines.sees('battery negative off, key out');
    await ines.tapText('Close');
    await ines.sees('M10 strap studs and nuts not here');
  });
});

describe('a vehicle nobody measured', () => {
  test.each([
    'Along the rail',
    'Under the seat',
    'Behind the axle',
    'Upright',
    'In the wing',
    'In the floor',
    'Loose on pads',
  ])('%s: a few taps to a call with kilograms, hours and a way down', async (mounting) => {
    await ines.go('/next');
    await ines.tapText(mounting);
    await ines.tapText('Pump');
    await ines.tapText('Gauge lies');
    await ines.tapText('The call');
    await ines.sees('Ask the vehicle');
    const text = await ines.text();
    const comesOut = ['Upright', 'In the wing', 'In the floor', 'Loose on pads'].includes(mounting);
    expect(text).toMatch(comesOut ? /Take it out: [\d.]+ (h|min)/ : /Drop it: [\d.]+ (h|min)/);
    expect(text).toMatch(/\d+ ?drained/);
    await ines.arrives(ines.jobId(), 'opened');
    expect((await ines.log(ines.jobId())).map((e) => e.kind)).toEqual(['opened']);
    await ines.go(`/jobs/${ines.jobId()}/drop`);
    await ines.page.waitForSelector('[data-tank], figure, [aria-label="now"]');
  });
});

describe('the quote', () => {
  test('no price is made up; a price set makes the sum; it is saved as CSV and JSON lines', async () => {
    await ines.go('/jobs/demo-van-4/quote');
    await ines.sees('no sum yet');
    for (const name of ['ring seal', 'pump or module', 'strainer', 'fuel filter', 'ear clamps']) {
      const key = `::-p-xpath(//li[contains(., "${name}")]//button[contains(., "set a price")])`;
      if (!(await ines.page.$(key))) continue;
      await ines.tap(key);
      if (name === 'ring seal') {
        await ines.type('Price in', 'cheap');
        await ines.tapText('Keep the price');
        await ines.sees('Expected a number like 24');
      }
      await ines.type('Price in', '24,50');
      await ines.tapText('Keep the price');
      await ines.page.waitForSelector('[role=dialog]', { hidden: true });
    }
    await ines.page.waitForFunction(() =>
      /\d+–\d+ cr/.test((document.querySelector('[data-sum]') as HTMLElement).innerText),
    );
    await ines.page.evaluate(() => {
      const seen: string[] = [];
      Object.assign(window, { seen });
      URL.createObjectURL = (blob) => {
        void (blob as Blob).text().then((t) => seen.push(t));
        return 'blob:none';
      };
      HTMLAnchorElement.prototype.click = () => undefined;
    });
    await ines.tapText('Save as CSV');
    await ines.tapText('Save as JSON lines');
    await ines.page.waitForFunction(() => (window as unknown as { seen: string[] }).seen.length === 2);
    const [csv, lines] = await ines.page.evaluate(() => (window as unknown as { seen: [string, string] }).seen);
    expect(csv.split(/\r?\n/)[0]).toMatch(/^kind,what,unit,low,likely,high/);
    expect(
      lines
        .trim()
        .split('\n')
        .map((l) => (JSON.parse(l) as { what: string }).what),
    ).toContain('ring seal');
  });

  test('what the owner said is an entry, with who, how and when', async () => {
    await ines.tap('[data-action=approval]');
    await ines.sees('Expected a name');
    await ines.tapText('Yes');
    await ines.type('Who said it', 'Harbour office');
    await ines.type('How: by phone', 'by phone');
    await ines.tap('[data-action=approval]');
    await ines.page.waitForSelector('[data-approval=yes]');
    await ines.arrives('demo-van-4', 'approval', { answer: 'yes', who: 'Harbour office' });
    expect((await ines.log('demo-van-4')).filter((e) => e.kind === 'approval')).toHaveLength(1);
  });
});

test('none of it threw an error', () => expect(ines.errors).toEqual([]));

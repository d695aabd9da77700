import { launch, Person, phone, type Browsing } from './lib/browser.ts';
import { provedDry, toTheGround, upAndHome } from './lib/home.ts';
import { oneJob } from './lib/oneJob.ts';
import { openShop, type Shop } from './lib/server.ts';
import { until } from './lib/until.ts';

/** One whole job on a phone in an empty shop, with an unknown vehicle, by pointer alone; taps counted where they matter. */
let shop: Shop;
let browser: Browsing;
let ines: Person;

beforeAll(async () => {
  shop = await openShop({ demo: false });
  browser = await launch();
  ines = await Person.at(browser, shop.base, phone);
});

afterAll(async () => {
  await browser?.close();
  await shop?.stop();
});

const { step, log, newest, count, arrives, act, height } = oneJob(() => ines);

step('an empty shop asks who works there, and lets the first one in', async () => {
  await ines.go('/');
  await ines.sees('Nobody works here yet');
  await ines.tapText('Open the shop');
  await ines.sees('Expected a name');
  await ines.type('Your name', 'Ines');
  await ines.type('A PIN', '2580');
  await ines.tapText('Open the shop');
  await ines.sees('Who is working?');
  await ines.signIn('Ines', '2580');
  await ines.sees('Next vehicle');
});

step('first contact: under twelve taps, nothing typed', async () => {
  const taps = await ines.counted(async () => {
    await ines.tapText('Next vehicle');
    await ines.tapText('Along the rail');
    await ines.tapText('Pump');
    const gauge = await ines.page.waitForSelector('[role=slider]');
    await gauge!.evaluate((e) => e.scrollIntoView({ block: 'center' }));
    const box = (await gauge!.boundingBox())!;
    await ines.page.mouse.click(box.x + box.width / 2, box.y + box.height * 0.5);
    ines.taps += 1;
    await ines.tapText('The call');
  });
  expect(taps).toBeLessThan(12);
  await ines.sees('Don’t take it down alone yet.');
  expect(await ines.sideways()).toBeLessThanOrEqual(0);
});

step('the call waits for the complaint’s test, then make safe item by item', async () => {
  await ines.sees('record the complaint’s test first');
  // The call comes from its worker and moves what stands below it.
  await ines.sees('Could stop you');
  await ines.tap('::-p-xpath(//button[normalize-space(.)="Record"])');
  await ines.tapText('Shows the complaint');
  await ines.tapText('Make it safe');
  await ines.sees('Is the air moving?');
  await ines.tapText('Air is moving');
  await ines.tapText('Heat is away');
  await ines.sees('Is the pressure out?');
  await ines.type('Gauge at the test port', '0.4');
  await ines.tap('[data-action=read-pressure]');
  await ines.sees('still under pressure');
  await ines.type('Gauge at the test port', '1 psi');
  await ines.sees('understood: 0.07 bar');
  await ines.tap('[data-action=read-pressure]');
  await ines.sees('Is the vehicle held?');
  await ines.tapText('It is held');
  await ines.tapText('Covered');
  await ines.tapText('Gate 1: safe to open');
  await ines.sees('Where it goes');
});

step('drain: a can takes no more than it may; two witnesses; gate 2', async () => {
  await ines.tap('[data-action=fill-can]');
  await ines.type('Litres that went in', '25');
  await ines.sees('is all it may take');
  await ines.type('Litres that went in', '18,5');
  await ines.tapText('Into can 1');
  await newest('container');
  await ines.tap('[data-action=fill-can]');
  await ines.type('Litres that went in', '4 gal');
  await ines.sees('understood: 15.1 L');
  await ines.tapText('Into can 2');
  await ines.tap('[data-witness=ranDry]');
  await ines.tap('[data-witness=dip]');
  await ines.type('Wet length', '15 mm');
  await ines.tapText('Enter it');
  await ines.tapText('Gate 2');
  await ines.tapText('Battery is off');
  await ines.tapText('They carry it');
  await ines.tapText('Helper is here');
  await ines.tapText('Gate 2: supports may come off');
  await ines.sees('Before it moves');
});

step('a stop as planned is one tap: pose, parts, caps, bag numbers and look in one entry', async () => {
  expect(await height()).toBe(0);
  const before = await count('stopDone');
  expect(await ines.counted(() => ines.tap('[data-action=as-said]'))).toBe(1);
  await arrives('stopDone', before);
  const stop = await newest('stopDone');
  if (stop.kind !== 'stopDone') throw new Error('not a stop');
  // Cap 0 and bag number 0: both stand in the entry without a tap of their own.
  expect(stop.body.capped).toEqual(expect.arrayContaining(['line:filler', 'line:feed']));
  expect(new Set(stop.body.off.map((o) => o.tag)).size).toBe(stop.body.off.length);
  expect(stop.body.off.every((o) => (o.tag ?? 0) > 0)).toBe(true);
});

step('take back is one tap and names what it takes back; another height is one tap a step', async () => {
  await ines.page.waitForSelector('[data-height="25"]');
  const before = await count('takeBack');
  await ines.tap('[data-action=as-said]');
  await ines.sees('Take back: lowered to 25');
  expect(await ines.counted(() => ines.tap('[data-action=take-back]'))).toBe(1);
  await arrives('takeBack', before);
  await ines.page.waitForSelector('[data-height="25"]');
  expect(await ines.counted(() => ines.tap('[data-action=nearer]'))).toBe(1);
  expect(await height()).toBe(15);
  await ines.tap('[data-action=further]');
  expect(await height()).toBe(25);
});

step('a stop with one difference is two taps', async () => {
  const before = await count('stopDone');
  expect(
    await ines.counted(async () => {
      await ines.tap('[data-holder="line:plug"] button[aria-pressed]');
      await ines.tap('[data-action=as-said]');
    }),
  ).toBe(2);
  await arrives('stopDone', before);
  const stop = await newest('stopDone');
  expect(stop.kind === 'stopDone' && stop.body.look.tight).toEqual(['plug']);
  await ines.tap('[data-action=take-back]');
});

step('an unplanned line is two taps', async () => {
  await ines.page.waitForSelector('[data-height="25"]');
  const before = await count('stopDone');
  expect(
    await ines.counted(async () => {
      await ines.tap('[data-part="line:plug"]');
      await ines.tap('[data-action=as-said]');
    }),
  ).toBe(2);
  await arrives('stopDone', before);
  const stop = await newest('stopDone');
  expect(stop.kind === 'stopDone' && stop.body.off.map((o) => o.key)).toContain('line:plug');
});

step('something holds and is replanned in two taps, the change said in words', async () => {
  const before = await count('surprise');
  const was = await height();
  expect(
    await ines.counted(async () => {
      await ines.tap('[data-action=holds]');
      await ines.tap('[data-holds^="line:vent@"]');
    }),
  ).toBeLessThanOrEqual(2);
  // In a creep the same two taps say where it came taut; otherwise it is a surprise of its own.
  await until(
    async () => (await count('surprise')) + (await count('crept')),
    (n) => n > before,
  );
  await ines.sees('New plan:');
  expect(await ines.text()).toMatch(/vent( hose)? holds it/);
  expect(await height()).toBeLessThanOrEqual(was);
});

step('freed elsewhere, then down to the ground by what the screen says', async () => {
  await act('[data-freed="60"]');
  await toTheGround(ines, { act });
  await ines.sees('The tank is down.');
  await ines.tapText('On to the bench');
  await ines.sees('On the bench');
});

step('bench: what goes in must come out before the ring closes', async () => {
  await ines.tap('[data-put=rag]');
  await ines.sees('rag is still in');
  await ines.tap('[data-place=inside]');
  await ines.tapText('Something else');
  await ines.type('What you found', 'strainer torn');
  await ines.tapText('Write it down');
  await ines.sees('Expected what it means');
  await ines.tap('::-p-xpath(//button[contains(., "halt")])');
  await ines.tapText('Write it down');
  await ines.sees('strainer torn');
  // A halt that was found holds the gate until it is answered.
  await ines.tap('[data-remedy=replace]');
  await ines.tap('[data-action=remedy-done]');
  await ines.tapText('Back');
  await ines.tapText('It is out');
  await ines.tapText('Tests passed');
  await ines.tapText('New seal');
  await ines.tapText('Gate 3: the ring may close');
  await ines.tap('[data-action=ring]');
  await ines.page.waitForFunction(() => location.pathname.endsWith('/refit'));
});

step('refit: every joint singly, test stop with gate 4, then home', async () => {
  await upAndHome(ines, { act });
  const entries = await log();
  const made = entries.filter((e) => e.kind === 'made');
  expect(made.length).toBe(9);
  expect(entries.some((e) => e.kind === 'gate' && e.body.gate === 4)).toBe(true);
  await ines.tapText('Prove it');
});

step('prove: the signature is refused while anything is owed, naming it; then it stands', async () => {
  await ines.sees('still owed');
  expect(await ines.page.$eval('[data-action=sign]', (e) => e.getAttribute('aria-disabled'))).toBe('true');
  await provedDry(ines, '9');
  await ines.sees('plate and mileage are missing');
  await ines.type('Plate', 'is 204');
  await ines.type('Mileage', 'far');
  await ines.tap('[data-action=identity]');
  await ines.sees('Expected a number like 24');
  expect(
    await ines.page.$eval(
      '::-p-xpath(//label[contains(., "Mileage")]/following::input[1])',
      (e) => (e as unknown as { value: string }).value,
    ),
  ).toBe('far');
  await ines.type('Mileage', '48 210');
  await ines.tap('[data-action=identity]');
  await ines.sees('Nothing is owed.');
  // It asks once more: the first tap signs nothing.
  await ines.tap('[data-action=sign]');
  await ines.sees('After this only an addendum can be added');
  expect(await count('signed')).toBe(0);
  await ines.tap('[data-action=sign-now]');
  await ines.page.waitForSelector('[data-record]');
  await ines.sees('plate IS 204');
  const chain = await ines.api<{ brokenAt: number | null }>(`/jobs/${ines.jobId()}/chain`);
  expect(chain.brokenAt).toBeNull();
  // What it taught is there to be kept.
  await ines.tap('[data-action=taught]');
  await ines.page.waitForSelector('[data-lesson="slack vent"]');
  await ines.tapText('Close');
});

step('nothing on the way threw an error or moved sideways', async () => {
  expect(ines.errors).toEqual([]);
  expect(await ines.sideways()).toBeLessThanOrEqual(0);
});

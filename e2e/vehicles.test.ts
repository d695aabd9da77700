import { archetypes } from '@iron-cradle/core';
import { writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { ElementHandle } from 'puppeteer-core';
import { atWork } from './lib/atWork.ts';
import { wide, type Person } from './lib/browser.ts';
import { until } from './lib/until.ts';

let ines: Person;
const work = atWork(wide);
beforeAll(() => ({ ines } = work));
const valueOf = (label: string) =>
  ines.page.$eval(
    `::-p-xpath(//label[contains(normalize-space(.), "${label}")]/following::input[1])`,
    (e) => (e as unknown as { value: string }).value,
  );

describe('a vehicle file, written by a technician', () => {
  test('begun from a mounting, planned while it is written, wrong figures said in place, kept as a version', async () => {
    await ines.go('/vehicles');
    await ines.tap('[data-begin="rail"]');
    await ines.tap('[data-burns="petrol"]');
    await ines.sees('What the shop calls it');
    await ines.type('What the shop calls it', '');
    await ines.type('What the shop calls it', 'Tender 3, harbour');
    await ines.tap('[data-part="line:vent"]');
    // Upside down cannot be typed as a range; a place beyond the tank can.
    await ines.type('Along the tank', '3000');
    await ines.page.waitForSelector('[data-problem$=".x"]');
    await ines.sees('expected a place between 0 and');
    // Each keystroke is a step of its own.
    for (let i = 0; i < 4; i++) await ines.tapText('Undo');
    await ines.page.waitForFunction(() => document.querySelector('[data-problem]') === null);
    // What nobody can mean is asked about before it counts.
    await ines.type('Along the tank', '9000');
    await ines.sees('really 9000 mm?');
    await ines.sees('can’t be read yet');
    for (let i = 0; i < 3; i++) await ines.tapText('Undo');
    await ines.page.waitForSelector('[data-planned]');
    // A line tapped in the drawing is the one that is written.
    await ines.page.$eval('[data-line="feed"]', (e) => e.dispatchEvent(new MouseEvent('click', { bubbles: true })));
    await ines.page.waitForSelector('[data-part="line:feed"][aria-pressed="true"]');
    // A range is typed in one go, and Undo puts the field back too.
    await ines.tap('[data-part="line:vent"]');
    const slack = await valueOf('Slack: pulls tight');
    await ines.type('Slack: pulls tight', '40–55');
    expect(await valueOf('Slack: pulls tight')).toBe('40–55');
    for (let i = 0; i < 8 && (await valueOf('Slack: pulls tight')) !== slack; i++) await ines.tapText('Undo');
    expect(await valueOf('Slack: pulls tight')).toBe(slack);
    await ines.type('Tools, with commas', 'pliers, pick, lamp');
    expect(await valueOf('Tools, with commas')).toBe('pliers, pick, lamp');
    for (let i = 0; i < 20; i++) {
      const undo = await ines.page.$('::-p-xpath(//button[normalize-space(.)="Undo" and not(@disabled)])');
      if (!undo || (await valueOf('Tools, with commas')) === '') break;
      if ((await valueOf('Tools, with commas')) === 'pliers, pick') break;
      await undo.click();
    }
    // What nobody can read is said, and is not kept under the figure before it.
    await ines.type('Slack: pulls tight', 'a hand');
    await ines.sees('can’t be read yet');
    await ines.type('Slack: pulls tight', '45–60');
    await ines.page.waitForFunction(() => !document.body.innerText.includes('can’t be read yet'));
    for (let i = 0; i < 8 && (await valueOf('Slack: pulls tight')) !== slack; i++) await ines.tapText('Undo');
    // Dragged along the tank in the drawing: one step, and one Undo puts it back.
    const at = async () => Number(await valueOf('Along the tank'));
    const was = await at();
    const port = (await ines.page.waitForSelector('[data-line="vent"] rect[width="36"]'))!;
    const box = (await port.boundingBox())!;
    const [px, py] = [box.x + box.width / 2, box.y + box.height / 2];
    await ines.page.mouse.move(px, py);
    await ines.page.mouse.down();
    await ines.page.mouse.move(px - 20, py, { steps: 4 });
    await ines.page.mouse.move(px - 40, py, { steps: 4 });
    await ines.page.mouse.up();
    const moved = await until(at, (now) => now < was - 20);
    expect(moved % 5).toBe(0);
    await ines.tapText('Undo');
    await until(at, (now) => now === was);
    await ines.tap('[data-action="add-thing"]');
    await ines.type('Name', '');
    await ines.type('Name', 'tow wiring');
    await ines.tap('[data-action="keep"]');
    await ines.sees('The version before is kept too');
    await ines.tapText('Before');
    await ines.page.waitForFunction(
      () =>
        [...document.querySelectorAll('[role="dialog"] li')].filter((e) => e.textContent!.includes('Ines')).length >= 2,
    );
    await ines.tapText('Close');
  });

  test('beside the mounting it came from: just what was changed', async () => {
    await ines.tapText('Compare');
    await ines.page.select('[role="dialog"] select', archetypes[0]!.id);
    // What was added, and what pushes the fuel, which nobody has said of this one, and where that sits.
    await ines.page.waitForSelector('[data-differences="3"]');
    await ines.sees('tow wiring');
    await ines.tapText('Close');
  });

  test('a file of the published schema is read; anything else is refused and says why', async () => {
    await ines.go('/vehicles');
    const input = (await ines.page.waitForSelector('input[type="file"]'))!;
    const give = async (name: string, document: unknown) => {
      const path = join(tmpdir(), name);
      writeFileSync(path, JSON.stringify(document));
      await (input as ElementHandle<HTMLInputElement>).uploadFile(path);
    };
    await give('no-vehicle.json', { name: 'no vehicle' });
    await ines.page.waitForSelector('[role="alert"]');
    await give('ferry-van.json', { ...archetypes[1], id: 'ferry-van', name: 'Ferry van' });
    await ines.page.waitForFunction(() => location.pathname === '/vehicles/ferry-van');
    await ines.sees('What the shop calls it');
  });
});

test('none of it threw an error', () => expect(ines.errors).toEqual([]));

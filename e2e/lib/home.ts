import type { Person } from './browser.ts';
import type { oneJob } from './oneJob.ts';

type Hands = Pick<ReturnType<typeof oneJob>, 'act'>;

const breath = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

/** Down to the ground by what the screen says, parting what holds it, freeing what can’t be parted. */
export async function toTheGround(ines: Person, { act }: Hands): Promise<void> {
  for (let i = 0; i < 60; i++) {
    if ((await ines.text()).includes('The tank is down.')) return;
    if (await ines.page.$('[data-freed="60"]')) await act('[data-freed="60"]');
    else if (await ines.page.$('[data-action=part-held]')) await act('[data-action=part-held]');
    else if (await ines.page.$('[data-action=as-said]')) await act('[data-action=as-said]');
    await breath(60);
  }
  throw new Error(`never came down: ${(await ines.text()).slice(0, 600)}`);
}

/** Up in stages, every joint singly, test stop with gate 4, then home. */
export async function upAndHome(
  ines: Person,
  { act }: Hands,
  torque: () => Promise<void> = async () => {
    await ines.type('As it was pulled', '30 ft-lb');
    await ines.sees('understood: 40.7 N·m');
    await ines.tap('[data-action=torque]');
  },
): Promise<void> {
  for (let i = 0; i < 120; i++) {
    const text = await ines.text();
    if (text.includes('Now prove it, joint by joint')) return;
    if (await ines.page.$('[data-gate="4"]:not([aria-disabled])')) await act('[data-gate="4"]');
    else if (text.includes('Joints wiped dry, tray under?')) await ines.tapText('Wiped dry');
    else if (text.includes('Is nobody underneath?')) await ines.tapText('Nobody is');
    else if (text.includes('Battery back on')) await ines.tapText('Battery is on');
    else if (await ines.page.$('[data-action=key-on]')) await act('[data-action=key-on]');
    else if (await ines.page.$('[data-action=test-good]')) await ines.tap('[data-action=test-good]');
    else if (await ines.page.$('[data-action=torque]')) await torque();
    else if (await ines.page.$('[data-action=up]')) await act('[data-action=up]');
    await breath(120);
  }
  throw new Error(`never came home: ${(await ines.text()).slice(0, 600)}`);
}

/** First fill, cans away, every joint wiped, wetted and looked at, the complaint’s test run again. */
export async function provedDry(ines: Person, litres: string): Promise<void> {
  await ines.type('Litres put in', litres);
  await ines.tap('[data-action=fill]');
  await ines.tap('[data-action=cans-away]');
  await ines.tap('[data-check=wiped]');
  await ines.tap('[data-check=wet]');
  // What is seen at once from one place of the head and can be proved now is one tap; the rest singly.
  for (let places = 0; places < 8 && (await ines.page.$('[data-action=all-dry]')); places++) {
    const before = (await ines.page.$$('[data-joint$="=dry"][aria-pressed=true]')).length;
    await ines.tap('[data-action=all-dry]');
    await ines.page.waitForFunction(
      (had) => document.querySelectorAll('[data-joint$="=dry"][aria-pressed=true]').length >= had + 2,
      {},
      before,
    );
  }
  for (const key of await ines.page.$$eval('[data-joint$="=dry"][aria-pressed=false]', (list) =>
    list.map((e) => e.getAttribute('data-joint')!),
  ))
    await ines.tap(`[data-joint="${key}"]`);
  // What only a full tank wets is left until there is one, and says so.
  for (let places = 0; places < 8; places++) {
    const later = await ines.page.$$('[data-action=joints-later]');
    if (later.length === 0) break;
    await ines.tap('[data-action=joints-later]');
    await ines.page.waitForFunction(
      (had) => document.querySelectorAll('[data-action=joints-later]').length < had,
      {},
      later.length,
    );
  }
  await ines.tap('[data-again=passed]');
}

import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Browser, BrowserContext, ElementHandle, Page } from 'puppeteer-core';
import { profile } from './server.ts';
import { turnable } from './turnable.ts';
import { PATIENCE, SLOWED, until } from './until.ts';

/** What the environment of these tests has: the Chromium of this worker, and a way to begin another. */
declare const browsers: { shared: () => Promise<Browser>; begin: (options: object) => Promise<Browser> };

/** A browser as a test file has it: nothing of another file is in it. */
export type Browsing = Pick<Browser, 'newPage' | 'createBrowserContext' | 'close'>;

/** This worker’s browser, for one file. Closed, it takes along what was opened in it. */
export async function launch(): Promise<Browsing> {
  const browser = await browsers.shared();
  const contexts: BrowserContext[] = [];
  const createBrowserContext = async () => {
    const context = await browser.createBrowserContext();
    contexts.push(context);
    return context;
  };
  const own = await createBrowserContext();
  return {
    newPage: () => own.newPage(),
    createBrowserContext,
    // One that its test has closed already stays closed.
    close: async () => void (await Promise.allSettled(contexts.map((context) => context.close()))),
  };
}

/** A browser that is nobody else’s. `home` is where it looks for what its person trusts. */
export const launchOwn = (home?: string): Promise<Browser> =>
  browsers.begin({ userDataDir: profile(), ...(home ? { env: { ...process.env, HOME: home } } : {}) });

export const phone = { width: 390, height: 844, isMobile: true, hasTouch: true } as const;
export const wide = { width: 1280, height: 800 } as const;
export const upright = { width: 800, height: 1280 } as const;

const axe = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');
interface Finding {
  id: string;
  impact: string;
  nodes: { html: string }[];
}

export interface Logged {
  kind: string;
  body: Record<string, unknown>;
}

/** A person at a screen: taps what is seen, counts the taps, and fails on any script error. */
export class Person {
  taps = 0;
  errors: string[] = [];

  constructor(
    readonly page: Page,
    readonly base: string,
  ) {
    page.setDefaultTimeout(PATIENCE);
    void page.evaluateOnNewDocument(turnable);
    if (SLOWED > 1) void page.emulateCPUThrottling(SLOWED);
    page.on('pageerror', (error) => this.errors.push((error as Error).message));
    page.on('console', (message) => {
      if (message.type() === 'error' && !/ERR_|Failed to load resource/.test(message.text()))
        this.errors.push(message.text());
    });
  }

  static async at(browser: Browsing, base: string, viewport: Parameters<Page['setViewport']>[0]): Promise<Person> {
    const page = await browser.newPage();
    await page.setViewport(viewport);
    return new Person(page, base);
  }

  async go(path: string): Promise<void> {
    await this.page.goto(this.base + path, { waitUntil: 'load' });
    await this.page.evaluate(() => document.fonts.ready);
  }

  /** Waits until it stands on the page; says what stands there instead where it never does. */
  async stands(selector: string, visible = false): Promise<ElementHandle> {
    try {
      return (await this.page.waitForSelector(selector, { visible }))!;
    } catch (error) {
      const text = (await this.text().catch(() => 'a page that does not answer')).slice(0, 400);
      throw new Error(`${selector} never stood at ${this.page.url()}, but: ${text}`, { cause: error });
    }
  }

  /** Taps by pointer where the element really is; it must be on top there. What is drawn anew while it is aimed at is aimed at again. */
  async tap(selector: string): Promise<void> {
    for (let tries = 0; ; tries++)
      try {
        // What moved away under the finger is tapped again.
        if ((await this.tapOnce(selector)) || tries >= 2) return;
      } catch (error) {
        if (tries >= 2 || !/detached|not clickable/.test((error as Error).message)) throw error;
      }
  }

  /** @returns did the tap meet it? */
  private async tapOnce(selector: string): Promise<boolean> {
    const handle = await this.stands(selector, true);
    await handle.evaluate((e) => e.scrollIntoView({ block: 'center', behavior: 'instant' as ScrollBehavior }));
    // A hand waits until what it aims at stands still, and brings out what something else lies over.
    await handle.evaluate(async (e) => {
      const moment = () => new Promise((resolve) => setTimeout(resolve, 20));
      for (let same = 0, tries = 0, last = ''; same < 2 && tries < 50; tries++) {
        const { x, y, width, height } = e.getBoundingClientRect();
        const hit = document.elementFromPoint(x + width / 2, y + height / 2);
        const seen = hit !== null && (e.contains(hit) || hit.contains(e));
        if (!seen) e.scrollIntoView({ block: 'center', behavior: 'instant' as ScrollBehavior });
        same = seen && `${x},${y}` === last ? same + 1 : 0;
        last = `${x},${y}`;
        await moment();
      }
    });
    // And reads a safety question before it answers: a tap in its first moment answers nothing.
    if (await handle.evaluate((e) => e.closest('[data-singly]') !== null)) await this.passes(450);
    const met = await handle.evaluateHandle((e) => {
      const seen = { it: false };
      const look = (event: Event) => void (seen.it = event.composedPath().includes(e));
      document.addEventListener('click', look, { capture: true, once: true });
      return seen;
    });
    await handle.click();
    // Gone with its page, or from it: that was the tap.
    const missed = await handle.evaluate((e, seen) => e.isConnected && !seen.it, met).catch(() => false);
    if (!missed) this.taps += 1;
    return !missed;
  }

  /** Lets so much time pass at once for whatever looks how soon a finger comes, ms. */
  passes = (ms: number): Promise<void> =>
    this.page.evaluate((more) => (globalThis as unknown as { turnClock: (ms: number) => void }).turnClock(more), ms);

  /** Somebody has watched a needle for so long, ms: by the page’s own watch, which is turned. No meter may be read on that page. */
  watched = (ms: number): Promise<void> =>
    this.page.evaluate((more) => (globalThis as unknown as { turnWatch: (ms: number) => void }).turnWatch(more), ms);

  button = (text: string): string =>
    `::-p-xpath(//*[self::button or self::a][contains(normalize-space(.), "${text}")])`;
  tapText = (text: string): Promise<void> => this.tap(this.button(text));

  async type(label: string, text: string): Promise<void> {
    const handle = await this.page.waitForSelector(
      `::-p-xpath(//label[contains(normalize-space(.), "${label}")]/following::*[self::input or self::textarea][1])`,
      { visible: true },
    );
    await handle!.evaluate((e) => e.scrollIntoView({ block: 'center', behavior: 'instant' as ScrollBehavior }));
    await handle!.click();
    // What stands there is replaced, wherever the tap put the caret.
    await handle!.evaluate((e) => (e as unknown as { select: () => void }).select());
    if (text === '') await handle!.press('Backspace');
    else await handle!.type(text);
  }

  /** Waits until the text stands on the page; says what stands there instead where it never does. */
  async sees(text: string): Promise<void> {
    try {
      await this.page.waitForFunction(
        (t) => document.body.innerText.replace(/\s+/g, ' ').toLowerCase().includes(t.toLowerCase()),
        { polling: 100 },
        text,
      );
    } catch (error) {
      const there = (await this.text().catch(() => 'a page that does not answer')).slice(0, 1200);
      throw new Error(`“${text}” was never read at ${this.page.url()}, but: ${there}`, { cause: error });
    }
  }

  text = (): Promise<string> => this.page.evaluate(() => document.body.innerText.replace(/\s+/g, ' '));

  /** How many taps something took. */
  async counted(work: () => Promise<void>): Promise<number> {
    const before = this.taps;
    await work();
    return this.taps - before;
  }

  async signIn(name: string, pin: string): Promise<void> {
    await this.go('/sign-in');
    // A device of the network on which nobody signed in yet is shown no names.
    const stranger = '[data-field=name-typed]';
    await this.page.waitForSelector(`button[aria-pressed], ${stranger}`);
    if (await this.page.$(stranger)) await this.type('Your name, as the shop has it', name);
    else await this.tapText(name);
    for (const digit of pin) await this.tap(`::-p-xpath(//button[normalize-space(.)="${digit}"])`);
    await this.tap('::-p-xpath(//button[normalize-space(.)="Sign in"])');
    await this.page.waitForFunction(() => !location.pathname.startsWith('/sign-in'));
  }

  async api<T>(path: string): Promise<T> {
    return this.page.evaluate(async (p) => (await fetch(`/api${p}`)).json() as never, path) as Promise<T>;
  }

  /** The log of a job as the server has it. */
  async log(jobId: string): Promise<Logged[]> {
    return (await this.api<{ entries: Logged[] }>(`/jobs/${jobId}/entries`)).entries;
  }

  /** Taps and waits until what was entered has arrived. */
  async acts(jobId: string, selector: string): Promise<void> {
    const before = (await this.log(jobId)).length;
    await this.tap(selector);
    await until(
      () => this.api<{ entries: Logged[] }>(`/jobs/${jobId}/entries?since=${before}`),
      ({ entries }) => entries.length > 0,
    );
  }

  /** Chooses a CSV file of these lines. */
  async chooseTable(lines: readonly string[]): Promise<void> {
    const path = join(mkdtempSync(join(tmpdir(), 'cradle-table-')), 'table.csv');
    writeFileSync(path, lines.join('\n'));
    const input = (await this.page.waitForSelector('input[type=file][accept*=csv]')) as ElementHandle<HTMLInputElement>;
    await input.uploadFile(path as `${string}.csv`);
  }

  /** Waits until the server has an entry of a kind with these fields. */
  async arrives(jobId: string, kind: string, body: Record<string, unknown> = {}): Promise<void> {
    await this.page.waitForFunction(
      async (id, k, want) => {
        const { entries } = (await (await fetch(`/api/jobs/${id}/entries`)).json()) as { entries?: Logged[] };
        return (entries ?? []).some(
          (e) => e.kind === k && Object.entries(want).every(([field, value]) => e.body[field] === value),
        );
      },
      { polling: 200 },
      jobId,
      kind,
      body as never,
    );
  }

  jobId = (): string => /\/jobs\/([^/]+)/.exec(this.page.url())![1]!;

  /** How far the page goes beyond the width it was given, px; the page's own widths grow along with what stands in it. */
  async sideways(): Promise<number> {
    const given = this.page.viewport()?.width ?? 0;
    return (await this.page.evaluate(() => document.documentElement.scrollWidth)) - given;
  }

  /** What axe-core finds that would keep somebody from using the page. */
  async seriousFaults(): Promise<string[]> {
    await this.page.evaluate(axe);
    const found = (await this.page.evaluate(
      async () =>
        (
          await (
            window as unknown as { axe: { run: (of: Document, options: object) => Promise<{ violations: unknown[] }> } }
          ).axe.run(document, { resultTypes: ['violations'] })
        ).violations,
    )) as Finding[];
    return found
      .filter((f) => f.impact === 'serious' || f.impact === 'critical')
      .map((f) => `${f.id}: ${f.nodes[0]!.html.slice(0, 160)}`);
  }

  /** Puts the picture under a name when pictures are wanted. */
  async picture(name: string): Promise<void> {
    if (!process.env.SCREENS) return;
    await this.page.evaluate(() => document.fonts.ready);
    await new Promise((resolve) => setTimeout(resolve, 700));
    await this.page.screenshot({ path: `${process.env.SCREENS}/${name}.png` as `${string}.png` });
  }
}

/** A person signed in on a device of their own: nothing of it is shared with another. */
export async function signedIn(
  browser: Browsing,
  base: string,
  { name = 'Ines', pin = '2580', viewport }: { name?: string; pin?: string; viewport: Parameters<typeof Person.at>[2] },
): Promise<Person> {
  const page = await (await browser.createBrowserContext()).newPage();
  await page.setViewport(viewport);
  const person = new Person(page, base);
  await person.signIn(name, pin);
  return person;
}

import { expect, test } from '@jest/globals';
import type { Entry } from '@iron-cradle/core';
import type { Person } from './browser.ts';

/** The hands of a test that takes one job from step to step: what is said, and what has arrived at the server. */
export function oneJob(person: () => Person) {
  /** Later steps stand on earlier ones: after a failure the rest says so at once, and the screen is kept to be looked at. */
  let broken = '';
  const step = (name: string, work: () => Promise<void>, ms: number) =>
    test(
      name,
      async () => {
        if (broken) throw new Error(`not tried: “${broken}” failed before`);
        try {
          await work();
        } catch (error) {
          broken = name;
          await person()
            .page.screenshot({ path: '.cradle/journey-failed.png' })
            .catch(() => undefined);
          throw error;
        }
      },
      ms,
    );
  const log = async (): Promise<Entry[]> => (await person().log(person().jobId())) as unknown as Entry[];
  const newest = async (kind: string): Promise<Entry> => {
    for (let i = 0; i < 50; i++) {
      const found = (await log()).filter((e) => e.kind === kind).at(-1);
      if (found) return found;
      await new Promise((resolve) => setTimeout(resolve, 100));
    }
    throw new Error(`no ${kind} arrived`);
  };
  const count = async (kind: string) => (await log()).filter((e) => e.kind === kind).length;
  const arrives = async (kind: string, before: number) => {
    for (let i = 0; i < 60 && (await count(kind)) <= before; i++)
      await new Promise((resolve) => setTimeout(resolve, 80));
    expect(await count(kind)).toBe(before + 1);
  };
  /** Taps and waits until what was entered has arrived. */
  const act = async (selector: string): Promise<void> => {
    const before = (await log()).length;
    await person().tap(selector);
    for (let k = 0; k < 60 && (await log()).length === before; k++) await new Promise((r) => setTimeout(r, 50));
  };
  const height = () => person().page.$eval('[data-height]', (e) => Number(e.getAttribute('data-height')));
  return { step, log, newest, count, arrives, act, height };
}

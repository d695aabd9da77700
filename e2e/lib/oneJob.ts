import { expect, test } from '@jest/globals';
import type { Entry } from '@iron-cradle/core';
import type { Person } from './browser.ts';
import { until } from './until.ts';

/** The hands of a test that takes one job from step to step: what is said, and what has arrived at the server. */
export function oneJob(person: () => Person) {
  /** Later steps stand on earlier ones: after a failure the rest says so at once, and the screen is kept to be looked at. */
  let broken = '';
  const step = (name: string, work: () => Promise<void>) =>
    test(name, async () => {
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
    });
  const log = async (): Promise<Entry[]> => (await person().log(person().jobId())) as unknown as Entry[];
  const newest = async (kind: string): Promise<Entry> => {
    const of = (all: Entry[]) => all.filter((e) => e.kind === kind).at(-1);
    return of(await until(log, (all) => of(all) !== undefined))!;
  };
  const count = async (kind: string) => (await log()).filter((e) => e.kind === kind).length;
  const arrives = async (kind: string, before: number) => {
    expect(
      await until(
        () => count(kind),
        (n) => n > before,
      ),
    ).toBe(before + 1);
  };
  const act = (selector: string): Promise<void> => person().acts(person().jobId(), selector);
  const height = () => person().page.$eval('[data-height]', (e) => Number(e.getAttribute('data-height')));
  return { step, log, newest, count, arrives, act, height };
}

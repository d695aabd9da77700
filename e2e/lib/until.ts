/** How many times slower the browser is made, to find the steps that only a fast one takes. */
export const SLOWED = Number(process.env.SLOWED ?? 1);

/** What never comes is what fails: a machine that does other work at once takes its time. ms */
export const PATIENCE = SLOWED > 1 ? 150_000 : 60_000;

const wait = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

/** Asks until the answer fits, and gives it. @throws where it never does, with what was answered last */
export async function until<T>(ask: () => Promise<T>, fits: (answer: T) => boolean): Promise<T> {
  for (const begun = Date.now(); ;) {
    const answer = await ask();
    if (fits(answer)) return answer;
    if (Date.now() - begun > PATIENCE)
      throw new Error(`never came; at last it was ${(JSON.stringify(answer) ?? 'nothing').slice(-600)}`);
    await wait(80);
  }
}

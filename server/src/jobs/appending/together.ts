import { setImmediate } from 'node:timers/promises';
import { isLost } from '../../db/away.ts';
import type { Stock } from '../shelves.ts';
import { share, type Turn } from './share.ts';

type Waiting = Turn<unknown> & { done: (result: unknown) => void; failed: (error: unknown) => void };

/** So many turns share a transaction, and so many entries; with more its rows would be held for long. */
const SHARED = 32;
const ENTRIES = 200;
/** A transaction that takes longer waits for somebody: the next one begins beside it, ms. */
const PATIENCE = 100;

/**
 * Whoever adds to a job while another transaction is on its way waits for its end, and goes with all who waited: one write to the disk
 * serves them all. A job is in one transaction at a time.
 */
export class Together {
  private waiting: Waiting[] = [];
  /** Turns under way, by job. */
  private busy = new Map<string, number>();
  private working = false;

  constructor(private stock: Stock) {}

  /** Adds to a job. @returns what its work returned, once it is written */
  take<T>(turn: Turn<T>): Promise<T> {
    return new Promise<T>((resolve, reject) => {
      const ended = <A>(answer: (a: A) => void) => {
        return (a: A) => {
          this.over(turn.jobId);
          answer(a);
        };
      };
      this.waiting.push({ ...turn, done: ended(resolve as (result: unknown) => void), failed: ended(reject) });
      void this.go();
    });
  }

  private over(jobId: string): void {
    const left = (this.busy.get(jobId) ?? 1) - 1;
    if (left > 0) this.busy.set(jobId, left);
    else this.busy.delete(jobId);
    void this.go();
  }

  private async go(): Promise<void> {
    if (this.working || this.waiting.length === 0) return;
    this.working = true;
    // Who is heard of in the same moment goes along.
    await setImmediate();
    for (let turns = this.next(); turns.length > 0; turns = this.next()) {
      await within(PATIENCE, this.settle(turns));
      await setImmediate();
    }
    this.working = false;
  }

  /** Those who go together now, in their order. */
  private next(): Waiting[] {
    const free = this.waiting.filter(({ jobId }) => !this.busy.has(jobId)).slice(0, SHARED);
    let entries = 0;
    const turns = free.filter(({ ids }, i) => (entries += ids.length) <= ENTRIES || i === 0);
    const going = new Set(turns);
    this.waiting = this.waiting.filter((turn) => !going.has(turn));
    for (const { jobId } of turns) this.busy.set(jobId, (this.busy.get(jobId) ?? 0) + 1);
    return turns;
  }

  /** Sees to it that each gets its answer. One that fails for a reason of its own, or has to wait for somebody, takes no other along. */
  private async settle(turns: readonly Waiting[], opens = false): Promise<void> {
    try {
      const { results, held, missing } = await share(this.stock, turns, opens);
      for (const [turn, result] of results) turn.done(result);
      const later = byJob(held).map((own) => this.settle(own));
      if (missing.length > 0) later.push(this.settle(missing, true));
      await Promise.all(later);
    } catch (error) {
      const jobs = byJob(turns);
      if (turns.length === 1 || isLost(error)) for (const turn of turns) turn.failed(error);
      else if (jobs.length > 1) await Promise.all(jobs.map((own) => this.settle(own, opens)));
      else for (const turn of turns) await this.settle([turn], opens);
    }
  }
}

const byJob = (turns: readonly Waiting[]): Waiting[][] =>
  [...new Set(turns.map(({ jobId }) => jobId))].map((id) => turns.filter(({ jobId }) => jobId === id));

/** Waits for work to end, but no longer than so many ms. */
async function within(ms: number, work: Promise<void>): Promise<void> {
  let timer: NodeJS.Timeout | undefined;
  await Promise.race([work, new Promise<void>((resolve) => (timer = setTimeout(resolve, ms)))]);
  clearTimeout(timer);
}

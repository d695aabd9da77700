import type { Database } from '../db/connect.ts';

/** How often it is looked which of the jobs somebody listens to have gone on: another server may have written. ms */
const POLL_MS = 700;
/** The same for all jobs at once, which is a longer look. ms */
const POLL_ALL_MS = 3000;

type Wake = () => void;

/**
 * Wakes whoever listens to a job: at once where this server wrote, at the next look where another did. There is one look for all who
 * listen, however many they are.
 */
export class Bell {
  private jobs = new Map<string, Set<Wake>>();
  private all = new Set<Wake>();
  private reached = new Map<string, number>();
  private newest: string | null = null;
  private polls: NodeJS.Timeout[] = [];

  constructor(private db: Database) {}

  /** A job has gone on here. */
  ring(jobId: string): void {
    for (const wake of this.jobs.get(jobId) ?? []) wake();
    if (this.all.size > 0) this.lookAtAll();
  }

  /** Hears of one job. @returns stops it */
  listen(jobId: string, wake: Wake): () => void {
    const set = this.jobs.get(jobId) ?? new Set();
    this.jobs.set(jobId, set.add(wake));
    this.begin();
    return () => {
      set.delete(wake);
      if (set.size === 0) {
        this.jobs.delete(jobId);
        this.reached.delete(jobId);
      }
      this.end();
    };
  }

  /** Hears whenever anything of any job has changed. @returns stops it */
  listenToAll(wake: Wake): () => void {
    this.all.add(wake);
    this.begin();
    return () => {
      this.all.delete(wake);
      this.end();
    };
  }

  private begin(): void {
    if (this.polls.length > 0) return;
    this.polls = [setInterval(this.lookAtJobs, POLL_MS), setInterval(this.lookAtAll, POLL_ALL_MS)];
  }

  private end(): void {
    if (this.jobs.size + this.all.size > 0) return;
    this.polls.forEach(clearInterval);
    this.polls = [];
    this.newest = null;
  }

  private lookAtJobs = oneAtATime(async () => {
    if (this.jobs.size === 0) return;
    const rows = await this.db.models.Job.findAll({
      where: { id: [...this.jobs.keys()] },
      attributes: ['id', 'lastSeq'],
      raw: true,
    });
    for (const { id, lastSeq } of rows) {
      if (this.reached.get(id) === lastSeq) continue;
      this.reached.set(id, lastSeq);
      for (const wake of this.jobs.get(id) ?? []) wake();
    }
  });

  private lookAtAll = oneAtATime(async () => {
    if (this.all.size === 0) return;
    // The newest few, by an index, also where two changed in the same millisecond: never a walk over all there ever were.
    const rows = await this.db.models.Job.findAll({
      attributes: ['id', 'lastSeq', 'touched'],
      order: [['touched', 'DESC']],
      limit: 16,
      raw: true,
    });
    const now = JSON.stringify(rows);
    const before = this.newest;
    this.newest = now;
    if (before !== null && before !== now) for (const wake of this.all) wake();
  });
}

/** Work that runs once at a time; asked for meanwhile it runs once more. What fails is tried at the next look. */
export function oneAtATime(work: () => Promise<void>): () => void {
  let busy = false;
  let again = false;
  const run = async (): Promise<void> => {
    if (busy) return void (again = true);
    busy = true;
    try {
      do {
        again = false;
        await work();
      } while (again);
    } catch {
      // The database is away for a moment: the client keeps what it has.
    } finally {
      busy = false;
    }
  };
  return () => void run();
}

import type { Entry, JobState } from '@iron-cradle/core';

/** A job as this device has it. */
export interface JobView {
  /** `reload`: the log has something this build does not know. */
  status: 'loading' | 'ready' | 'missing' | 'reload';
  /** Its number in this shop; null until the server said it. */
  number: number | null;
  /** Its state; null while it is read. */
  state: JobState | null;
  /** Every entry this device holds, in order: the confirmed ones, then what is on its way. */
  log: readonly Entry[];
  /** The shop’s history was put back: when its newest entry came in, ISO time, until somebody saw it. */
  putBack: string | null;
}

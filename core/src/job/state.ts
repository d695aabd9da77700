import type { KernelState } from '../kernel/index.ts';
import type { slices } from './slices.ts';

/** The fields of one slice. */
type FieldsOf<S> = S extends { start: (...opened: never[]) => infer Fields } ? Fields : never;

/** All of a union at once. */
type AllOf<U> = (U extends unknown ? (each: U) => void : never) extends (all: infer All) => void ? All : never;

/** All that follows from a job’s log: every slice, and what the kernel keeps. Made by the fold alone. */
export type JobState = KernelState & AllOf<FieldsOf<(typeof slices)[number]>>;

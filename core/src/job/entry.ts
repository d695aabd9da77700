import type { RawEntry } from '../kernel/index.ts';
import type { kinds } from './kinds.ts';

type AnyKind = (typeof kinds)[number];

/** Kind → body, as each kind says itself. */
export type Bodies = { [K in AnyKind as K['kind']]: InstanceType<K['Body']> };

/** Name of a kind. */
export type EntryKind = keyof Bodies;

/** One line of the log. */
export type Entry = { [K in EntryKind]: RawEntry<K, Bodies[K]> }[EntryKind];

import { useSyncExternalStore } from 'react';
import type { NotTaken } from './db.ts';

/** How things stand between this device and the server. */
export interface LineState {
  /** Does it answer, does it know who asks, and does it ask for their PIN first? */
  server: 'here' | 'away' | 'signIn' | 'pin';
  /** Entries not delivered yet. */
  waiting: number;
  /** What the server did not take. */
  notTaken: NotTaken[];
  /** This device can't keep what is entered: its storage is full, or there is none. Null where it can. */
  storage: 'full' | 'missing' | null;
  /** Photos the server refused; they stay on the device. */
  photosRefused: number;
}

let state: LineState = { server: 'here', waiting: 0, notTaken: [], storage: null, photosRefused: 0 };
const listeners = new Set<() => void>();

/** How things stand now. */
export const lineState = (): LineState => state;

/** Says what has changed. */
export function setLine(next: Partial<LineState>): void {
  state = { ...state, ...next };
  listeners.forEach((tell) => tell());
}

/** Says that this device could not keep something, and why. */
export const storageFailed = (error: unknown): void =>
  setLine({ storage: (error as { name?: string } | null)?.name === 'QuotaExceededError' ? 'full' : 'missing' });

/** How things stand, kept current. */
export const useLine = (): LineState =>
  useSyncExternalStore((tell) => {
    listeners.add(tell);
    return () => void listeners.delete(tell);
  }, lineState);

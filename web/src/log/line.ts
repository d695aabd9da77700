import { useSyncExternalStore } from 'react';
import type { NotTaken } from './db.ts';

/** How things stand between this device and the server. */
export interface LineState {
  /** Does it answer, and does it know who asks? */
  server: 'here' | 'away' | 'signIn';
  /** Entries not delivered yet. */
  waiting: number;
  /** What the server did not take. */
  notTaken: NotTaken[];
}

let state: LineState = { server: 'here', waiting: 0, notTaken: [] };
const listeners = new Set<() => void>();

/** How things stand now. */
export const lineState = (): LineState => state;

/** Says what has changed. */
export function setLine(next: Partial<LineState>): void {
  state = { ...state, ...next };
  listeners.forEach((tell) => tell());
}

/** How things stand, kept current. */
export const useLine = (): LineState =>
  useSyncExternalStore((tell) => {
    listeners.add(tell);
    return () => void listeners.delete(tell);
  }, lineState);

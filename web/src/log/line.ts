import { useSyncExternalStore } from 'react';
import type { NotTaken } from './db.ts';

/** How things stand between this device and the server. */
export interface LineState {
  server: 'here' | 'away' | 'signIn';
  /** Entries not delivered yet. */
  waiting: number;
  notTaken: NotTaken[];
}

let state: LineState = { server: 'here', waiting: 0, notTaken: [] };
const listeners = new Set<() => void>();

export const lineState = (): LineState => state;

export function setLine(next: Partial<LineState>): void {
  state = { ...state, ...next };
  listeners.forEach((tell) => tell());
}

export const useLine = (): LineState =>
  useSyncExternalStore((tell) => {
    listeners.add(tell);
    return () => void listeners.delete(tell);
  }, lineState);

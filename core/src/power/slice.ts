import { defineSlice, type RecordLine } from '../kernel/index.ts';

/** The key turned on, and off again. */
interface KeyTurn {
  /** Id of the entry. */
  id: string;
  /** Where the tank hung: at the test stop or at home. */
  where: 'test stop' | 'home';
  /** How the fuel came forward. */
  primed: 'pump' | 'crank' | 'hand' | 'none';
  /** Person's id. */
  by: string;
  /** ISO time. */
  at: string;
  /** ISO time; null while it is on. */
  off: string | null;
}

/** Battery and key. */
export interface PowerSlice {
  /** Battery negative: on its post or off; null where nobody said. */
  battery: 'on' | 'off' | null;
  /** Every turn of the key, oldest first. */
  keyTurns: readonly KeyTurn[];
}

/** Holds battery and key. */
export const powerSlice = defineSlice<PowerSlice>({
  name: 'power',
  start: () => ({ battery: null, keyTurns: [] }),
  hears: {
    battery: (own, { on }) => void (own.battery = on ? 'on' : 'off'),
  },
  record: ({ keyTurns }) =>
    keyTurns.map(({ where, by, at }): RecordLine => ({
      under: 'proof',
      text: `key on at ${where === 'home' ? 'home' : 'the test stop'}`,
      by,
      at,
    })),
});

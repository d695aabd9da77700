import { travelOf } from './carried.ts';
import type { Travel } from './types.ts';

/** What moving a tank is called, by the way it leaves its place. */
export interface TravelWords {
  /** What becomes of it: “it comes down”, “the tank is down”. */
  off: 'down' | 'out';
  /** The whole of it, in the call. */
  job: string;
  /** The same, as a way of getting at what is in it. */
  wayIn: string;
  /** Moved away from its place. */
  gone: string;
  /** To move it towards its place, as one says it. */
  home: string;
  /** Moved towards it. */
  back: string;
  /** The whole way away from its place. */
  wayOff: string;
  /** The whole way back. */
  wayBack: string;
  /** Of two places the one away from home. */
  further: string;
  /** And the one towards it. */
  nearer: string;
  /** Beside a figure: “40 mm up”; empty where it hangs below its place. */
  beside: '' | 'out' | 'up' | 'back';
}

const out = {
  off: 'out',
  job: 'Take it out',
  wayIn: 'Take the tank out',
  wayOff: 'way out',
  wayBack: 'way back in',
} as const;

const words: Record<Travel, TravelWords> = {
  down: {
    off: 'down',
    job: 'Drop it',
    wayIn: 'Lower the tank',
    gone: 'lowered',
    home: 'raise',
    back: 'raised',
    wayOff: 'way down',
    wayBack: 'way up',
    further: 'lower',
    nearer: 'higher',
    beside: '',
  },
  out: {
    ...out,
    gone: 'moved out',
    home: 'move in',
    back: 'moved in',
    further: 'further out',
    nearer: 'further in',
    beside: 'out',
  },
  up: {
    ...out,
    gone: 'lifted',
    home: 'let down',
    back: 'let down',
    further: 'higher',
    nearer: 'lower',
    beside: 'up',
  },
  back: {
    ...out,
    gone: 'slid back',
    home: 'slide in',
    back: 'slid in',
    further: 'further back',
    nearer: 'further in',
    beside: 'back',
  },
};

/**
 * How one speaks of moving this tank. Common practice, no source.
 *
 * @example travelWords(pads).gone // 'slid back'
 */
export const travelWords = (file: Parameters<typeof travelOf>[0]): TravelWords => words[travelOf(file)];

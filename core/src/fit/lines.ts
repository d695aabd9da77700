import type { Complaint } from '../order/index.ts';
import type { PartKind, VehicleFile } from '../vehicle/index.ts';
import { kindsIn, type GoesIn } from './goesIn.ts';
import { answerTo, askChoice, type Answered } from '../questions/index.ts';

/** A new part to be held against the old one. */
export interface Compared {
  /** Id of what is needed. */
  id: string;
  /** As people call it. */
  name: string;
  /** What to look at. */
  why: string;
  /** Old against new; `carry`: goes over from the old part; null: nobody looked. */
  is: 'same' | 'different' | 'carry' | 'carried' | null;
}

/** What is held against each other before anything is opened. Common practice, no source. */
const lines: { id: string; name: string; why: string; for: readonly string[]; of: readonly PartKind[] }[] = [
  {
    id: 'ports',
    name: 'ports, their number and place',
    why: 'months have gone into a port nobody could fit',
    for: ['pump', 'level', 'biggerTank', 'leak', 'rust'],
    of: ['flange'],
  },
  {
    id: 'threads',
    name: 'threads and tube sizes',
    why: 'a thread nobody can name stops the job',
    for: ['biggerTank', 'pump', 'leak', 'rust', 'addedPickup'],
    of: ['flange'],
  },
  {
    id: 'functions',
    name: 'valves and shut-offs',
    why: 'the old one had a shut-off, the new one has none',
    for: ['biggerTank', 'pump', 'leak', 'rust', 'badFuel', 'hose'],
    of: ['flange', 'pump', 'footValve'],
  },
  {
    id: 'ohms',
    name: 'ohms empty and full',
    why: 'the needle would lie from the first day',
    for: ['level', 'pump', 'biggerTank'],
    of: ['sender'],
  },
  {
    id: 'plug',
    name: 'plug and pin positions',
    why: 'position before colour',
    for: ['pump', 'level'],
    of: ['flange', 'pump', 'sender'],
  },
  {
    id: 'index',
    name: 'index mark',
    why: 'it turned with the years of the model',
    for: ['pump', 'level'],
    of: ['flange'],
  },
  {
    id: 'flange',
    name: 'flange and mounting',
    why: 'a flange too large does not seal',
    for: ['pump', 'level', 'biggerTank', 'leak', 'rust'],
    of: ['flange'],
  },
  {
    id: 'pressure',
    name: 'pump pressure',
    why: 'a carburettor wants about half a bar, injection three to four',
    for: ['pump'],
    of: ['pump'],
  },
  {
    id: 'capacity',
    name: 'capacity and length',
    why: 'straps and lines were made for the old one',
    for: ['biggerTank', 'leak', 'rust'],
    of: [],
  },
  {
    id: 'filter',
    name: 'filter: ports, flow arrow, pressure',
    why: 'turned about or too weak it bursts or starves',
    for: ['badFuel', 'pump', 'fades', 'screens'],
    of: ['filter', 'strainer'],
  },
  {
    id: 'bore',
    name: 'hose: bore, bends, length',
    why: 'one size up no clamp seals; too short it pulls when the tank is home',
    for: ['hose', 'leak'],
    of: ['hose'],
  },
  {
    id: 'grade',
    name: 'hose: the printed grade',
    why: 'return hose softens inside a tank and bursts at injection pressure',
    for: ['hose', 'badFuel', 'pump'],
    of: ['hose'],
  },
];

/** Old part against new. Asked of a line of the comparison. */
export const COMPARE = askChoice('compare', 'old against new', {
  among: ['same', 'different', 'carry', 'carried'],
  writes: ['gate:3'],
  ofThing: true,
});

/** What decides which lines are held against each other. */
export type ComparedFor = { complaint: Complaint; vehicle: VehicleFile } & GoesIn & Answered;

/**
 * Old part against new, line by line, as far as somebody looked: those of what goes in, once that is known; what somebody said differs
 * or goes over stays said.
 *
 * @example compareList(state)[0]!.is // 'same'
 */
export function compareList(state: ComparedFor): Compared[] {
  const kinds = kindsIn(state);
  return lines
    .filter((line) => line.for.includes(state.complaint))
    .map(({ of, ...line }) => ({ ...line, of, is: answerTo(state, COMPARE, line.id) ?? null }))
    .filter(({ of, is }) => kinds === null || of.some((kind) => kinds.has(kind)) || (is !== null && is !== 'same'))
    .map(({ id, name, why, is }) => ({ id, name, why, is }));
}

/**
 * Lines that still stand against the job: different, or to be carried over and not yet done.
 *
 * @example compareOpen(state).length // 0 once all were held against the old ones
 */
export const compareOpen = (state: ComparedFor): Compared[] =>
  compareList(state).filter((line) => line.is === 'different' || line.is === 'carry');

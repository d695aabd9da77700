import { decidedOf, foldJob, logWriter, refusalOf, type Bodies, type Entry, type EntryKind } from '../job/index.ts';
import { inWords } from '../quantity/index.ts';
import { archetypes, type VehicleFile } from '../vehicle/index.ts';
import { judgeGate } from './index.ts';

/** A rail as it ships. */
export const rail = archetypes.find(({ mounting }) => mounting === 'rail')!;

/** A job told entry by entry, each decided as the server would. */
export function start(vehicle: VehicleFile = rail, complaint: Bodies['opened']['complaint'] = 'leak') {
  const write = logWriter('job');
  const log: Entry[] = [];
  let state = foldJob(null, [])!;
  const add = <K extends EntryKind>(kind: K, body: Bodies[K]) => {
    const entry = write(kind, body) as unknown as Entry;
    const decided = log.length > 0 ? decidedOf(state, entry) : undefined;
    log.push({ ...entry, ...(decided ? { decided } : {}) } as Entry);
    state = foldJob(null, log)!;
    return entry.id;
  };
  add('opened', { name: 'Van', complaint, vehicle, gauge: 0.25 });
  return {
    get state() {
      return state;
    },
    /** Its log so far. */
    log,
    say: add,
    refused: <K extends EntryKind>(kind: K, body: Bodies[K]) => refusalOf(state, write(kind, body) as unknown as Entry),
    is: (gate: 1 | 2 | 3 | 4, id: string) => judgeGate(state, gate).find(({ item }) => item.id === id)?.verdict,
  };
}
/** A job told so. */
export type Job = ReturnType<typeof start>;

/** Gate 1: pressure let out, its items answered. */
export const passOne = (job: Job) => {
  job.say('pressure', { reading: 4 });
  for (const item of ['air', 'heat', 'support', 'hands']) job.say('gateItem', { gate: 1, item, answer: 'yes' });
  return job.say('gate', { gate: 1 });
};
/** Gate 2: drained, two witnesses, battery off. */
export const passTwo = (job: Job) => {
  job.say('container', { number: 1, capacity: 20, litres: 18, clean: true });
  job.say('fuelWitness', { witness: 'ranDry' });
  job.say('fuelWitness', { witness: 'dip', reading: 8 });
  for (const [item, answer] of [
    ['battery', 'yes'],
    ['jack', 'yes'],
    ['helper', 'here'],
  ] as const)
    job.say('gateItem', { gate: 2, item, answer });
  return job.say('gate', { gate: 2 });
};
/** Gate 3: tests and seal. */
export const passThree = (job: Job) => {
  job.say('gateItem', { gate: 3, item: 'tests', answer: 'passed' });
  job.say('gateItem', { gate: 3, item: 'seal', answer: 'new' });
  return job.say('gate', { gate: 3 });
};
/** Gate 4: wiped, nobody under, battery on. */
export const passFour = (job: Job) => {
  for (const item of ['wiped', 'under', 'battery']) job.say('gateItem', { gate: 4, item, answer: 'yes' });
  return job.say('gate', { gate: 4 });
};
/** What was done before its gate was passed. */
export const crossings = (job: Job) => job.state.crossings.map(({ gate, what }) => `${gate}: ${inWords(what)}`);

import { lengthText, type UnitSystem } from '../quantity/system.ts';
import { nameOf, shortName } from './names.ts';
import { poseInWords } from '../stops/poseWords.ts';
import { TAPE } from '../stops/tape.ts';
import type { Entry, JobState, Pose } from './types.ts';

/** What an entry says, in a few words: for “take back”, for the log, for the record. */
export function entryInWords(state: JobState, entry: Entry, units: UnitSystem = 'metric'): string {
  const name = (key: string) => shortName(nameOf(state, key));
  const where = (pose: Pose) => poseInWords(pose, state.vehicle.ends, units).replace(/ (mm|in)$/, '');
  switch (entry.kind) {
    case 'opened':
      return 'job opened';
    case 'identity':
      return `plate ${entry.body.plate}`;
    case 'complaintTest':
      return 'complaint’s test';
    case 'complaintAgain':
      return `test again: ${entry.body.result}`;
    case 'fuelWitness':
      return `witness: ${entry.body.witness}`;
    case 'answer':
      return entry.body.question.startsWith(TAPE)
        ? `tape read, ${state.vehicle.ends[entry.body.question.endsWith('f') ? 0 : 1]} end`
        : `${entry.body.question} chosen`;
    case 'approval':
      return `owner: ${entry.body.answer}`;
    case 'gateItem':
      return `${entry.body.item}: ${entry.body.answer}`;
    case 'gate':
      return `gate ${entry.body.gate} passed`;
    case 'exception':
      return `exception: ${entry.body.item}`;
    case 'pressure':
      return entry.body.reading !== undefined ? `pressure ${entry.body.reading / 100} bar` : 'pressure: read otherwise';
    case 'container':
      return `${entry.body.litres} L into can ${entry.body.number}`;
    case 'fuelMoved':
      return `${entry.body.litres} L ${{ spilled: 'spilt', returned: 'put back', disposed: 'disposed of', fedIn: 'came in by itself' }[entry.body.what]}`;
    case 'tankShape':
      return 'shape of the tank';
    case 'fill':
      return `${entry.body.litres} L put in`;
    case 'stopDone':
      return Math.max(entry.body.to.f, entry.body.to.r) === 0
        ? 'stop before lowering'
        : `lowered to ${where(entry.body.to)}`;
    case 'crept':
      return entry.body.taut
        ? `stopped at ${where(entry.body.to)}, ${name(entry.body.taut)} taut`
        : `crept to ${where(entry.body.to)}`;
    case 'moved':
      return `${entry.body.why === 'raised' || entry.body.why === 'in' ? 'raised' : 'moved'} to ${where(entry.body.to)}`;
    case 'surprise':
      return entry.body.what === 'freed'
        ? `${name(entry.body.key)} freed, ${lengthText(entry.body.more ?? 0, units)}`
        : `${entry.body.name ?? name(entry.body.key)} holds`;
    case 'pulled':
      return `${name(entry.body.key)} pulled`;
    case 'inspected':
      return `${name(entry.body.key)} inspected`;
    case 'cleared':
      return `${name(entry.body.key)} off`;
    case 'restored':
    case 'made':
      return `${name(entry.body.key)} back`;
    case 'putIn':
      return `${entry.body.name} in`;
    case 'takenOut':
      return `${name(entry.body.key)} out`;
    case 'loosened':
      return `${entry.body.name} loose`;
    case 'deferred':
      return `${name(entry.body.key)} put off`;
    case 'replaced':
      return entry.body.key.startsWith('cut:') ? 'the cut made good' : `${name(entry.body.key)} replaced`;
    case 'cut':
      return `${entry.body.key ? name(entry.body.key) : entry.body.what} cut`;
    case 'finding':
      return entry.body.what;
    case 'torque':
      return `torque of ${name(entry.body.key)}`;
    case 'jointSeen':
      return `${name(entry.body.key)} seen ${entry.body.seen}`;
    case 'deviation':
      return 'deviation';
    case 'wait':
      return `${entry.body.what} ${entry.body.state === 'start' ? 'started' : 'ended'}`;
    case 'note':
      return 'note';
    case 'photo':
      return 'photo';
    case 'parked':
      return entry.body.reason ? 'parked' : 'taken up again';
    case 'addendum':
      return 'addendum';
    case 'takeBack':
      return 'taken back';
    case 'signed':
      return 'signed';
  }
}

/** The newest entry that can be taken back, in words; null when there is none. */
export function takeBackInWords(
  state: JobState,
  units: UnitSystem = 'metric',
): { entry: string; words: string } | null {
  const newest = state.kept.at(-1);
  if (!newest || newest.kind === 'opened' || state.signed) return null;
  return { entry: newest.id, words: entryInWords(state, newest, units) };
}

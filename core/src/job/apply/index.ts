import { InputError } from '../../errors/index.ts';
import type { Margins } from '../../stops/margins.ts';
import { fuelAboard } from '../../tank/index.ts';
import type { Entry, JobState } from '../types.ts';
import { answered } from './answers.ts';
import * as ledger from './ledger.ts';
import * as safety from './safety.ts';
import * as tank from './tank.ts';

/** One entry takes effect on the draft. Facts always do; the fold has kept out what the state forbids. */
export function apply(state: JobState, entry: Entry, margins: Margins): void {
  const who = { by: entry.by, at: entry.at };
  switch (entry.kind) {
    case 'identity':
      state.identity = entry.body;
      break;
    case 'complaintTest':
      state.complaintTest = { ...entry.body, ...who };
      break;
    case 'complaintAgain':
      state.complaintAgain = { ...entry.body, ...who };
      break;
    case 'answer':
      answered(state, entry.body);
      break;
    case 'approval':
      state.approval = { ...entry.body, ...who };
      break;
    case 'gateItem':
      state.gates[entry.body.gate].answers[entry.body.item] = {
        answer: entry.body.answer,
        words: entry.body.words ?? null,
        ...who,
        excepted: null,
      };
      break;
    case 'gate':
      state.gates[entry.body.gate].passed = who;
      break;
    case 'exception':
      safety.exception(state, entry);
      break;
    case 'pressure':
      safety.pressure(state, entry);
      break;
    case 'fuelWitness':
      witnessed(state, entry);
      break;
    case 'container':
      safety.container(state, entry);
      break;
    case 'fuelMoved':
      safety.fuelMoved(state, entry);
      break;
    case 'tankShape':
      safety.tankShape(state, entry);
      break;
    case 'fill':
      state.filled += entry.body.litres;
      state.fills.push({ litres: entry.body.litres, ...who });
      break;
    case 'stopDone':
      tank.stopDone(state, entry, margins);
      break;
    case 'crept':
      tank.crept(state, entry, margins);
      break;
    case 'moved':
      tank.moveTo(state, entry.body.to, entry, 'stop');
      break;
    case 'surprise':
      tank.surprise(state, entry.body);
      break;
    case 'pulled':
      state.pulls.push({ key: entry.body.key, ...who, inspected: null, words: null });
      break;
    case 'inspected':
      for (const pull of state.pulls)
        if (pull.key === entry.body.key)
          Object.assign(pull, { inspected: entry.body.outcome, words: entry.body.words ?? null });
      break;
    case 'cleared':
      tank.takeOff(state, entry.body.key, entry.body.way, entry.body.tag, entry);
      break;
    case 'replaced':
      tank.replaced(state, entry.body);
      break;
    case 'made':
    case 'restored':
    case 'takenOut':
      ledger.close(state, entry);
      break;
    case 'putIn':
    case 'loosened':
      ledger.putIn(state, entry);
      break;
    case 'cut':
      tank.cut(state, entry);
      break;
    case 'deferred':
      ledger.setState(state, entry.body.key, 'deferred', entry.body.until);
      break;
    case 'deviation':
      ledger.setState(state, entry.body.key, 'deviation', entry.body.reason);
      state.deviations.push({ ...entry.body, by: entry.by });
      break;
    case 'torque':
      ledger.torque(state, entry);
      break;
    case 'jointSeen':
      ledger.jointSeen(state, entry);
      break;
    case 'finding':
      state.findings.push({ ...entry.body, ...who });
      break;
    case 'wait':
      wait(state, entry);
      break;
    case 'note':
      state.notes.push({ text: entry.body.text, key: entry.body.key ?? null, ...who });
      break;
    case 'addendum':
      state.addenda.push({ text: entry.body.text, ...who });
      break;
    case 'parked':
      state.parked = entry.body.reason ?? null;
      break;
    case 'signed':
      state.signed = who;
      break;
    case 'opened':
    case 'photo':
    case 'takeBack':
      break;
  }
  if (changesFuel.includes(entry.kind))
    state.fuel = fuelAboard(
      state.vehicle,
      state.witnesses,
      safety.litresOut(state),
      safety.litresIn(state),
      state.complaint === 'level',
    );
}

const changesFuel: Entry['kind'][] = ['fuelWitness', 'container', 'fill', 'fuelMoved', 'tankShape'];

/** A reading that cannot be is a fact all the same: it is flagged and is no witness. */
function witnessed(state: JobState, entry: Extract<Entry, { kind: 'fuelWitness' }>): void {
  try {
    safety.fuelWitness(state, entry);
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    state.flags.push({ text: `not counted as a witness: ${error.message}`, at: entry.at, by: entry.by });
  }
}

function wait(state: JobState, entry: Extract<Entry, { kind: 'wait' }>): void {
  const { what, minutes } = entry.body;
  if (entry.body.state === 'start')
    state.waits.push({
      what,
      minutes: minutes ?? null,
      started: entry.at,
      ended: null,
      by: entry.by,
      outBefore: safety.litresOut(state),
    });
  else for (const running of state.waits) if (running.what === what && !running.ended) running.ended = entry.at;
}

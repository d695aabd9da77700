import 'reflect-metadata';
import { plainToInstance, type ClassConstructor } from 'class-transformer';
import { validateSync, type ValidationError } from 'class-validator';
import { InputError } from '../../errors/index.ts';
import type { EntryKind } from '../types.ts';
import * as ledger from './ledger.ts';
import * as opening from './opening.ts';
import * as safety from './safety.ts';
import * as tank from './tank.ts';

/** One class a kind; the same rules stand before the outbox and before the database. */
export const entryBodies: Record<EntryKind, ClassConstructor<object>> = {
  opened: opening.OpenedBody,
  identity: opening.IdentityBody,
  complaintTest: opening.ComplaintTestBody,
  complaintAgain: opening.ComplaintAgainBody,
  fuelWitness: safety.FuelWitnessBody,
  answer: opening.AnswerBody,
  approval: opening.ApprovalBody,
  gateItem: safety.GateItemBody,
  gate: safety.GateBody,
  exception: safety.ExceptionBody,
  pressure: safety.PressureBody,
  container: safety.ContainerBody,
  fuelMoved: safety.FuelMovedBody,
  tankShape: safety.TankShapeBody,
  wait: opening.WaitBody,
  stopDone: tank.StopDoneBody,
  crept: tank.CreptBody,
  moved: tank.MovedBody,
  surprise: tank.SurpriseBody,
  pulled: tank.PulledBody,
  inspected: tank.InspectedBody,
  cleared: tank.ClearedBody,
  restored: ledger.RestoredBody,
  putIn: ledger.PutInBody,
  takenOut: ledger.TakenOutBody,
  loosened: ledger.LoosenedBody,
  deferred: ledger.DeferredBody,
  cut: ledger.CutBody,
  replaced: tank.ReplacedBody,
  finding: ledger.FindingBody,
  made: ledger.MadeBody,
  torque: ledger.TorqueBody,
  jointSeen: ledger.JointSeenBody,
  fill: safety.FillBody,
  deviation: ledger.DeviationBody,
  photo: opening.PhotoBody,
  note: opening.NoteBody,
  parked: opening.ParkedBody,
  takeBack: opening.TakeBackBody,
  signed: opening.SignedBody,
  addendum: opening.AddendumBody,
};

/**
 * Checks the body of an entry against the class of its kind and returns it without what does not belong.
 *
 * @throws InputError with the path of the first field that is wrong
 * @example checkBody('fill', { litres: 9 }) // { litres: 9 }
 */
export function checkBody(kind: EntryKind, body: unknown): object {
  const Body = entryBodies[kind];
  if (!Body) throw new InputError('kind', String(kind), 'a kind of entry this product knows');
  if (typeof body !== 'object' || body === null || Array.isArray(body))
    throw new InputError('body', typeof body, 'an object');
  const instance = plainToInstance(Body, body);
  const first = firstProblem(
    validateSync(instance, { whitelist: true, forbidNonWhitelisted: true, forbidUnknownValues: true }),
    'body',
  );
  if (first) throw first;
  return JSON.parse(JSON.stringify(instance)) as object;
}

function firstProblem(errors: ValidationError[], path: string): InputError | null {
  for (const error of errors) {
    const here = `${path}.${error.property}`;
    const deeper = firstProblem(error.children ?? [], here);
    if (deeper) return deeper;
    const text = Object.values(error.constraints ?? {})[0];
    if (text) return new InputError(here, printable(error.value), text.replace(`${error.property} `, ''));
  }
  return null;
}

const printable = (value: unknown): string => (value === undefined ? '' : (JSON.stringify(value) ?? '').slice(0, 60));

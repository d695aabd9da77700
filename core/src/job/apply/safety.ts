import { commonPractice, measured } from '../../basis/index.ts';
import { InputError } from '../../errors/index.ts';
import { safeFillToday } from '../../drain/day.ts';
import { fuels, type FuelKind } from '../../fluid/index.ts';
import type { FeedKind } from '../../vehicle/index.ts';
import { witnessLitres } from '../../tank/index.ts';
import type { Verdict } from '../../verdict/index.ts';
import type { Bodies, Entry, JobState } from '../types.ts';

type Of<K extends Entry['kind']> = Extract<Entry, { kind: K }>;

/** Below this a joint may be opened under a rag, kPa. Common practice, no source. */
export const OPEN_BELOW = 10;

const insteadWords = {
  engineDied: 'pump off, the engine died and would not restart',
  noSpurt: 'no spurt at the port under a rag',
  capOnly: 'no pressure by design: filler cap opened',
} as const;

/**
 * Is the pressure out? Read, or what counts instead. Common practice, no source.
 *
 * @example judgePressure({ reading: 40 }, rail).outcome // 'bad'
 */
export function judgePressure(
  body: Bodies['pressure'],
  { feed, fuel, tank }: { feed: FeedKind; fuel: FuelKind; tank?: { sealed?: boolean } },
): Verdict {
  if (body.reading !== undefined) {
    const reason = { figure: `${body.reading / 100} bar`, limit: `${OPEN_BELOW / 100} bar`, basis: measured };
    if (body.reading <= OPEN_BELOW)
      return {
        outcome: 'good',
        reasons: [{ text: 'read, and low enough to open', ...reason }],
        next: ['rag over the joint, eyes covered all the same'],
      };
    return {
      outcome: 'bad',
      reasons: [{ text: 'still under pressure', ...reason }],
      next: ['bleed it at the port: hose into the can, rag over the joint, eyes covered'],
    };
  }
  if (!body.instead)
    return {
      outcome: 'unknown',
      reasons: [{ text: 'nothing read and nothing written instead', basis: commonPractice }],
      next: ['read the gauge, or say what counts instead'],
    };
  if (tank?.sealed)
    return {
      outcome: 'bad',
      reasons: [
        {
          text: 'a sealed tank holds pressure by design: only its own procedure and a reading count',
          basis: commonPractice,
        },
      ],
      next: ['follow the procedure in the service information, then read the gauge'],
    };
  if (body.instead === 'capOnly' && feed === 'injected' && fuels[fuel].flash.below <= 40)
    return {
      outcome: 'bad',
      reasons: [
        {
          text: 'an injected system holds pressure for hours; the cap alone does not take it out',
          basis: commonPractice,
        },
      ],
      next: ['pump fuse or relay out and run it until it dies, or bleed at the test port'],
    };
  return {
    outcome: 'doubtful',
    reasons: [{ text: insteadWords[body.instead], basis: commonPractice }],
    next: ['open the first joint slowly under a rag, eyes covered'],
  };
}

export function pressure(state: JobState, entry: Of<'pressure'>): void {
  state.pressure = { ...entry.body, verdict: judgePressure(entry.body, state.vehicle) };
}

const movedLitres = (state: Pick<JobState, 'moves'>, what: JobState['moves'][number]['what']): number =>
  state.moves.reduce((sum, m) => sum + (m.what === what ? m.litres : 0), 0);

/** Litres that left the tank: into cans and spilt. */
export const litresOut = (state: Pick<JobState, 'containers' | 'moves'>): number =>
  state.containers.reduce((sum, c) => sum + c.litres, 0) + movedLitres(state, 'spilled');

/** Litres that came into it: filled, put back, or in by a feed or return line. */
export const litresIn = (state: Pick<JobState, 'filled' | 'moves'>): number =>
  state.filled + movedLitres(state, 'returned') + movedLitres(state, 'fedIn');

/** Litres another way. What came in by itself was found by a look: witnesses since the first have seen it. */
export function fuelMoved(state: JobState, entry: Of<'fuelMoved'>): void {
  const { what, litres } = entry.body;
  state.moves.push({ ...entry.body, by: entry.by, at: entry.at });
  if (what === 'fedIn')
    state.witnesses = state.witnesses.map((w) =>
      w.outBefore > 0 || w.inBefore > 0 ? { ...w, inBefore: w.inBefore + litres } : w,
    );
}

/** What the pump's bursts are called among the waits. */
export const BURSTS = 'pump bursts';

/** A shape measured on the job: witnesses that were read through the old one are read anew. */
export function tankShape(state: JobState, entry: Of<'tankShape'>): void {
  const { shape, outlet, litres } = entry.body;
  const tank = { ...state.vehicle.tank, shape, outlet: outlet ?? null };
  if (litres !== undefined) tank.litres = { lo: litres, typ: litres, hi: litres, basis: measured };
  state.vehicle = { ...state.vehicle, tank };
  state.witnesses = state.witnesses.flatMap((w) => {
    try {
      return [{ ...w, litres: witnessLitres(state.vehicle, w.kind, w.reading) }];
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      state.flags.push({ text: `not counted as a witness any more: ${error.message}`, at: entry.at, by: entry.by });
      return [];
    }
  });
}

export function fuelWitness(state: JobState, entry: Of<'fuelWitness'>): void {
  const { witness, reading } = entry.body;
  const began = [...state.waits].reverse().find((w) => w.what === BURSTS);
  state.witnesses.push({
    id: entry.id,
    kind: witness,
    reading: reading ?? null,
    litres: witnessLitres(state.vehicle, witness, reading ?? null),
    // Bursts say what was aboard when they began.
    outBefore: (witness === 'bursts' ? began?.outBefore : undefined) ?? litresOut(state),
    inBefore: litresIn(state),
  });
}

/** Litres into a container add up; a container never mixes clean and suspect. */
export function container(state: JobState, entry: Of<'container'>): void {
  const { body } = entry;
  const known = state.containers.find((c) => c.number === body.number);
  if (known) {
    known.litres += body.litres;
    known.clean = known.clean && body.clean;
  } else state.containers.push({ ...body });
  const can = state.containers.find((c) => c.number === body.number)!;
  const most = can.capacity * safeFillToday(state);
  if (can.litres > most + 0.05)
    state.flags.push({
      text: `can ${can.number} holds ${can.litres} L, ${Math.floor(most * 10) / 10} are safe`,
      at: entry.at,
      by: entry.by,
    });
}

export function exception(state: JobState, entry: Of<'exception'>): void {
  const { gate, item, reason, lead } = entry.body;
  const before = state.gates[gate].answers[item];
  state.gates[gate].answers[item] = {
    answer: before?.answer ?? 'excepted',
    words: before?.words ?? null,
    by: entry.by,
    at: entry.at,
    excepted: { reason, lead },
  };
}

import { commonPractice } from '../basis/index.ts';
import type { Complaint } from '../order/index.ts';
import { answerTo, askChoice, type Answered } from '../questions/index.ts';
import { isElectric, isLight, isSealed, pumpOf, type VehicleFile } from '../vehicle/index.ts';
import type { Verdict } from '../verdict/index.ts';

/** One way of taking the pressure out. */
export type SchoolId = 'runDry' | 'bleed' | 'rest' | 'capOnly' | 'ownProcedure';

/** Does the pump that is complained of still run? A weak one does, a dead one does not. */
export const PUMP_RUNS = askChoice('pump runs', 'whether the pump still runs', { among: ['yes', 'no'] });

/** A way of taking the pressure out, step by step. */
export interface School {
  /** Which one. */
  id: SchoolId;
  /** As people call it. */
  name: string;
  /** In order. */
  steps: string[];
  /** Where it stands against battery and scan tool. */
  order: string;
  /** What can hurt on the way. */
  cautions: string[];
  /** What counts as proof: a reading, or this. */
  proof: { instead: 'engineDied' | 'noSpurt' | 'capOnly' | null; words: string };
  /** Why not here; null where it may be used. */
  cannot: string | null;
  /** How long it takes, min. */
  minutes: number;
}

const SERVICE = 'The service information for this vehicle and local codes come first.';
const NEVER_AT_ENGINE = 'never at the engine: what an engine-driven pump feeds is not cracked open';

type SchoolFacts = { vehicle: VehicleFile; complaint: Complaint } & Answered;

/**
 * Schools of taking the pressure out, by the pump; those that fit first. In every one the filler cap is opened, to let the
 * vapour’s pressure go, and the residual pressure is read or what counts instead is written down. A pump nobody named
 * counts as under pressure. Common practice, no source.
 *
 * @example schoolsFor(state)[0]!.id // 'runDry' for an injected petrol engine that runs
 */
export function schoolsFor(state: SchoolFacts): School[] {
  const { vehicle } = state;
  const list: School[] = [
    {
      id: 'ownProcedure',
      name: 'Its own procedure, for a sealed tank',
      steps: [
        'read the procedure in the service information; a switch or the scan tool opens the tank',
        'wait until it says that the cap may be opened',
        'open the cap slowly, face away',
        'then the fuel line as below, and read the gauge',
      ],
      order: 'battery and scan tool on until the tank has let go',
      cautions: ['a sealed tank holds pressure by design: never force its cap', SERVICE],
      proof: { instead: null, words: 'the pressure read at the port' },
      cannot: isSealed(vehicle) ? null : 'this tank is not sealed under pressure',
      minutes: 15,
    },
    {
      id: 'runDry',
      name: 'Fuse out, run it until it dies',
      steps: [
        'filler cap open, then on again loosely',
        'pull the pump’s fuse or relay',
        'start it and let it run until it dies',
        'crank once more, five seconds',
        'key off; read the gauge, or write that it would not restart',
      ],
      order: 'battery on: it must crank; off only after this',
      cautions: ['outdoors or with extraction: it runs', 'the key stays off afterwards', SERVICE],
      proof: { instead: 'engineDied', words: 'it died and would not restart' },
      cannot: whyNotRunDry(state),
      minutes: 10,
    },
    {
      id: 'bleed',
      name: 'Bleed at the test port',
      steps: [
        'filler cap open',
        'gauge hose on the port, or on the first joint after the pump, its end in an approved can',
        'rag over it, eyes covered',
        'open it slowly until nothing more comes',
        'read the gauge: it must stay down for a minute',
      ],
      order: 'before the battery goes off, if the pump is to be proved dead; else either way',
      cautions: [
        'petrol under pressure sprays: face away, no hot engine',
        NEVER_AT_ENGINE,
        'bond hose and can',
        SERVICE,
      ],
      proof: { instead: 'noSpurt', words: 'no spurt at the port under a rag' },
      cannot: !isElectric(pumpOf(vehicle))
        ? 'no electric pump holds pressure here'
        : isLight(vehicle)
          ? null
          : 'no petrol bleed on a diesel: let it stand, then the low-pressure joint',
      minutes: 10,
    },
    {
      id: 'rest',
      name: 'Let it stand, then the low-pressure joint',
      steps: [
        'engine off and cold, key out',
        'filler cap open',
        'wait as long as the service information says, ten minutes at least',
        'rag over the feed joint at the tank, the low-pressure side, eyes covered',
        'slack it slowly until nothing more comes',
      ],
      order: 'key out first; battery either way',
      cautions: [
        `${pumpOf(vehicle) === 'dieselSupply' ? 'a common rail holds hundreds of bar' : 'the injection side sprays through skin'}: ${NEVER_AT_ENGINE}`,
        SERVICE,
      ],
      proof: { instead: 'noSpurt', words: 'no spurt at the low-pressure joint under a rag' },
      cannot: !isElectric(pumpOf(vehicle))
        ? 'no electric pump holds pressure here'
        : isLight(vehicle)
          ? 'petrol under pressure holds it for hours: standing does not take it out'
          : null,
      minutes: 20,
    },
    {
      id: 'capOnly',
      name: 'The filler cap only',
      steps: ['open the cap slowly and let the vapour go', 'leave it on loosely, so that nothing falls in'],
      order: 'any time; battery off after the pump is no more needed',
      cautions: [isLight(vehicle) ? 'vapour first: no flame, doors open' : NEVER_AT_ENGINE, SERVICE],
      proof: { instead: 'capOnly', words: 'no pressure by design, cap opened' },
      cannot:
        pumpOf(vehicle) === 'unknown'
          ? 'nobody has said what pushes the fuel: until then it counts as under pressure'
          : isElectric(pumpOf(vehicle))
            ? 'an electric pump leaves its line under pressure; the cap does not take it out'
            : null,
      minutes: 2,
    },
  ];
  return list.sort((a, b) => Number(a.cannot !== null) - Number(b.cannot !== null));
}

function whyNotRunDry(state: SchoolFacts): string | null {
  const pump = pumpOf(state.vehicle);
  if (pump === 'unknown') return 'say first what pushes the fuel';
  if (!isElectric(pump)) return 'no electric pump holds pressure here';
  if (!isLight(state.vehicle)) return 'a diesel run dry draws air and is hard to start again';
  if (state.complaint !== 'pump') return null;
  const runs = answerTo(state, PUMP_RUNS);
  if (runs === undefined) return 'say first whether the pump still runs';
  return runs === 'yes' ? null : 'with a dead pump it will not run; bleed it instead';
}

/** How the pressure is taken out. */
export const SCHOOL = askChoice('school', 'how the pressure comes out', {
  among: ['runDry', 'bleed', 'rest', 'capOnly', 'ownProcedure'],
});

/**
 * The school that was chosen, judged: does it fit this system?
 *
 * @example judgeSchool(state).outcome // 'bad': cap only on an injected petrol engine
 */
export function judgeSchool(state: SchoolFacts): Verdict {
  const chosen = schoolsFor(state).find((s) => s.id === answerTo(state, SCHOOL));
  if (!chosen)
    return {
      outcome: 'unknown',
      reasons: [{ text: 'no way of taking the pressure out chosen yet', basis: commonPractice }],
      next: ['choose how the pressure comes out'],
    };
  if (chosen.cannot)
    return {
      outcome: 'bad',
      reasons: [{ text: `${chosen.name.toLowerCase()}: ${chosen.cannot}`, basis: commonPractice }],
      next: ['choose another way'],
    };
  return { outcome: 'good', reasons: [{ text: chosen.name.toLowerCase(), basis: commonPractice }], next: [] };
}

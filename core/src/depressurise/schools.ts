import { commonPractice } from '../basis/index.ts';
import { fuels } from '../fluid/index.ts';
import type { Complaint } from '../order/index.ts';
import { answerTo, askChoice, type Answered } from '../questions/index.ts';
import type { VehicleFile } from '../vehicle/index.ts';
import type { Verdict } from '../verdict/index.ts';

/** One way of taking the pressure out. */
export type SchoolId = 'runDry' | 'bleed' | 'capOnly' | 'ownProcedure';

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

/**
 * Schools of taking the pressure out, by fuel system; those that fit first. In every one the filler cap is opened, to let
 * the vapour’s pressure go, and the residual pressure is read or what counts instead is written down. Common practice, no
 * source.
 *
 * @example schoolsFor(state)[0]!.id // 'runDry' for an injected petrol engine that runs
 */
export function schoolsFor({ vehicle, complaint }: { vehicle: VehicleFile; complaint: Complaint }): School[] {
  const byDesign = vehicle.tank.sealed === true;
  const heavy = fuels[vehicle.fuel].flash.below > 40;
  const open = vehicle.feed === 'carburettor';
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
      cannot: byDesign ? null : 'this tank is not sealed under pressure',
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
      cannot:
        open || heavy
          ? 'no injection pressure held by an electric pump here'
          : complaint === 'pump'
            ? 'with a dead pump it will not run; bleed it instead'
            : null,
      minutes: 10,
    },
    {
      id: 'bleed',
      name: 'Bleed at the test port',
      steps: [
        'filler cap open',
        'gauge hose on the port, its end in an approved can',
        'rag over the port, eyes covered',
        'open the valve slowly until nothing more comes',
        'read the gauge: it must stay down for a minute',
      ],
      order: 'before the battery goes off, if the pump is to be proved dead; else either way',
      cautions: ['petrol under pressure sprays: face away, no hot engine', 'bond hose and can', SERVICE],
      proof: { instead: 'noSpurt', words: 'no spurt at the port under a rag' },
      cannot: open ? 'no pressure in a gravity or carburettor feed' : null,
      minutes: 10,
    },
    {
      id: 'capOnly',
      name: 'The filler cap only',
      steps: ['open the cap slowly and let the vapour go', 'leave it on loosely, so that nothing falls in'],
      order: 'any time; battery off after the pump is no more needed',
      cautions: [
        heavy
          ? 'a common-rail engine holds hundreds of bar at the engine: nothing is opened there'
          : 'vapour first: no flame, doors open',
        SERVICE,
      ],
      proof: { instead: 'capOnly', words: 'no pressure by design, cap opened' },
      cannot: open || heavy ? null : 'an injected petrol system holds pressure for hours; the cap does not take it out',
      minutes: 2,
    },
  ];
  return list.sort((a, b) => Number(a.cannot !== null) - Number(b.cannot !== null));
}

/** How the pressure is taken out. */
export const SCHOOL = askChoice('school', 'how the pressure comes out', {
  among: ['runDry', 'bleed', 'capOnly', 'ownProcedure'],
});

/**
 * The school that was chosen, judged: does it fit this system?
 *
 * @example judgeSchool(state).outcome // 'bad': cap only on an injected petrol engine
 */
export function judgeSchool(state: { vehicle: VehicleFile; complaint: Complaint } & Answered): Verdict {
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

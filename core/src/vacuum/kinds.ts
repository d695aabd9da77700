import { castDraft } from 'immer';
import { defineKind, defineSlice, standing, type Debt, type RecordLine, type Stamp } from '../kernel/index.ts';
import { say } from '../quantity/index.ts';
import { lineOf, type VehicleSlice } from '../vehicle/index.ts';
import type { Verdict } from '../verdict/index.ts';
import { LineHeldBody, SearchedBody, searchPlaces, ValveTriedBody, type SearchPlace } from './bodies.ts';
import { judgeLine, judgeValve } from './judge.ts';

/** Something that was tried by vacuum. */
export interface Tried extends Stamp {
  /** What it comes to. */
  verdict: Verdict;
}

/** A part that is missing inside, and where it was looked for. */
export interface Search {
  /** Where it was looked for, and was not. */
  empty: readonly SearchPlace[];
  /** Is it found? */
  found: boolean;
}

/** What was tried by vacuum. */
export interface VacuumSlice {
  /** By valve: what stands; of several that knew nothing of each other all do. */
  valves: Readonly<Record<string, readonly Tried[]>>;
  /** By line: the same. */
  vacuums: Readonly<Record<string, readonly Tried[]>>;
  /** By valve: what is looked for. */
  searches: Readonly<Record<string, Search>>;
}

type Facts = VacuumSlice & VehicleSlice;

/** Holds what vacuum told; what is missing inside is looked for until it is found. */
export const vacuumSlice = defineSlice<VacuumSlice, Facts>({
  name: 'vacuum',
  start: () => ({ valves: {}, vacuums: {}, searches: {} }),
  owes: (state): Debt[] => [
    ...Object.entries(state.searches)
      .filter(([, { found }]) => !found)
      .map(([valve, { empty }]) => {
        const left = searchPlaces.filter((place) => !empty.includes(place));
        return {
          id: `search:${valve}`,
          key: 'search',
          text: `what is missing of the ${valve}: ${left.length > 0 ? `look in ${left.join(', ')}` : 'in none of tank, line, filter'}`,
        };
      }),
    ...Object.entries(state.vacuums)
      .flatMap(([line, list]) => list.map((tried) => [line, tried] as const))
      .filter(([, { verdict }]) => verdict.outcome === 'bad')
      .map(([line, { id }]) => ({
        id: `vacuum:${line}@${id}`,
        key: `line:${line}`,
        text: `${lineOf(state.vehicle, line)?.name ?? line} does not hold a vacuum`,
      })),
  ],
  record: (state): RecordLine[] => [
    ...Object.entries(state.valves).flatMap(([valve, list]) =>
      list.map(({ verdict, by, at }) => line(valve, verdict, { by, at })),
    ),
    ...Object.entries(state.vacuums).flatMap(([id, list]) =>
      list.map(({ verdict, by, at }) => line(lineOf(state.vehicle, id)?.name ?? id, verdict, { by, at })),
    ),
  ],
});

const line = (name: string, { reasons: [why] }: Verdict, { by, at }: { by: string; at: string }): RecordLine => ({
  under: 'bench',
  text: say`${name}, by vacuum: ${why?.text ?? ''}${why?.figure ? say`, ${why.figure}` : ''}`,
  by,
  at,
});

/** A valve is tried by vacuum, both ways. */
export const valveTried = defineKind<'valveTried', ValveTriedBody, VacuumSlice, Facts>({
  kind: 'valveTried',
  version: 1,
  Body: ValveTriedBody,
  apply: (own, body, { moment: { id, by, at, knew }, facts }) => {
    const verdict = judgeValve(body, facts.vehicle.fuel);
    const had = (own.valves[body.valve] ?? []) as readonly Tried[];
    own.valves[body.valve] = castDraft(standing(had, { id, by, at, verdict }, knew));
    // Gone inside: it lies somewhere, and is looked for even once another valve is in.
    if (body.tester === 'held' && body.against === 'nothing' && body.along === 'nothing')
      own.searches[body.valve] ??= { empty: [], found: false };
  },
  touches: ({ valve }) => ({ reads: [], writes: [`valve:${valve}`] }),
  words: ({ valve }) => `${valve} tried by vacuum`,
  arbitrary: (f) =>
    f.record({
      valve: f.constantFrom('foot valve', 'check valve'),
      tester: f.constantFrom('held' as const, 'notTried' as const),
      against: f.constantFrom('holds' as const, 'nothing' as const),
      along: f.constantFrom('holds' as const, 'nothing' as const),
    }),
});

/** What is missing of a valve was looked for. */
export const searched = defineKind<'searched', SearchedBody, VacuumSlice, Facts>({
  kind: 'searched',
  version: 1,
  Body: SearchedBody,
  apply: (own, { valve, place, told }) => {
    const search = (own.searches[valve] ??= { empty: [], found: false });
    if (told === 'found') search.found = true;
    else if (!search.empty.includes(place)) search.empty.push(place);
  },
  touches: ({ valve }) => ({ reads: [], writes: [`valve:${valve}`] }),
  words: ({ valve, place, told }) => `${valve}: ${told === 'found' ? 'found in' : 'not in'} the ${place}`,
  arbitrary: (f) =>
    f.record({
      valve: f.constantFrom('foot valve', 'check valve'),
      place: f.constantFrom(...searchPlaces),
      told: f.constantFrom('found' as const, 'notThere' as const),
    }),
});

/** A line that stays on the vehicle is put under vacuum. */
export const lineHeld = defineKind<'lineHeld', LineHeldBody, VacuumSlice, Facts>({
  kind: 'lineHeld',
  version: 1,
  Body: LineHeldBody,
  check: (body) => void judgeLine(body, 'diesel'),
  apply: (own, body, { moment: { id, by, at, knew }, facts }) => {
    const had = (own.vacuums[body.line] ?? []) as readonly Tried[];
    const tried = { id, by, at, verdict: judgeLine(body, facts.vehicle.fuel) };
    own.vacuums[body.line] = castDraft(standing(had, tried, knew));
  },
  touches: ({ line: of }) => ({ reads: [], writes: [`vacuum:${of}`] }),
  words: ({ line: of }, { name }) => `${name(`line:${of}`)} under vacuum`,
  arbitrary: (f) =>
    f.record({
      line: f.constantFrom('feed', 'moon'),
      tester: f.constant('held' as const),
      from: f.constant(40),
      to: f.constantFrom(39, 2),
      seconds: f.constant(60),
    }),
});

import {
  logWriter,
  archetypes,
  startingFigures,
  answerOf,
  completed,
  foldJobOn,
  type Bodies,
  type Entry,
  type EntryKind,
  type JobState,
  type UnitSystem,
} from '@iron-cradle/core';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render, type RenderResult } from '@testing-library/react';
import { useMemo, useState, type ReactElement, type ReactNode } from 'react';
import { MemoryRouter } from 'react-router';
import { JobContextOf, type Answer, type Enter } from '../log/useJob.ts';
import type { Shop } from '../net/queries.ts';
import { AheadOf } from '../workers/AheadOf.tsx';

const ines = { id: 'ines', name: 'Ines', role: 'technician' as const };

const shop: Shop = {
  name: 'The shop',
  alone: startingFigures.alone,
  two: startingFigures.two,
  lying: 15,
  helper: startingFigures.helperMinutes,
  prices: { currency: '', hour: null, disposal: null },
  kit: {
    transferPump: null,
    siphonBore: 10,
    siphonLength: 2,
    cans: [20, 20],
    jackRated: 200,
    jackPad: 400,
    jackLowered: 150,
  },
  bays: [{ name: 'Bay 1', kind: 'flat' }],
  demoPins: null,
};

declare const turnClock: (ms: number) => void;

/** A safety question is read before it is answered, and a screen that changed before it is touched: so much time passes at once, ms. */
export const aMoment = (): void => turnClock(450);

/** What a screen of a job did while it was tried: the log, and the state it made. */
export interface AtJob extends RenderResult {
  log: Entry[];
  state: () => JobState;
}

/** A log from what was entered, opened on a mounting that nobody measured. */
export function logOf(entries: readonly { kind: EntryKind; body: unknown }[], vehicle = archetypes[0]!): Entry[] {
  const write = logWriter('job');
  return [
    write('opened', { name: 'Van', complaint: 'pump', vehicle, gauge: 0.5 }),
    ...entries.map(({ kind, body }) => write(kind, body as never)),
  ];
}

const said = (gate: 1 | 2 | 3, answers: Record<string, string>) =>
  Object.entries(answers).map(([item, answer]) => ({ kind: 'gateItem' as const, body: { gate, item, answer } }));

/** Gates 1 and 2 gone through: it may be opened, it is dry, and the supports may come off. */
export const mayBeOpened: { kind: EntryKind; body: unknown }[] = [
  ...said(1, { air: 'yes', heat: 'yes', support: 'yes', hands: 'yes' }),
  { kind: 'pressure', body: { reading: 3 } },
  { kind: 'gate', body: { gate: 1 } },
  { kind: 'container', body: { number: 1, capacity: 20, litres: 5, clean: true } },
  { kind: 'fuelWitness', body: { witness: 'plugDry' } },
  { kind: 'fuelWitness', body: { witness: 'dip', reading: 0 } },
  ...said(2, { battery: 'yes', jack: 'yes', helper: 'here' }),
  { kind: 'gate', body: { gate: 2 } },
];

/** Gate 3 gone through: the ring may be closed, and the tank goes back. */
export const mayGoBack: { kind: EntryKind; body: unknown }[] = [
  ...said(3, { tests: 'passed', seal: 'new' }),
  { kind: 'gate', body: { gate: 3 } },
];

/** Who is signed in, in which units, with addresses: what every screen stands in. */
export function Surroundings({ children, units = 'metric' }: { children: ReactNode; units?: UnitSystem }) {
  const client = useMemo(() => {
    const made = new QueryClient({ defaultOptions: { queries: { staleTime: Infinity, retry: false } } });
    made.setQueryData(['me'], { person: { ...ines, units } });
    made.setQueryData(['people'], [{ ...ines, signsIn: true }]);
    made.setQueryData(['shop'], shop);
    return made;
  }, [units]);
  return (
    <QueryClientProvider client={client}>
      <MemoryRouter>{children}</MemoryRouter>
    </QueryClientProvider>
  );
}

/** The next entry of a log, by somebody who has seen all of it. */
const next = (log: readonly Entry[], { kind, body }: { kind: EntryKind; body: unknown }): Entry =>
  ({
    ...logWriter('job')(kind, body as never),
    id: `screen-${log.length}`,
    n: log.length + 1,
    on: log.findLast((e) => e.seq)?.id ?? null,
  }) as Entry;

/** The log with these entered after it. */
export const goesOn = (log: readonly Entry[], entries: readonly { kind: EntryKind; body: unknown }[]): Entry[] =>
  entries.reduce<Entry[]>((all, entry) => [...all, next(all, entry)], [...log]);

/** Renders part of a screen at a job whose log grows with what is entered there, as the real one does. */
export function atJob(screen: ReactElement, entries: Entry[] = logOf([]), units: UnitSystem = 'metric'): AtJob {
  const log = [...entries];
  function Job() {
    const [state, setState] = useState(() => foldJobOn(null, () => log, log)!);
    const context = useMemo(() => {
      const enter: Enter = (kind, body) => {
        const whole = completed(
          foldJobOn(null, () => log, log),
          kind,
          body,
        ) as Bodies[typeof kind];
        log.push(next(log, { kind, body: whole }));
        setState(foldJobOn(null, () => log, log)!);
        return Promise.resolve(true);
      };
      const answer: Answer = (question, value, of) => enter('answer', answerOf(question, value, of));
      return { jobId: 'job', number: 7, state, log: [...log], me: ines, enter, answer, problem: null };
    }, [state]);
    return (
      <JobContextOf.Provider value={context}>
        <AheadOf state={state}>{screen}</AheadOf>
      </JobContextOf.Provider>
    );
  }
  const shown = render(
    <Surroundings units={units}>
      <Job />
    </Surroundings>,
  );
  return { ...shown, log, state: () => foldJobOn(null, () => log, log)! };
}

import {
  gravestOf,
  fluidLines,
  searchPlaces,
  unitOf,
  wayFrom,
  type SearchPlace,
  type TesterState,
  type Verdict,
} from '@iron-cradle/core';
import { useState, type ReactNode } from 'react';
import { useJob } from '../../../../log/useJob.ts';
import { Shape } from '../../../../look/Shapes.tsx';
import { Choice } from '../../../../ui/Choice.tsx';
import { VerdictView } from '../../../../ui/VerdictView.tsx';
import { LineForm, ValveForm } from './VacuumForms.tsx';
import { Watch } from './Watch.tsx';

const testers: { value: TesterState; label: string }[] = [
  { value: 'held', label: 'It held' },
  { value: 'fell', label: 'It fell' },
];
const placeWord: Record<SearchPlace, string> = { tank: 'In the tank', line: 'In the line', filter: 'In the filter' };

/** Valves both ways and lines plugged at one end: the tester first, then one thing at a time. */
export function Vacuum() {
  const { state } = useJob();
  const [tester, setTester] = useState<TesterState>('notTried');
  const [open, setOpen] = useState<string | null>(null);
  const valves = [
    ...(unitOf(state.vehicle).parts.some(({ kind }) => kind === 'footValve') ? ['foot valve'] : []),
    'check valve of the pump',
    'valve in the filler neck',
    'rollover valve',
  ];
  const at = (id: string) => ({ id, open: open === id, onOpen: () => setOpen(open === id ? null : id) });
  return (
    <div className="grid gap-5">
      <div>
        <Choice
          label="The tester, its own end shut for a minute"
          value={tester === 'notTried' ? null : tester}
          options={testers}
          onChoose={setTester}
        />
        <Watch
          channel="tester"
          label="Watch it"
          onWatched={(readings) => setTester(wayFrom(readings) === 'holds' ? 'held' : 'fell')}
        />
        <p className="pt-2 text-quiet">
          Lines that held fuel: let it drain first, cap what is open, no spark near. The service information comes
          first.
        </p>
      </div>
      <Searches />
      <section aria-label="valves">
        <h3 className="border-b-2 border-ink pb-1 text-20">Valves, both ways</h3>
        <ul className="ruled">
          {valves.map((name) => (
            <Row key={name} {...at(name)} name={name} verdict={gravestOf(state.valves[name] ?? [])?.verdict}>
              <ValveForm key={tester} valve={name} tester={tester} />
            </Row>
          ))}
        </ul>
      </section>
      <section aria-label="lines">
        <h3 className="border-b-2 border-ink pb-1 text-20">Lines that stay on the vehicle</h3>
        <ul className="ruled">
          {fluidLines(state.vehicle).map(({ id, name }) => (
            <Row key={id} {...at(`line:${id}`)} name={name} verdict={gravestOf(state.vacuums[id] ?? [])?.verdict}>
              <LineForm key={tester} line={id} tester={tester} />
            </Row>
          ))}
        </ul>
      </section>
    </div>
  );
}

interface RowProps {
  id: string;
  name: string;
  verdict: Verdict | undefined;
  open: boolean;
  onOpen: () => void;
  children: ReactNode;
}

/** One valve or line: how it stands; open, how it is tried. */
function Row({ id, name, verdict, open, onOpen, children }: RowProps) {
  const { state } = useJob();
  return (
    <li className="py-1">
      <button
        type="button"
        className="flex min-h-16 w-full items-center gap-3 text-left"
        aria-expanded={open}
        data-tried={id}
        data-outcome={verdict?.outcome ?? 'none'}
        onClick={onOpen}
      >
        <Shape outcome={verdict?.outcome ?? 'unknown'} size={24} />
        <span className="narrow flex-1 text-20">{name}</span>
        {!verdict && <span className="text-quiet">not tried</span>}
      </button>
      {open && (
        <div className="grid gap-3 pb-3">
          {verdict && <VerdictView verdict={verdict} />}
          {!state.signed && children}
        </div>
      )}
    </li>
  );
}

/** What is missing inside is looked for until it is found. */
function Searches() {
  const { state, enter } = useJob();
  const open = Object.entries(state.searches).filter(([, { found }]) => !found);
  if (open.length === 0) return null;
  return (
    <section aria-label="searches" className="grid gap-3 border-l-4 border-halt pl-3">
      {open.map(([valve, { empty }]) => (
        <div key={valve} className="grid gap-2">
          <p className="narrow text-20">What is missing of the {valve}: where is it?</p>
          {searchPlaces.map((place) => (
            <div key={place} className="flex items-center gap-3">
              <span className="flex-1">{placeWord[place]}</span>
              {(['found', 'notThere'] as const).map((told) => (
                <button
                  key={told}
                  type="button"
                  className="btn"
                  data-search={`${place} ${told}`}
                  aria-pressed={told === 'notThere' && empty.includes(place)}
                  onClick={() => void enter('searched', { valve, place, told })}
                >
                  {told === 'found' ? 'Found' : 'Not there'}
                </button>
              ))}
            </div>
          ))}
        </div>
      ))}
    </section>
  );
}

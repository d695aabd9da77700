import { COMPARE, compareList, judgeFit, judgePort, portLines, type Compared, type ValueOf } from '@iron-cradle/core';
import { useState } from 'react';
import { PortsDrawing } from '../../../drawings/fit/PortsDrawing.tsx';
import { useJob } from '../../../log/useJob.ts';
import { VerdictView } from '../../../ui/VerdictView.tsx';
import { FitFigures } from './FitFigures.tsx';
import { IndexPanel } from './IndexPanel.tsx';
import { PinsPanel } from './PinsPanel.tsx';
import { PortPanel } from './PortPanel.tsx';

/** A new part laid on the old one as it arrives: what differs is tapped, ports one by one, what decides is measured. */
export function Fit() {
  const { state, answer } = useJob();
  const [port, setPort] = useState<string | null>(null);
  const list = compareList(state);
  const { verdict, begun } = judgeFit(state);
  if (list.length === 0 && !begun)
    return (
      <p className="pt-4 text-quiet">No new part comes for this complaint: nothing to hold against the old one.</p>
    );
  const has = (id: string) => list.some((one) => one.id === id);
  const unsaid = list.filter(({ is }) => is === null);
  const line = portLines(state).find(({ id }) => id === port);
  const allSame = async () => {
    for (const { id } of unsaid) await answer(COMPARE, 'same', id);
  };
  return (
    <div className="grid gap-5 pt-4">
      <div data-fit={verdict.outcome}>
        <VerdictView verdict={verdict} title={fitWord[verdict.outcome]} />
      </div>
      {portLines(state).length > 0 && (
        <section aria-label="ports" className="grid gap-3">
          <h3 className="text-20">Its ports: touch what differs</h3>
          <PortsDrawing
            ports={portLines(state).map((one) => ({
              id: one.id,
              name: one.name,
              tag: state.numbers[`line:${one.id}`] ?? null,
              outcome: state.ports[one.id] ? judgePort(one, state.ports[one.id]!).outcome : null,
            }))}
            chosen={port}
            onChoose={setPort}
          />
          {line && !state.signed && <PortPanel key={line.id} line={line} onDone={() => setPort(null)} />}
        </section>
      )}
      {!state.signed && <FitFigures />}
      {has('plug') && <PinsPanel key={state.pins?.id ?? 'none'} />}
      {has('index') && <IndexPanel />}
      <section aria-label="old against new">
        <h3 className="border-b-2 border-ink pb-1 text-20">New laid on old</h3>
        <ul className="ruled">
          {list.map((one) => (
            <Line key={one.id} line={one} onSay={(value) => void answer(COMPARE, value, one.id)} />
          ))}
        </ul>
        {unsaid.length > 0 && !state.signed && (
          <button type="button" className="btn mt-3 w-full" data-action="all-same" onClick={() => void allSame()}>
            {unsaid.length === list.length ? 'All of it the same' : `The other ${unsaid.length} the same`}
          </button>
        )}
      </section>
    </div>
  );
}

const fitWord = {
  good: 'It fits',
  doubtful: 'It can be made to fit',
  bad: 'Stop: it does not fit',
  unknown: 'Not known yet',
};

const answers: { value: ValueOf<typeof COMPARE>; label: string }[] = [
  { value: 'same', label: 'Same' },
  { value: 'different', label: 'Differs' },
  { value: 'carry', label: 'Carry over' },
] as const;

function Line({ line, onSay }: { line: Compared; onSay: (value: ValueOf<typeof COMPARE>) => void }) {
  return (
    <li className="py-2">
      <p>
        {line.name}
        <span className="block pb-2 text-quiet">{line.why}</span>
      </p>
      <div className="grid grid-cols-3 gap-3">
        {answers.map(({ value, label }) => (
          <button
            key={value}
            type="button"
            className="btn"
            data-compare={`${line.id} ${value}`}
            aria-pressed={line.is === value || (value === 'carry' && line.is === 'carried')}
            onClick={() => onSay(value)}
          >
            {label}
          </button>
        ))}
      </div>
      {line.is === 'carry' && (
        <div className="flex items-center gap-3 pt-2">
          <p className="flex-1 font-semibold">The old part stays in the shop until this is over.</p>
          <button type="button" className="btn" onClick={() => onSay('carried')}>
            Carried over
          </button>
        </div>
      )}
    </li>
  );
}

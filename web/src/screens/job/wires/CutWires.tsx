import { JOINTS, owed } from '@iron-cradle/core';
import { useState } from 'react';
import { useJob } from '../../../log/useJob.ts';
import { Shape } from '../../../look/Shapes.tsx';
import { Tag } from '../../../look/Tag.tsx';
import { Choice } from '../../../ui/Choice.tsx';
import { useWords } from '../../../ui/Words.tsx';
import { CutSheet } from '../CutSheet.tsx';

const HOW: Record<(typeof JOINTS)[number], string> = {
  sleeve: 'Sealed sleeve',
  solder: 'Soldered, held',
  plug: 'A plug',
  twisted: 'Twisted',
};

/** Wires that were cut on the way, as those of a hitch or a lamp: joined, tugged, and what hangs on them tried. */
export function CutWires() {
  const { state } = useJob();
  const [cutting, setCutting] = useState(false);
  const cuts = state.cuts.filter(({ what }) => what === 'wire');
  return (
    <section aria-label="wires cut on the way" className="max-w-xl pt-6">
      <h2 className="border-b-2 border-ink pb-1 text-20">Cut on the way</h2>
      <ul className="ruled">
        {cuts.map(({ id, where, words }) => (
          <OneCut key={id} id={id} where={where} words={words} />
        ))}
        {cuts.length === 0 && <li className="py-3 text-quiet">No wire was cut: hitch, lamps, camera.</li>}
      </ul>
      {!state.signed && (
        <button type="button" className="btn mt-3" data-action="wire-cut" onClick={() => setCutting(true)}>
          A wire was cut
        </button>
      )}
      {cutting && <CutSheet about={null} first="wire" open onClose={() => setCutting(false)} />}
    </section>
  );
}

function OneCut({ id, where, words }: { id: string; where: string; words: string | null }) {
  const { state, enter } = useJob();
  const say = useWords();
  const [how, setHow] = useState<(typeof JOINTS)[number]>('sleeve');
  const debt = owed(state).find((one) => one.id === id);
  return (
    <li className="grid gap-2 py-3" data-cut-wire={where}>
      <p className="flex items-center gap-3">
        <Tag number={state.numbers[id] ?? null} open={debt !== undefined} />
        <span className="narrow text-20">{where}</span>
        {words && <span className="text-quiet">{words}</span>}
      </p>
      <p className="flex items-center gap-2">
        <Shape outcome={debt ? 'bad' : 'good'} size={18} label={debt ? 'owed' : 'done'} />
        {debt ? say(debt.text) : 'joined, tugged and tried'}
      </p>
      {debt && !state.signed && (
        <>
          <Choice
            label="Joined by"
            value={how}
            onChoose={setHow}
            options={JOINTS.map((value) => ({ value, label: HOW[value] }))}
          />
          <div className="grid grid-cols-2 gap-3">
            <button
              type="button"
              className="btn"
              data-action="joined-only"
              onClick={() => void enter('wireJoined', { cut: id, how, tugged: true, tried: false })}
            >
              Tugged, not tried yet
            </button>
            <button
              type="button"
              className="btn"
              data-action="joined-tried"
              onClick={() => void enter('wireJoined', { cut: id, how, tugged: true, tried: true })}
            >
              Tugged, and it works
            </button>
          </div>
        </>
      )}
    </li>
  );
}

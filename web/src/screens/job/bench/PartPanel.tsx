import { judgePart, pieceOf, type UnitPart } from '@iron-cradle/core';
import { useState } from 'react';
import { FormText } from '../../../form/FormText.tsx';
import { useEntryForm } from '../../../form/useEntryForm.ts';
import { useJob } from '../../../log/useJob.ts';
import { drawNumber } from '../../../log/tags.ts';
import { newId } from '../../../log/device.ts';
import { Shape } from '../../../look/Shapes.tsx';
import { Strap } from '../../../look/Strap.tsx';
import { VerdictView } from '../../../ui/VerdictView.tsx';
import { PhotoButton, Photos } from '../Photos.tsx';
import { foundOf } from './foundOf.ts';
import { HandPanel } from './HandPanel.tsx';
import { PumpRun } from './PumpRun.tsx';
import { ArmForm } from './sender/ArmForm.tsx';
import { Sweep } from './Sweep.tsx';

/** One part in hand: how it stands, its test, what is seen, and what goes in for it. */
export function PartPanel({ part, onDone }: { part: UnitPart; onDone: () => void }) {
  const { state, enter } = useJob();
  const verdict = judgePart(state, part);
  const piece = pieceOf(state, part.id);
  const say = (outcome: 'good' | 'doubtful' | 'bad', found?: string) =>
    enter('partSaid', { parts: [part.id], outcome, ...(found ? { found } : {}) });
  return (
    <HandPanel
      id={part.id}
      title={part.name}
      hint={`${piece.called ? `new: ${piece.called}` : 'the one that came out'}${part.mark ? `; ${part.mark}` : ''}`}
      onDone={onDone}
    >
      <VerdictView verdict={verdict} />
      {!state.signed && (
        <>
          {verdict.outcome === 'bad' && <Swap part={part} bad />}
          {part.kind === 'pump' && <PumpRun key={piece.called ?? 'old'} part={part} />}
          {part.kind === 'sender' && <ArmForm key={`arm ${piece.called ?? 'old'}`} part={part} />}
          {part.kind === 'sender' && <Sweep key={piece.called ?? 'old'} part={part} />}
          <div className="grid grid-cols-2 gap-3" role="group" aria-label="what is seen">
            <button type="button" className="btn" data-said="good" onClick={() => void say('good')}>
              <Shape outcome="good" size={20} /> Sound
            </button>
            {foundOf[part.kind].map(({ words, outcome }) => (
              <button
                key={words}
                type="button"
                className="btn"
                data-said={words}
                onClick={() => void say(outcome, words)}
              >
                <Shape outcome={outcome} size={20} /> {words}
              </button>
            ))}
            <PhotoButton about={`part:${part.id}`} name={part.name} words />
          </div>
          <Photos about={`part:${part.id}`} />
          {verdict.outcome !== 'bad' && <Swap part={part} bad={false} />}
        </>
      )}
    </HandPanel>
  );
}

/** Another one goes in: as it is written on it, with a number of its own. */
function Swap({ part, bad }: { part: UnitPart; bad: boolean }) {
  const { state, jobId, enter } = useJob();
  const [open, setOpen] = useState(false);
  const form = useEntryForm({ kind: 'partSwapped', start: { part: part.id, with: '' }, onDone: () => setOpen(false) });
  const had = state.pieces[part.id] ?? [];
  const put = async () => {
    const tag = await drawNumber(jobId, `part-${newId()}`);
    await form.say(tag === null ? {} : { tag });
  };
  const before = had.at(-2);
  return (
    <div className="grid gap-3 border-y border-rule py-4">
      {open ? (
        <>
          <FormText
            form={form}
            name="with"
            label="What goes in, as it is written on it"
            maxLength={120}
            expected="what goes in, as it is written on it"
          />
          <button type="button" className="btn" data-action="fit" onClick={() => void put()}>
            It goes in; the old one is scrap
          </button>
        </>
      ) : bad ? (
        <Strap data-action="fit-another" onClick={() => setOpen(true)}>
          Bad, fit another
        </Strap>
      ) : (
        <button type="button" className="btn" data-action="fit-another" onClick={() => setOpen(true)}>
          Fit another
        </button>
      )}
      {before && !open && (
        <button
          type="button"
          className="btn"
          data-action="fit-again"
          onClick={() =>
            void enter('partSwapped', { part: part.id, with: before.called ?? 'the one that came out', again: true })
          }
        >
          Fitted in error: {before.called ?? 'the one that came out'} goes back
        </button>
      )}
    </div>
  );
}

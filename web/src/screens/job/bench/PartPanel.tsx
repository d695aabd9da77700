import { foundOf, judgePart, pieceOf, type UnitPart } from '@iron-cradle/core';
import { useState } from 'react';
import { useEntryForm } from '../../../form/useEntryForm.ts';
import { useJob } from '../../../log/useJob.ts';
import { Shape } from '../../../look/Shapes.tsx';
import { VerdictView } from '../../../ui/VerdictView.tsx';
import { PhotoButton, Photos } from '../Photos.tsx';
import { DonorForm } from './DonorForm.tsx';
import { HandPanel } from './HandPanel.tsx';
import { PumpRun } from './pump/PumpRun.tsx';
import { SenderTests } from './sender/SenderTests.tsx';
import { Swap } from './Swap.tsx';
import { THE_OLD } from './theOld.ts';

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
      hint={`${piece.called ? `new: ${piece.called}` : part.fitted ? `came out: ${part.fitted}, by the file` : THE_OLD}${part.mark ? `; ${part.mark}` : ''}`}
      onDone={onDone}
    >
      <VerdictView verdict={verdict} />
      {!state.signed && (
        <>
          {verdict.outcome === 'bad' && <SwapPart part={part} bad />}
          {part.kind === 'pump' && <PumpRun key={piece.called ?? 'old'} part={part} />}
          {part.kind === 'sender' && <SenderTests key={piece.called ?? 'old'} part={part} />}
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
          <DonorForm key={`donor ${state.set[part.id]?.id ?? ''}`} part={part} />
          {verdict.outcome !== 'bad' && <SwapPart part={part} bad={false} />}
        </>
      )}
    </HandPanel>
  );
}

/** Another one goes in for it. */
function SwapPart({ part, bad }: { part: UnitPart; bad: boolean }) {
  const { state, enter } = useJob();
  const [open, setOpen] = useState(false);
  const form = useEntryForm({ kind: 'partSwapped', start: { part: part.id, with: '' }, onDone: () => setOpen(false) });
  const before = state.pieces[part.id]?.at(-2);
  const called = before ? (before.called ?? THE_OLD) : null;
  return (
    <Swap
      form={form}
      open={open}
      onOpen={() => setOpen(true)}
      action="fit-another"
      label={bad ? 'Bad, fit another' : 'Fit another'}
      main={bad}
      before={called}
      onAgain={() => void enter('partSwapped', { part: part.id, with: called ?? THE_OLD, again: true })}
    />
  );
}

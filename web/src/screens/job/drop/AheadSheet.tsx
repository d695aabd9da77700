import { bindings, MORE_TILT, REACH, present, travelWords } from '@iron-cradle/core';
import { minutesInWords, stopsInWords, type Change, type Foresight, type Remedy } from '@iron-cradle/core/foresight';
import { useState } from 'react';
import { Link } from 'react-router';
import { MinutesBar } from '../../../drawings/minutes/MinutesBar.tsx';
import { useJob } from '../../../log/useJob.ts';
import { Sheet } from '../../../ui/Sheet.tsx';
import { VerdictView } from '../../../ui/VerdictView.tsx';
import { useForesight } from '../../../workers/useForesight.ts';
import { HowFar } from '../HowFar.tsx';
import { Asked } from './Asked.tsx';
import { WhatIf } from './WhatIf.tsx';
import { useWords, Words } from '../../../ui/Words.tsx';
import { capital } from '../../../ui/capital.ts';

const asItIs: Change[] = [];

/** What lies ahead: minutes as a range, what each line is asked for, what if, and where there is no way, what makes one. */
export function AheadSheet({ open, onClose }: { open: boolean; onClose: () => void }) {
  const { state, jobId, enter, answer } = useJob();
  const [changes, setChanges] = useState<Change[]>([]);
  const now = useForesight(state, asItIs, open);
  const then = useForesight(state, changes, open && changes.length > 0);
  const shown = (changes.length > 0 ? then : now).foresight;
  const { progress, problem, stop } = changes.length > 0 ? then : now;

  const takeOver = async (remedy: Remedy) => {
    for (const change of remedy.changes) {
      if (change.what === 'longer')
        if (!(await enter('surprise', { what: 'freed', key: `line:${change.line}`, more: change.mm }))) return;
      if (change.what === 'reach') {
        if (!(await answer(REACH, change.mm, change.way))) return;
      }
      if (change.what === 'lower') {
        const at = present(
          bindings(state).find((b) => b.key === `obstruction:${change.obstruction}`),
          'obstruction',
          `obstruction:${change.obstruction}`,
        ).limit.typ;
        if (
          !(await enter('surprise', { what: 'holds', key: `obstruction:${change.obstruction}`, lets: at + change.mm }))
        )
          return;
      }
      if (change.what === 'tilt') {
        if (!(await answer(MORE_TILT, change.mm))) return;
      }
    }
    setChanges([]);
  };

  return (
    <Sheet
      open={open}
      onClose={() => (setChanges([]), onClose())}
      title="What lies ahead"
      hint={`The ${travelWords(state.vehicle).wayOff} with the least minutes, over all orders, heights and tilts. Hands and moves only.`}
    >
      {problem && <p className="font-semibold text-halt">{problem}</p>}
      {progress !== null && (
        <p className="flex items-center justify-between gap-3 py-2" role="status">
          <span className="text-quiet">Looking for what would help, {Math.round(progress * 100)} %</span>
          <button type="button" className="btn" onClick={stop}>
            Stop looking
          </button>
        </p>
      )}
      {shown && (
        <>
          <VerdictView verdict={shown.verdict} />
          {shown.conflict === null && <Minutes shown={shown} before={changes.length > 0 ? now.foresight : null} />}
          {shown.conflict && <NoWay shown={shown} onTake={(r) => void takeOver(r)} />}
          <Asked foresight={shown} />
        </>
      )}
      <Link to={`/jobs/${jobId}/sheet`} className="btn my-3 w-full">
        The plan on one page, to print
      </Link>
      <div className="border-t-2 border-ink py-3">
        <HowFar />
      </div>
      <WhatIf state={state} changes={changes} onChange={setChanges} />
    </Sheet>
  );
}

function Minutes({ shown, before }: { shown: Foresight; before: Foresight | null }) {
  const { minutes, stops, open } = shown.ahead;
  const was = before?.ahead;
  return (
    <div className="py-3">
      <p className="flex flex-wrap items-baseline gap-x-3">
        <span className="reading text-24 font-semibold" data-ahead={Math.round(minutes.typ)}>
          {minutesInWords(minutes, open)}
        </span>
        <span className="text-quiet">{stopsInWords(stops, open)} stops on the way</span>
        {was && (
          <span className="font-semibold" role="status">
            {difference(minutes.typ - was.minutes.typ)}, {stopsInWords(was.stops, was.open)} stops before
          </span>
        )}
      </p>
      <MinutesBar minutes={minutes} before={was?.minutes ?? null} />
    </div>
  );
}

const difference = (minutes: number): string =>
  Math.round(minutes) === 0
    ? 'no minute changes'
    : `${Math.abs(Math.round(minutes))} min ${minutes > 0 ? 'more' : 'less'}`;

/** The conflict, and what would make a way, each taken over with one tap. */
function NoWay({ shown, onTake }: { shown: Foresight; onTake: (remedy: Remedy) => void }) {
  const words = useWords();
  return (
    <section aria-label="no way" className="border-t-2 border-halt py-3">
      <p className="narrow text-20">
        If all is as likely, <Words of={shown.conflict ?? ''} />.
      </p>
      {shown.remedies.length === 0 ? (
        <p className="pt-2 text-quiet">No single change or pair that was tried makes a way. Measure what holds.</p>
      ) : (
        <ul className="ruled pt-2" aria-label="what would make a way">
          {shown.remedies.slice(0, 6).map((remedy) => (
            <li key={words(remedy.text)} className="flex items-center gap-3 py-2">
              <span className="min-w-0 flex-1">
                {capital(words(remedy.text))}
                <span className="block text-quiet">then {Math.round(remedy.minutes)} min down</span>
              </span>
              <button
                type="button"
                className="btn shrink-0"
                data-remedy={remedy.changes.map((c) => c.what).join('+')}
                onClick={() => onTake(remedy)}
              >
                Done so
              </button>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

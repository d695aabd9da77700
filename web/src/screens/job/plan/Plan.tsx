import { callLine, elsewhere, diagnose, kilogramsOf, kitOf, travelWords, type Call } from '@iron-cradle/core';
import { useLayoutEffect, useMemo, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { screenChanged } from '../../../app/wetGlass.ts';
import { Kilograms } from '../../../drawings/kilograms/Kilograms.tsx';
import { useJob } from '../../../log/useJob.ts';
import { Strap } from '../../../look/Strap.tsx';
import { useShop } from '../../../net/queries.ts';
import { Sheet } from '../../../ui/Sheet.tsx';
import { useWords } from '../../../ui/Words.tsx';
import { useAnswer, type Ask } from '../../../workers/useAnswer.ts';
import { StationRail } from '../StationRail.tsx';
import { TakeBack } from '../TakeBack.tsx';
import { AheadSheet } from '../drop/AheadSheet.tsx';
import { CallRow } from './CallRow.tsx';
import { CallRows } from './CallRows.tsx';
import { ComplaintTest } from './ComplaintTest.tsx';
import { HandsRow } from './HandsRow.tsx';
import { NeededSheet } from './NeededSheet.tsx';
import { Questions } from './Questions.tsx';
import { QuickTests } from './QuickTests.tsx';

/** The call: what a technician knows before touching a bolt. */
export default function Plan() {
  const { state, jobId } = useJob();
  const navigate = useNavigate();
  const shop = useShop().data;
  const [sheet, setSheet] = useState<'complaint' | 'tests' | 'needed' | 'ahead' | null>(null);
  const { alone, two } = kilogramsOf(state);
  const travel = travelWords(state.vehicle);
  const words = useWords();
  const ask = useMemo<Ask<Call>>(() => {
    const tools = shop ? { kit: kitOf(shop.kit), cans: shop.kit.cans } : undefined;
    return (core) => core.call(state, tools);
  }, [state, shop]);
  const { answer: call, progress, problem, again } = useAnswer(ask);
  // Its rows come when they come, and move what a finger may be on its way to.
  useLayoutEffect(screenChanged, [call === null]);
  // Who may lift it, and the test that comes first, need no search.
  const line = useMemo(() => callLine(state), [state]);
  const diagnosis = diagnose(state);
  const { test } = line;
  const told = state.complaintTest;
  const first = elsewhere(state);
  const notShown = told?.result === 'notShown';
  return (
    <div className="flex flex-1 flex-col wide:flex-row wide:overflow-hidden">
      <StationRail now="plan" />
      <main className="flex min-w-0 flex-1 flex-col bg-sheet px-4 pt-5 mid:px-11 mid:pt-6 wide:overflow-y-auto">
        <h1 className="pb-4 text-32 mid:text-48">{line.headline}</h1>
        {first !== null && (
          <p className="pb-3">
            <Link to={`/jobs/${jobId}/safe`} className="link inline-flex min-h-11 items-center">
              It comes {travel.off} all the same: make it safe
            </Link>
          </p>
        )}
        <Kilograms call={line} alone={alone} two={two} />
        <div className="ruled mt-4 border-t border-rule">
          {diagnosis.tests.length > 0 && (
            <CallRow
              name={`Must it come ${travel.off}?`}
              text={words(diagnosis.verdict.reasons[0]?.text ?? '')}
              why={`${diagnosis.verdict.reasons.map((r) => words(r.text)).join('; ')}. ${diagnosis.verdict.next[0] ? `Next: ${words(diagnosis.verdict.next[0])}.` : ''}`}
            >
              <button
                type="button"
                className="btn min-w-20 shrink-0"
                data-verdict={diagnosis.verdict.outcome}
                data-action="tests"
                onClick={() => setSheet('tests')}
              >
                Test
              </button>
            </CallRow>
          )}
          <CallRow name={`First, ${test.minutes} min`} text={test.test} why={words(test.why)}>
            <button type="button" className="btn min-w-20 shrink-0" onClick={() => setSheet('complaint')}>
              {told ? { shown: 'Shown', notShown: 'Not shown', notRun: 'Not run' }[told.result] : 'Record'}
            </button>
          </CallRow>
          {call && <CallRows call={call} travel={travel} onSheet={setSheet} />}
          <HandsRow />
          {progress !== null && !call && (
            <p className="flex min-h-16 items-center text-quiet" role="status">
              Looking for the ways and what could stop you…
            </p>
          )}
          {problem && (
            <p className="flex min-h-16 items-center gap-3 font-semibold text-halt" role="alert">
              {problem}
              <button type="button" className="btn shrink-0" onClick={again}>
                Look again
              </button>
            </p>
          )}
        </div>
        <div className="sticky bottom-0 z-10 -mx-4 mt-auto grid grid-cols-[1fr_1.6fr] gap-3 border-t border-rule bg-sheet px-4 py-3 mid:-mx-11 mid:grid-cols-[1fr_1.4fr] mid:px-11">
          <Link to={`/jobs/${jobId}/quote`} className="btn min-h-18">
            Quote for the owner
          </Link>
          {first === null ? (
            <Strap
              onClick={() => void navigate(`/jobs/${jobId}/safe`)}
              waitsFor={told ? undefined : 'record the complaint’s test first'}
            >
              Make it safe
            </Strap>
          ) : (
            <Strap data-action="test-first" onClick={() => setSheet(notShown ? 'complaint' : 'tests')}>
              {notShown ? 'Run its test again' : 'Test again'}
            </Strap>
          )}
        </div>
      </main>
      <aside className="shrink-0 border-t border-rule p-4 mid:px-11 wide:w-[22rem] wide:overflow-y-auto wide:border-l wide:border-t-0 wide:p-6">
        {call && <Questions questions={call.questions} />}
        <div className="pt-3">
          <TakeBack />
        </div>
      </aside>
      <ComplaintTest open={sheet === 'complaint'} onClose={() => setSheet(null)} />
      <AheadSheet open={sheet === 'ahead'} onClose={() => setSheet(null)} />
      <NeededSheet open={sheet === 'needed'} onClose={() => setSheet(null)} />
      <Sheet
        open={sheet === 'tests'}
        onClose={() => setSheet(null)}
        title={`Must it come ${travel.off}?`}
        hint="Quick tests, those that decide most a minute first."
      >
        <QuickTests />
      </Sheet>
    </div>
  );
}

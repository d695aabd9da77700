import {
  kilogramsOf,
  complaintOf,
  diagnose,
  hoursInWords,
  kitOf,
  litres as inLitres,
  makeCall,
  roundTo,
  say,
} from '@iron-cradle/core';
import { useMemo, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { Kilograms } from '../../../drawings/kilograms/Kilograms.tsx';
import { useJob } from '../../../log/useJob.ts';
import { Strap } from '../../../look/Strap.tsx';
import { useShop } from '../../../net/queries.ts';
import { Sheet } from '../../../ui/Sheet.tsx';
import { useWords, Words } from '../../../ui/Words.tsx';
import { StationRail } from '../StationRail.tsx';
import { TakeBack } from '../TakeBack.tsx';
import { AheadSheet } from '../drop/AheadSheet.tsx';
import { CallRow } from './CallRow.tsx';
import { ComplaintTest } from './ComplaintTest.tsx';
import { NeededSheet } from './NeededSheet.tsx';
import { Questions } from './Questions.tsx';
import { QuickTests } from './QuickTests.tsx';
import { SoakRow } from './SoakRow.tsx';
import { WaysIn } from './WaysIn.tsx';

/** The call: what a technician knows before touching a bolt. */
export default function Plan() {
  const { state, jobId } = useJob();
  const navigate = useNavigate();
  const shop = useShop().data;
  const [sheet, setSheet] = useState<'complaint' | 'tests' | 'needed' | 'ahead' | null>(null);
  const { alone, two } = kilogramsOf(state);
  const words = useWords();
  const call = useMemo(
    () => makeCall(state, shop ? { kit: kitOf(shop.kit), cans: shop.kit.cans } : undefined),
    [state, shop],
  );
  const diagnosis = diagnose(state);
  const { litres, enough } = call.takeOut;
  const test = complaintOf(state.complaint);
  const told = state.complaintTest;
  const stop = call.couldStop;
  return (
    <div className="flex flex-1 flex-col wide:flex-row wide:overflow-hidden">
      <StationRail now="plan" />
      <main className="flex min-w-0 flex-1 flex-col bg-sheet px-4 pt-5 mid:px-11 mid:pt-6 wide:overflow-y-auto">
        <h1 className="pb-4 text-32 mid:text-48">{call.headline}</h1>
        <Kilograms call={call} alone={alone} two={two} />
        <div className="ruled mt-4 border-t border-rule">
          {diagnosis.tests.length > 0 && (
            <CallRow
              name="Must it come down?"
              text={words(diagnosis.verdict.reasons[0]?.text ?? '')}
              why={`${diagnosis.verdict.reasons.map((r) => words(r.text)).join('; ')}. ${diagnosis.verdict.next[0] ? `Next: ${words(diagnosis.verdict.next[0])}.` : ''}`}
            >
              <button
                type="button"
                className="btn w-20 shrink-0"
                data-verdict={diagnosis.verdict.outcome}
                data-action="tests"
                onClick={() => setSheet('tests')}
              >
                Test
              </button>
            </CallRow>
          )}
          <CallRow
            name={
              litres.hi > 0
                ? words(say`Take out about ${inLitres(roundTo(Math.max(litres.typ, 1), litres.typ > 10 ? 5 : 1))}`)
                : 'Nothing to take out'
            }
            text={`${words([inLitres(call.aboard.lo, call.aboard.hi)])} aboard; ${litres.hi > 0 ? `${words([inLitres(litres.lo, litres.hi)])} until one may take it` : 'light enough as it is'}${enough ? '' : '; the drained tank may still be too much for one'}${call.wayOut ? `; ${call.wayOut.way.name.toLowerCase()}, ${hoursInWords(call.wayOut.way.minutes)}, up to ${call.wayOut.cans === 1 ? 'one can' : `${call.wayOut.cans} cans`}` : ''}`}
            why={`${words(call.why.takeOut)}. ${words(call.why.mass)}.`}
          />
          <CallRow
            name={`Drop it: ${hoursInWords(call.minutes)}`}
            text={call.breakEven ?? 'no other way in here'}
            why={<WaysIn ways={call.waysIn} why={words(call.why.minutes)} />}
          >
            <button type="button" className="btn w-20 shrink-0" data-action="ahead" onClick={() => setSheet('ahead')}>
              Ahead
            </button>
          </CallRow>
          <CallRow name={`First, ${test.minutes} min`} text={test.test} why={words(call.why.test)}>
            <button type="button" className="btn w-20 shrink-0" onClick={() => setSheet('complaint')}>
              {told ? { shown: 'Shown', notShown: 'Not shown', notRun: 'Not run' }[told.result] : 'Record'}
            </button>
          </CallRow>
          <CallRow
            name="Could stop you"
            text={
              stop.length === 0
                ? 'nothing known'
                : `${stop
                    .slice(0, 3)
                    .map((c) => c.text)
                    .join(', ')}${stop.length > 3 ? ` and ${stop.length - 3} more` : ''}`
            }
            why={
              <ul className="ruled" aria-label="what could stop you">
                {stop.map((c) => (
                  <li key={c.text} className="py-1.5">
                    {c.text}:{' '}
                    <span className="text-quiet">
                      <Words of={c.why} />
                    </span>
                  </li>
                ))}
              </ul>
            }
          >
            <button type="button" className="btn w-20 shrink-0" data-action="needed" onClick={() => setSheet('needed')}>
              Here?
            </button>
          </CallRow>
          {call.soak && <SoakRow soak={call.soak} why={words(call.why.soak)} />}
        </div>
        <div className="sticky bottom-0 z-10 -mx-4 mt-auto grid grid-cols-[1fr_1.6fr] gap-3 border-t border-rule bg-sheet px-4 py-3 mid:-mx-11 mid:grid-cols-[1fr_1.4fr] mid:px-11">
          <Link to={`/jobs/${jobId}/quote`} className="btn min-h-18">
            Quote for the owner
          </Link>
          <Strap
            onClick={() => void navigate(`/jobs/${jobId}/safe`)}
            waitsFor={told ? undefined : 'record the complaint’s test first'}
          >
            Make it safe
          </Strap>
        </div>
      </main>
      <aside className="shrink-0 border-t border-rule p-4 mid:px-11 wide:w-[22rem] wide:overflow-y-auto wide:border-l wide:border-t-0 wide:p-6">
        <Questions questions={call.questions} />
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
        title="Must it come down?"
        hint="Quick tests, those that decide most a minute first."
      >
        <QuickTests />
      </Sheet>
    </div>
  );
}

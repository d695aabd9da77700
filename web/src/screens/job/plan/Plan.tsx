import { complaintOf, hoursInWords, makeCall, rangeInWords, roundTo } from '@iron-cradle/core';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { Kilograms } from '../../../drawings/kilograms/Kilograms.tsx';
import { useJob } from '../../../log/useJob.ts';
import { Strap } from '../../../look/Strap.tsx';
import { useShop } from '../../../net/queries.ts';
import { StationRail } from '../StationRail.tsx';
import { TakeBack } from '../TakeBack.tsx';
import { CallRow } from './CallRow.tsx';
import { ComplaintTest } from './ComplaintTest.tsx';
import { AskTheVehicle } from './AskTheVehicle.tsx';

/** The call: what a technician knows before touching a bolt. */
export default function Plan() {
  const { state, jobId, enter } = useJob();
  const navigate = useNavigate();
  const shop = useShop().data;
  const [testing, setTesting] = useState(false);
  const kilograms = { alone: shop?.alone ?? 25, two: shop?.two ?? 40 };
  const call = makeCall(state, kilograms);
  const { litres, enough } = call.takeOut;
  const soaking = state.waits.find((w) => w.what === call.soak?.what && !w.ended);
  const test = complaintOf(state.complaint);
  const told = state.complaintTest;
  return (
    <div className="flex flex-1 flex-col wide:flex-row wide:overflow-hidden">
      <StationRail now="plan" />
      <main className="flex min-w-0 flex-1 flex-col bg-sheet px-4 pb-3 pt-5 mid:px-11 mid:pt-6 wide:overflow-y-auto">
        <h1 className="pb-4 text-32 mid:text-48">{call.headline}</h1>
        <Kilograms call={call} {...kilograms} />
        <div className="ruled mt-4 border-t border-rule">
          <CallRow
            name={
              litres.hi > 0
                ? `Take out about ${roundTo(Math.max(litres.typ, 1), litres.typ > 10 ? 5 : 1)} L`
                : 'Nothing to take out'
            }
            text={`${rangeInWords(call.aboard, 1)} L aboard; ${litres.hi > 0 ? `${rangeInWords(litres, 1)} L until one may take it` : 'light enough as it is'}${enough ? '' : '; the drained tank may still be too much for one'}${call.wayOut ? `; ${call.wayOut.way.name.toLowerCase()}, ${hoursInWords(call.wayOut.way.minutes)}, up to ${call.wayOut.cans} cans` : ''}`}
            why={`${call.why.takeOut}. ${call.why.mass}.`}
          />
          <CallRow
            name={`Drop it: ${hoursInWords(call.minutes)}`}
            text="down, up and proving; what the bench takes comes on top"
            why={call.why.minutes}
          />
          <CallRow name={`First, ${test.minutes} min`} text={test.test} why={call.why.test} />
          <CallRow
            name="Could stop you"
            text={call.couldStop.join(', ') || 'nothing the file knows of'}
            why={call.why.couldStop}
          />
          {call.soak && (
            <CallRow
              name="Soak now"
              text={
                soaking
                  ? `${call.soak.what}: started, runs by itself`
                  : `${call.soak.what}, ${call.soak.minutes} min, while you do other things`
              }
              why={call.why.soak}
            >
              {!soaking && (
                <button
                  type="button"
                  className="btn min-w-20"
                  onClick={() =>
                    void enter('wait', { what: call.soak!.what, state: 'start', minutes: call.soak!.minutes })
                  }
                >
                  Start
                </button>
              )}
            </CallRow>
          )}
        </div>
        <div className="mt-auto grid gap-3 pt-4 mid:grid-cols-2">
          <button type="button" className="btn min-h-18" onClick={() => setTesting(true)}>
            {told
              ? `Test: ${told.result === 'shown' ? 'shows the complaint' : told.result === 'notShown' ? 'does not show it' : 'not run'}`
              : 'Record the complaint’s test'}
          </button>
          <Strap
            onClick={() => void navigate(`/jobs/${jobId}/safe`)}
            waitsFor={told ? undefined : 'record the complaint’s test first'}
          >
            Make it safe
          </Strap>
        </div>
        <div className="pt-2">
          <TakeBack />
        </div>
      </main>
      <aside className="shrink-0 border-t border-rule p-4 mid:px-11 wide:w-[22rem] wide:overflow-y-auto wide:border-l wide:border-t-0 wide:p-6">
        <AskTheVehicle />
      </aside>
      <ComplaintTest open={testing} onClose={() => setTesting(false)} />
    </div>
  );
}

import {
  answerTo,
  judgeSample,
  minutesSince,
  SAMPLE,
  SAMPLE_STANDS,
  sampleLooks,
  type SampleLook,
} from '@iron-cradle/core';
import { useState } from 'react';
import { Jar } from '../../../drawings/cans/Jar.tsx';
import { useJob } from '../../../log/useJob.ts';
import { Choice } from '../../../ui/Choice.tsx';
import { Sheet } from '../../../ui/Sheet.tsx';
import { VerdictView } from '../../../ui/VerdictView.tsx';
import { useNow } from '../../../ui/useNow.ts';

const WAIT = 'sample stands';
const decides = { return: 'It may go back', filter: 'Filter it', dispose: 'Dispose of it' };

/** A sample in glass: it stands, it is looked at, and it decides about the fuel, the tank, the filter, the pump. */
export function Sample() {
  const { state, enter, answer } = useJob();
  const [open, setOpen] = useState(false);
  const now = useNow(10_000);
  const stands = state.waits.find((w) => w.what === WAIT);
  const minutes = stands ? minutesSince(stands.started, now) : 0;
  const look = answerTo(state, SAMPLE);
  const judged = look ? judgeSample(look, state.vehicle.fuel) : null;
  const tell = async (value: SampleLook) => {
    if (!(await answer(SAMPLE, value))) return;
    setOpen(false);
  };
  return (
    <section aria-label="the sample" className="flex flex-wrap items-start gap-5">
      <div>
        <p className="text-quiet">Sample{stands ? `, ${minutes} min standing` : ''}</p>
        <Jar look={look ?? (stands ? 'unseen' : 'none')} />
      </div>
      <div className="min-w-56 flex-1 pt-6">
        {judged ? (
          <>
            <p className="narrow pb-1 text-20">{decides[judged.decide]}</p>
            <VerdictView verdict={judged.verdict} />
            <dl className="pt-2 text-quiet">
              {Object.entries(judged.means).map(([what, text]) => (
                <div key={what} className="flex gap-2">
                  <dt className="w-14 shrink-0">{what}</dt>
                  <dd>{text}</dd>
                </div>
              ))}
            </dl>
          </>
        ) : (
          <p className="text-quiet">
            {stands
              ? `Beside a clean one, sealed and dated; look after ${SAMPLE_STANDS} minutes. Never by taste.`
              : 'Some of what comes out stands in glass beside a clean one.'}
          </p>
        )}
        {!state.signed && (
          <div className="flex flex-wrap gap-3 pt-3">
            {!stands && (
              <button
                type="button"
                className="btn"
                data-action="sample"
                onClick={() => void enter('wait', { what: WAIT, state: 'start', minutes: SAMPLE_STANDS })}
              >
                It stands in glass
              </button>
            )}
            {stands && (
              <button type="button" className="btn" data-action="judge-sample" onClick={() => setOpen(true)}>
                {judged ? 'Look again' : 'How it looks'}
              </button>
            )}
          </div>
        )}
      </div>
      <Sheet
        open={open}
        onClose={() => setOpen(false)}
        title="How the sample looks"
        hint="Beside the clean one, light from the side."
      >
        <Choice
          label=""
          value={look ?? null}
          onChoose={(value) => void tell(value)}
          columns="grid-cols-1 mid:grid-cols-2"
          options={sampleLooks.map((l) => ({
            value: l.id,
            label: (
              <span>
                {l.name}
                <span className="block text-16 font-normal text-quiet">{l.shows}</span>
              </span>
            ),
          }))}
        />
      </Sheet>
    </section>
  );
}

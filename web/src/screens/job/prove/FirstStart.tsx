import { codesOf, judgeStart, STARTS, type Bodies } from '@iron-cradle/core';
import { useState } from 'react';
import { useWatch } from 'react-hook-form';
import { FormQuantity } from '../../../form/FormQuantity.tsx';
import { useEntryForm } from '../../../form/useEntryForm.ts';
import { useJob } from '../../../log/useJob.ts';
import { VerdictView } from '../../../ui/VerdictView.tsx';
import { Codes } from './Codes.tsx';

const WORDS: Record<(typeof STARTS)[number], string> = { ran: 'It runs', dies: 'It dies', no: 'It does not start' };

/** The first start: one tap for what it did; battery, pressures and seconds where somebody read them. */
export function FirstStart() {
  const { state } = useJob();
  const [more, setMore] = useState(false);
  const form = useEntryForm({ kind: 'engineStarted', start: {}, onDone: () => setMore(false) });
  const said = useWatch({ control: form.control }) as Partial<Bodies['engineStarted']>;
  const read = Object.fromEntries(Object.entries(said).filter(([, value]) => typeof value === 'number'));
  const ahead = Object.keys(read).length > 0 ? judgeStart({ ran: 'ran', ...read }, state.vehicle) : null;
  if (state.signed && state.starts.length === 0 && state.codesAfter.length === 0) return null;
  return (
    <section
      aria-label="first start"
      className="grid gap-3"
      data-start={state.starts.at(-1)?.verdict.outcome ?? 'none'}
    >
      <h2 className="text-24">First start</h2>
      {state.starts.map(({ id, verdict }) => (
        <VerdictView key={id} verdict={verdict} />
      ))}
      {!state.signed && (
        <>
          <p className="text-quiet">
            Nobody underneath, every open end shut, tray under it, extinguisher at hand. Prime first, look at every
            joint, then start and look again.
          </p>
          {more ? (
            <div className="grid gap-x-3 min-[480px]:grid-cols-2">
              <FormQuantity
                form={form}
                name="volts"
                label="Battery at rest"
                dimension="voltage"
                unit="V"
                step={0.05}
                decimals={1}
              />
              <FormQuantity
                form={form}
                name="seconds"
                label="It cranked"
                dimension="duration"
                unit="s"
                step={0.5}
                decimals={1}
              />
              <FormQuantity
                form={form}
                name="primed"
                label="Pressure once primed"
                dimension="pressure"
                unit="bar"
                step={0.01}
                decimals={2}
              />
              <FormQuantity
                form={form}
                name="bar"
                label="Pressure while it runs"
                dimension="pressure"
                unit="bar"
                step={0.01}
                decimals={2}
              />
              <FormQuantity
                form={form}
                name="stopped"
                label="Ten minutes after it stopped"
                dimension="pressure"
                unit="bar"
                step={0.01}
                decimals={2}
              />
            </div>
          ) : (
            <button type="button" className="btn" data-action="start-more" onClick={() => setMore(true)}>
              Battery, pressure, seconds too
            </button>
          )}
          {ahead && ahead.outcome !== 'good' && <VerdictView verdict={ahead} compact />}
          <div className="grid gap-3 min-[480px]:grid-cols-3" role="group" aria-label="what it did">
            {STARTS.map((ran) => (
              <button key={ran} type="button" className="btn" data-ran={ran} onClick={() => void form.say({ ran })}>
                {WORDS[ran]}
              </button>
            ))}
          </div>
        </>
      )}
      <Codes verdict={codesOf(state)} />
    </section>
  );
}

import { judgeRefill, litres, rounded } from '@iron-cradle/core';
import { useState } from 'react';
import { NeedleDial } from '../../../drawings/needle/NeedleDial.tsx';
import { EntryForm } from '../../../form/EntryForm.tsx';
import { FormQuantity } from '../../../form/FormQuantity.tsx';
import { useEntryForm } from '../../../form/useEntryForm.ts';
import { useJob } from '../../../log/useJob.ts';
import { Slide } from '../../../ui/Slide.tsx';
import { VerdictView } from '../../../ui/VerdictView.tsx';
import { useWords } from '../../../ui/Words.tsx';

/** The needle after each fill, against the litres that are in it: turn it to where it stands; more only where they disagree. */
export function Needle() {
  const { state } = useJob();
  const words = useWords();
  const [needle, setNeedle] = useState(0.25);
  const [more, setMore] = useState(false);
  const form = useEntryForm({ kind: 'refillRead', start: {}, onDone: () => setMore(false) });
  if (state.fills.length === 0 || (state.signed && state.refill.length === 0)) return null;
  const verdict = judgeRefill(state.refill, state.vehicle);
  const capacity = state.vehicle.tank.litres;
  return (
    <section aria-label="needle" className="grid gap-3" data-refill={verdict.outcome}>
      <h2 className="text-24">Needle after the fill</h2>
      {state.refill.length > 0 && <VerdictView verdict={verdict} />}
      {!state.signed && (
        <EntryForm say={() => form.say({ needle })} label="needle">
          <p className="text-quiet">
            {words([rounded(litres, state.fuel.aboard, 1)])} are in it; turn the needle to where it stands.
          </p>
          <NeedleDial
            marks={[0, 0.25, 0.5, 0.75, 1].map((share) => ({
              needle: share,
              text: words([rounded(litres, { lo: share * capacity.typ, hi: share * capacity.typ }, 5)]),
            }))}
            lamp={null}
            needle={needle}
            label="the needle on the dash"
          />
          <Slide
            label="needle"
            said={`${Math.round(needle * 100)} per cent`}
            min={0}
            max={1}
            step={0.025}
            value={needle}
            onSlide={setNeedle}
          />
          {more ? (
            <div className="grid grid-cols-2 gap-x-3">
              <FormQuantity
                form={form}
                name="scan"
                label="Scan tool"
                dimension="share"
                unit="%"
                step={0.1}
                decimals={1}
              />
              <FormQuantity
                form={form}
                name="ohms"
                label="Ohms at its plug, off"
                dimension="resistance"
                unit="Ω"
                step={0.1}
                decimals={1}
              />
            </div>
          ) : (
            <button type="button" className="btn" data-action="needle-more" onClick={() => setMore(true)}>
              They disagree: scan tool and ohms too
            </button>
          )}
          <button type="submit" className="btn" data-action="needle-read">
            There it stands
          </button>
        </EntryForm>
      )}
    </section>
  );
}

import { litres, rounded } from '@iron-cradle/core';
import { NeedleDial } from '../../../../drawings/needle/NeedleDial.tsx';
import { EntryForm } from '../../../../form/EntryForm.tsx';
import { FormQuantity } from '../../../../form/FormQuantity.tsx';
import { useEntryForm } from '../../../../form/useEntryForm.ts';
import { useJob } from '../../../../log/useJob.ts';
import { Strap } from '../../../../look/Strap.tsx';
import { useWords } from '../../../../ui/Words.tsx';
import { VerdictView } from '../../../../ui/VerdictView.tsx';

/** The old sender in another tank: what each mark of the needle means in litres, and what is left below empty. */
export function NeedleForm() {
  const { state } = useJob();
  const words = useWords();
  const form = useEntryForm({ kind: 'senderKept', start: {} });
  const mm = { form, dimension: 'length', unit: 'mm', step: 1, decimals: 0 } as const;
  return (
    <>
      {state.needle && (
        <div data-needle={state.needle.verdict.outcome} className="grid gap-3">
          <NeedleDial
            marks={state.needle.places.map(({ needle, litres: span }) => ({
              needle,
              text: words([rounded(litres, { lo: span.typ, hi: span.typ }, 1)]),
            }))}
            lamp={null}
          />
          <VerdictView verdict={state.needle.verdict} />
        </div>
      )}
      {!state.signed && (
        <EntryForm say={() => form.say()} label="the old sender in it">
          <div className="grid grid-cols-2 gap-x-3">
            <FormQuantity form={form} name="litres" label="The new tank holds" dimension="volume" unit="L" step={0.5} />
            <FormQuantity {...mm} name="toFloor" label="Its opening to its floor" />
            <FormQuantity {...mm} name="empty" label="Float below flange, empty" />
            <FormQuantity {...mm} name="full" label="Float below flange, full" />
            <FormQuantity {...mm} name="pickup" label="Pick-up off its floor" />
          </div>
          <Strap type="submit" data-action="needle-judge-tank">
            What the needle means
          </Strap>
        </EntryForm>
      )}
    </>
  );
}

import { sparkActs, sparkOf, wetEnds, type SparkAct } from '@iron-cradle/core';
import { EntryForm } from '../../../../form/EntryForm.tsx';
import { useWatch } from 'react-hook-form';
import { FormChoice } from '../../../../form/FormChoice.tsx';
import { FormQuantity } from '../../../../form/FormQuantity.tsx';
import { FormYesNo } from '../../../../form/FormYesNo.tsx';
import { useEntryForm } from '../../../../form/useEntryForm.ts';
import { useJob } from '../../../../log/useJob.ts';
import { Strap } from '../../../../look/Strap.tsx';
import { useNow } from '../../../../ui/useNow.ts';
import { VerdictView } from '../../../../ui/VerdictView.tsx';
import { HandPanel } from '../HandPanel.tsx';

const acts = (Object.keys(sparkActs) as SparkAct[]).map((value) => ({ value, label: sparkActs[value] }));

/** When a spark is allowed: asked each time, answered from what the log knows and what somebody sees. */
export function SparkPanel({ onDone }: { onDone: () => void }) {
  const { state } = useJob();
  const now = useNow(15_000);
  const form = useEntryForm({ kind: 'spark', start: {} });
  const at = useWatch({ control: form.control, name: 'at' }) as string | undefined;
  const last = sparkOf(state, now);
  const wet = wetEnds(state);
  return (
    <HandPanel
      id="spark"
      title="May a spark be made here?"
      hint="Drill, grinder, heat on a bolt, welding. It holds until something comes off or is moved, half an hour at most."
      onDone={onDone}
    >
      {last && (
        <div data-spark={last.verdict.outcome} className="grid gap-2 border-y border-rule py-3">
          <VerdictView
            verdict={last.verdict}
            title={`${sparkActs[last.act]}: ${{ good: 'allowed now', doubtful: 'with care', bad: 'no', unknown: 'not known' }[last.verdict.outcome]}`}
          />
        </div>
      )}
      {!state.signed && (
        <EntryForm say={() => form.say()} className="grid gap-4">
          <FormChoice form={form} name="act" label="What makes it" options={acts} expected="what makes it" />
          <FormChoice
            form={form}
            name="at"
            label="Where"
            options={[
              { value: 'vehicle', label: 'On the vehicle' },
              { value: 'tank', label: 'On the tank' },
            ]}
            expected="where: on the vehicle or on the tank"
          />
          <FormChoice
            form={form}
            name="tank"
            label="The tank"
            columns="grid-cols-1 min-[430px]:grid-cols-3"
            options={[
              { value: 'fuelled', label: 'Has held fuel' },
              { value: 'neverFuelled', label: 'Never held any' },
              { value: 'certified', label: 'Certified gas-free' },
            ]}
            expected="what the tank held"
          />
          {at !== 'tank' && <FormYesNo form={form} name="away" label="Tank and cans 11 m away, or in another room" />}
          {at === 'tank' && <FormYesNo form={form} name="away" label="Every other tank and can 11 m away" />}
          <FormYesNo form={form} name="air" label="The air moves: doors open or extraction on" />
          <FormYesNo form={form} name="dry" label="Nothing spilt, nobody rinses with petrol" />
          <p className="text-quiet">
            {wet.length === 0 ? 'The log knows of no wet end that is not capped.' : `Not capped: ${wet.join(', ')}.`}
          </p>
          <FormQuantity
            form={form}
            name="gas"
            label="Gas meter at floor height, % of the lower limit (may stay empty)"
            dimension="count"
            unit="one"
            step={0.1}
            decimals={1}
          />
          <Strap type="submit" data-action="spark">
            Ask
          </Strap>
        </EntryForm>
      )}
    </HandPanel>
  );
}

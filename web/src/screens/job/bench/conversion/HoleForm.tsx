import { useWatch } from 'react-hook-form';
import { HoleDrawing } from '../../../../drawings/conversion/HoleDrawing.tsx';
import { EntryForm } from '../../../../form/EntryForm.tsx';
import { FormQuantity } from '../../../../form/FormQuantity.tsx';
import { FormText } from '../../../../form/FormText.tsx';
import { FormYesNo } from '../../../../form/FormYesNo.tsx';
import { useEntryForm } from '../../../../form/useEntryForm.ts';
import { useJob } from '../../../../log/useJob.ts';
import { Strap } from '../../../../look/Strap.tsx';
import { VerdictView } from '../../../../ui/VerdictView.tsx';

/** A hole that is not made yet, drawn as it is typed. */
export function HoleForm() {
  const { state } = useJob();
  const form = useEntryForm({ kind: 'holePlanned', start: { hangs: '', clocking: 0 } });
  const typed = useWatch({ control: form.control }) as Record<string, number | string | null | undefined>;
  // Nothing typed yet: what was judged stays drawn.
  const shown: Record<string, unknown> =
    typeof typed.stack === 'number' || !state.hole ? typed : { ...state.hole.plan };
  const figure = (name: string): number | null => {
    const value = shown[name];
    return typeof value === 'number' && Number.isFinite(value) ? value : null;
  };
  const mm = { form, dimension: 'length', unit: 'mm', step: 0.5, decimals: 1 } as const;
  return (
    <>
      {state.hole && (
        <div data-hole={state.hole.verdict.outcome}>
          <VerdictView verdict={state.hole.verdict} />
        </div>
      )}
      {!state.signed && (
        <EntryForm say={() => form.say()} label="a hole" className="grid gap-4">
          <HoleDrawing
            stack={figure('stack')}
            recess={figure('recess')}
            hole={figure('hole')}
            boltCircle={figure('boltCircle')}
            inside={figure('inside')}
            swing={figure('swing')}
            hangs={typeof shown.hangs === 'string' ? shown.hangs : ''}
          />
          <FormYesNo form={form} name="neverFuelled" label="The tank has never held fuel" yes="Never" no="It has" />
          <div className="grid grid-cols-2 gap-x-3">
            <FormQuantity {...mm} name="stack" label="Stack above the tank" />
            <FormQuantity {...mm} name="recess" label="Room above it" />
            <FormQuantity {...mm} name="hole" label="Hole across" />
            <FormQuantity {...mm} name="boltCircle" label="Bolt circle, or none" />
            <FormQuantity {...mm} name="outOfFlat" label="Out of flat" step={0.1} />
            <FormQuantity {...mm} name="squeeze" label="The seal gives" step={0.1} />
            <FormQuantity {...mm} name="inside" label="To tray, baffle, wall" />
            <FormQuantity {...mm} name="swing" label="The float needs" />
            <FormQuantity
              form={form}
              name="clocking"
              label="It points off, °"
              dimension="count"
              unit="one"
              step={1}
              decimals={0}
            />
          </div>
          <FormText form={form} name="hangs" label="What hangs above it (may stay empty)" maxLength={80} />
          <Strap type="submit" data-action="hole-judge">
            May it be made?
          </Strap>
        </EntryForm>
      )}
    </>
  );
}

import { roundTo } from '@iron-cradle/core';
import { EntryForm } from '../../form/EntryForm.tsx';
import { FormPrice } from '../../form/FormPrice.tsx';
import { FormText } from '../../form/FormText.tsx';
import { useEntryForm } from '../../form/useEntryForm.ts';

interface WhileDownFormProps {
  /** What another drop costs; null where nobody can say. */
  drop: { lo: number; hi: number } | null;
}

/** What is cheap now and dear later goes on the list: what it is, and its price. */
export function WhileDownForm({ drop }: WhileDownFormProps) {
  const form = useEntryForm({ kind: 'proposed', start: { why: 'whileDown', what: '' } });
  return (
    <EntryForm
      say={() => form.say(drop ? { dropLo: roundTo(drop.lo, 1), dropHi: roundTo(drop.hi, 1) } : {})}
      label="while it is out"
    >
      <h2 className="text-24">Cheap now, dear later</h2>
      <div className="grid gap-3 mid:grid-cols-[2fr_1fr]">
        <FormText
          form={form}
          name="what"
          label="What would be done: all rubber to the engine, new straps, a foot valve"
          maxLength={120}
          expected="what would be done"
        />
        <FormPrice form={form} name="price" label="Its price" />
      </div>
      <button type="submit" className="btn" data-action="while-down">
        On the list
      </button>
    </EntryForm>
  );
}

import { bayKinds, type Shop } from '@iron-cradle/core';
import { useFieldArray } from 'react-hook-form';
import { FormChoice } from '../../form/FormChoice.tsx';
import { FormText } from '../../form/FormText.tsx';
import type { BodyForm } from '../../form/useBodyForm.ts';

const called: Record<(typeof bayKinds)[number], string> = { 'two-post': 'Two-post', flat: 'Flat', pit: 'Pit' };

/** The places where a vehicle is worked on: one to four. */
export function Bays({ form }: { form: BodyForm<Shop> }) {
  const { fields, append, remove } = useFieldArray({ control: form.control, name: 'bays' });
  return (
    <>
      <h3 className="border-b-2 border-ink pb-1 pt-2 text-20">Bays</h3>
      {fields.map((bay, i) => (
        <div key={bay.id} className="grid gap-2">
          <FormText form={form} name={`bays.${i}.name`} label={`Bay ${i + 1}`} maxLength={40} expected="a name" />
          <FormChoice
            form={form}
            name={`bays.${i}.kind`}
            label=""
            columns="grid-cols-3"
            options={bayKinds.map((value) => ({ value, label: called[value] }))}
          />
        </div>
      ))}
      <div className="grid grid-cols-2 gap-3">
        <button
          type="button"
          className="btn"
          disabled={fields.length >= 4}
          onClick={() => append({ name: `Bay ${fields.length + 1}`, kind: 'flat' })}
        >
          One bay more
        </button>
        <button type="button" className="btn" disabled={fields.length <= 1} onClick={() => remove(fields.length - 1)}>
          One bay less
        </button>
      </div>
    </>
  );
}

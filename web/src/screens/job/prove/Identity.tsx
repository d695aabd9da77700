import { useEntryForm } from '../../../form/useEntryForm.ts';
import { EntryForm } from '../../../form/EntryForm.tsx';
import { FormChoice } from '../../../form/FormChoice.tsx';
import { FormQuantity } from '../../../form/FormQuantity.tsx';
import { FormText } from '../../../form/FormText.tsx';
import { useJob } from '../../../log/useJob.ts';

/** Plate and mileage: needed by signing, not before. */
export function Identity() {
  const { state } = useJob();
  const { identity } = state;
  const form = useEntryForm({
    kind: 'identity',
    start: {
      plate: identity?.plate ?? '',
      unit: identity?.unit ?? 'km',
      ...(identity ? { mileage: identity.mileage } : {}),
    },
  });
  if (state.signed)
    return (
      <p>
        {identity?.plate}, {identity?.mileage} {identity?.unit}
      </p>
    );
  return (
    <section aria-label="plate and mileage">
      <h2 className="pb-2 text-24">Plate and mileage</h2>
      <EntryForm say={() => form.say({ plate: form.getValues('plate').trim().toUpperCase() })}>
        <FormText form={form} name="plate" label="Plate" maxLength={20} expected="one to twenty letters and digits" />
        <div className="grid grid-cols-2 gap-3">
          <FormQuantity form={form} name="mileage" label="Mileage" dimension="count" unit="one" step={1} decimals={0} />
          <FormChoice
            form={form}
            name="unit"
            label="in"
            options={[
              { value: 'km', label: 'km' },
              { value: 'mi', label: 'mi' },
            ]}
          />
        </div>
        <button type="submit" className="btn" data-action="identity">
          {identity
            ? `Kept: ${identity.plate}, ${identity.mileage} ${identity.unit}. Change`
            : 'Keep plate and mileage'}
        </button>
      </EntryForm>
    </section>
  );
}

import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { useJob } from '../../../log/useJob.ts';
import { Choice } from '../../../ui/Choice.tsx';
import { TextField } from '../../../ui/TextField.tsx';

/** Plate and mileage: needed by signing, not before. */
export function Identity() {
  const { state, enter } = useJob();
  const [unit, setUnit] = useState<'km' | 'mi'>(state.identity?.unit ?? 'km');
  const form = useForm({
    defaultValues: {
      plate: state.identity?.plate ?? '',
      mileage: state.identity ? String(state.identity.mileage) : '',
    },
  });
  const { errors } = form.formState;
  const save = form.handleSubmit(({ plate, mileage }) =>
    enter('identity', { plate: plate.trim().toUpperCase(), mileage: Number(mileage.replace(/[\s.,]/g, '')), unit }),
  );
  if (state.signed)
    return (
      <p>
        {state.identity?.plate}, {state.identity?.mileage} {state.identity?.unit}
      </p>
    );
  return (
    <section aria-label="plate and mileage">
      <h2 className="pb-2 text-24">Plate and mileage</h2>
      <form noValidate className="grid gap-3" onSubmit={(event) => void save(event)}>
        <TextField
          label="Plate"
          autoComplete="off"
          error={errors.plate?.message}
          {...form.register('plate', {
            validate: (v) =>
              (v.trim().length > 0 && v.trim().length <= 20) || 'Expected one to twenty letters and digits.',
          })}
        />
        <div className="grid grid-cols-2 gap-3">
          <TextField
            label="Mileage"
            inputMode="numeric"
            autoComplete="off"
            error={errors.mileage?.message}
            {...form.register('mileage', {
              validate: (v) => /^\d{1,7}$/.test(v.replace(/[\s.,]/g, '')) || 'Expected a whole number, as 48 210.',
            })}
          />
          <Choice
            label="in"
            value={unit}
            onChoose={setUnit}
            options={[
              { value: 'km', label: 'km' },
              { value: 'mi', label: 'mi' },
            ]}
          />
        </div>
        <button type="submit" className="btn" data-action="identity">
          {state.identity
            ? `Kept: ${state.identity.plate}, ${state.identity.mileage} ${state.identity.unit}. Change`
            : 'Keep plate and mileage'}
        </button>
      </form>
    </section>
  );
}

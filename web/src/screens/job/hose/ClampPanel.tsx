import { clampsFor, clampSizes, fittedOutside, ifMeant, type ClampKind, type Rubber } from '@iron-cradle/core';
import { useState } from 'react';
import { EntryForm } from '../../../form/EntryForm.tsx';
import { FormChoice } from '../../../form/FormChoice.tsx';
import { FormQuantity } from '../../../form/FormQuantity.tsx';
import { FormSelect } from '../../../form/FormSelect.tsx';
import { FormYesNo } from '../../../form/FormYesNo.tsx';
import { useEntryForm } from '../../../form/useEntryForm.ts';
import { QuantityField } from '../../../ui/QuantityField.tsx';

const kinds: { value: ClampKind; label: string }[] = [
  { value: 'worm', label: 'Worm' },
  { value: 'smooth', label: 'Worm, smooth band' },
  { value: 'spring', label: 'Spring' },
  { value: 'ear', label: 'Ear' },
];

/** A clamp at one of its ends: the size that suits the fitted hose, kind, pipe, torque by its band. */
export function ClampPanel({ rubber }: { rubber: Rubber }) {
  const [open, setOpen] = useState(false);
  const form = useEntryForm({
    kind: 'clampPut',
    start: { key: rubber.key, end: 'tank' },
    onDone: () => setOpen(false),
  });
  const kind = form.watch('kind') as ClampKind | undefined;
  const worm = kind === 'worm' || kind === 'smooth';
  const plastic = form.watch('plastic') as boolean | undefined;
  if (!open)
    return (
      <button type="button" className="btn" data-action="clamp" onClick={() => setOpen(true)}>
        A clamp on it
      </button>
    );
  return (
    <EntryForm say={() => form.say()} label="a clamp">
      <FormChoice
        form={form}
        name="end"
        label="At which end"
        options={[
          { value: 'tank', label: 'At the tank' },
          { value: 'other', label: 'Other end' },
        ]}
      />
      <FormChoice form={form} name="kind" label="Which clamp" options={kinds} expected="which clamp it is" />
      {worm && (
        <>
          <Fitted onOver={(over) => form.setValue('over', over)} onSize={(size) => form.setValue('size', size)} />
          <FormSelect form={form} name="size" label="Stamped on it" options={clampSizes.map(({ name }) => name)} />
          <FormChoice
            form={form}
            name="band"
            label="Width of its band"
            columns="grid-cols-3"
            options={[
              { value: '8', label: '8 mm' },
              { value: '9', label: '9 mm' },
              { value: '12', label: '12 mm' },
            ]}
          />
          <FormQuantity
            form={form}
            name="torque"
            label="Drawn to"
            dimension="torque"
            unit="N·m"
            step={0.1}
            decimals={1}
          />
        </>
      )}
      <FormYesNo form={form} name="bead" label="Has the pipe a bead or a barb?" />
      <FormYesNo form={form} name="plastic" label="Is the pipe plastic?" />
      {plastic && <FormYesNo form={form} name="sleeve" label="Is its support sleeve in?" />}
      <FormYesNo form={form} name="again" label="Was this clamp on before?" yes="Yes, again" no="A new one" />
      <button type="submit" className="btn" data-action="clamp-judge">
        Judge it
      </button>
    </EntryForm>
  );
}

/** Outside of the hose on its pipe, and which clamps sit in the middle of their range on it. */
function Fitted({ onOver, onSize }: { onOver: (mm: number) => void; onSize: (name: string) => void }) {
  const [sizes, setSizes] = useState<{ outside?: number; bore?: number; pipe?: number }>({});
  const over = fittedIn(sizes);
  const read = (name: keyof typeof sizes) => (value: { typ: number } | null) => {
    const next = { ...sizes, ...(value ? { [name]: value.typ * 1000 } : {}) };
    setSizes(next);
    const fitted = fittedIn(next);
    if (fitted !== null) onOver(Math.round(fitted * 100) / 100);
  };
  return (
    <div className="grid gap-2">
      <div className="grid gap-x-3 min-[480px]:grid-cols-3 wide:grid-cols-1">
        <QuantityField label="Hose outside" dimension="length" unit="mm" decimals={1} onRead={read('outside')} />
        <QuantityField label="Its bore inside" dimension="length" unit="mm" decimals={1} onRead={read('bore')} />
        <QuantityField label="Over its barb" dimension="length" unit="mm" decimals={1} onRead={read('pipe')} />
      </div>
      {over !== null && (
        <div>
          <p className="pb-1">
            On its pipe <span className="reading">{over.toFixed(1)} mm</span>: these close on it, the best first
          </p>
          <div className="flex flex-wrap gap-2">
            {clampsFor(over)
              .slice(0, 4)
              .map(({ name }) => (
                <button
                  key={name}
                  type="button"
                  className="btn min-h-11"
                  data-clamp={name}
                  onClick={() => onSize(name)}
                >
                  {name}
                </button>
              ))}
          </div>
        </div>
      )}
    </div>
  );
}

function fittedIn({ outside, bore, pipe }: { outside?: number; bore?: number; pipe?: number }): number | null {
  if (outside === undefined || bore === undefined || pipe === undefined) return null;
  return ifMeant(() => fittedOutside({ outside, bore, pipe }));
}

import type { PlannedPickup } from '@iron-cradle/core';
import { useState } from 'react';
import { useWatch } from 'react-hook-form';
import { PickupDrawing, type DrawnPickup } from '../../../../drawings/pickup/PickupDrawing.tsx';
import { EntryForm } from '../../../../form/EntryForm.tsx';
import { FormChoice } from '../../../../form/FormChoice.tsx';
import { FormQuantity } from '../../../../form/FormQuantity.tsx';
import { FormYesNo } from '../../../../form/FormYesNo.tsx';
import { useEntryForm } from '../../../../form/useEntryForm.ts';
import { useJob } from '../../../../log/useJob.ts';
import { Strap } from '../../../../look/Strap.tsx';
import { VerdictView } from '../../../../ui/VerdictView.tsx';
import { HandPanel } from '../HandPanel.tsx';
import { Screens } from './Screens.tsx';

/** Where to cut a pick-up, drawn as it is typed; then the screens’ history. */
export function PickupPanel({ onDone }: { onDone: () => void }) {
  const { state } = useJob();
  const last = state.pickups.at(-1) ?? null;
  return (
    <HandPanel
      id="pickup"
      title="Pick-up: where to cut"
      hint="Measured with the tank held as on its straps. The service information comes first."
      onDone={onDone}
    >
      {last && (
        <div data-pickup={last.verdict.outcome}>
          <VerdictView verdict={last.verdict} title={last.plan.serves === 'heater' ? 'The heater’s' : 'The engine’s'} />
        </div>
      )}
      {!state.signed && <Plan last={last} />}
      <Screens />
    </HandPanel>
  );
}

function Plan({ last }: { last: PlannedPickup | null }) {
  const [beside, setBeside] = useState({ float: false, back: false });
  const form = useEntryForm({
    kind: 'pickupPlanned',
    start: { serves: 'engine', gasket: 3, clearance: 10 },
  });
  const values = useWatch({ control: form.control }) as DrawnPickup & { serves?: 'engine' | 'heater' };
  const mm = { form, dimension: 'length', unit: 'mm', step: 0.5, decimals: 1 } as const;
  // Nothing typed yet: what was judged last stays drawn.
  const touched = typeof values.toFloor === 'number';
  const drop = (name: 'float' | 'back') => {
    form.setValue(name, undefined as never);
    setBeside({ ...beside, [name]: !beside[name] });
  };
  return (
    <EntryForm say={() => form.say()} label="pick-up" className="grid gap-4">
      <PickupDrawing
        plan={touched || !last ? values : last.plan}
        above={touched ? null : (last?.above ?? null)}
        cut={touched ? null : (last?.cut ?? null)}
      />
      <FormChoice
        form={form}
        name="serves"
        label="It serves"
        options={[
          { value: 'engine', label: 'The engine' },
          { value: 'heater', label: 'A heater' },
        ]}
      />
      <div className="grid grid-cols-2 gap-x-3">
        <FormQuantity {...mm} name="toFloor" label="Opening to floor" />
        <FormQuantity {...mm} name="gasket" label="Gasket" />
        {values.serves === 'heater' ? (
          <FormQuantity
            form={form}
            name="reserve"
            label="It leaves the engine"
            dimension="volume"
            unit="L"
            step={0.5}
            decimals={1}
          />
        ) : (
          <FormQuantity {...mm} name="clearance" label="Off the floor" />
        )}
      </div>
      <FormYesNo form={form} name="held" label="Measured with the tank held as on its straps" />
      <div className="grid grid-cols-2 gap-3">
        <button
          type="button"
          className="btn"
          aria-pressed={beside.float}
          data-action="with-float"
          onClick={() => drop('float')}
        >
          A float beside it
        </button>
        <button type="button" className="btn" aria-pressed={beside.back} onClick={() => drop('back')}>
          A return beside it
        </button>
      </div>
      {beside.float && (
        <div className="grid grid-cols-2 gap-x-3">
          <FormQuantity {...mm} name="float.pivot" label="Pivot below the flange" />
          <FormQuantity {...mm} name="float.away" label="Pivot from the pick-up" />
          <FormQuantity {...mm} name="float.arm" label="Arm, pivot to float" />
          <FormQuantity {...mm} name="float.across" label="Float across" />
        </div>
      )}
      {beside.back && (
        <div className="grid grid-cols-2 gap-x-3">
          <FormQuantity {...mm} name="back.above" label="Return ends off the floor" />
          <FormQuantity {...mm} name="back.away" label="Return from the pick-up" />
        </div>
      )}
      <Strap type="submit" data-action="pickup-judge">
        Where to cut
      </Strap>
    </EntryForm>
  );
}

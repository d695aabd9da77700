import { RUN_CAUTION, type runFrom, type UnitPart } from '@iron-cradle/core';
import { useState } from 'react';
import { FormChoice } from '../../../../form/FormChoice.tsx';
import { FormQuantity } from '../../../../form/FormQuantity.tsx';
import { useEntryForm } from '../../../../form/useEntryForm.ts';
import { useJob } from '../../../../log/useJob.ts';
import { Shape } from '../../../../look/Shapes.tsx';
import { RunLive } from './RunLive.tsx';
import { useRun } from './useRun.ts';

/** A short run of the pump: what the meters read, and what came in how long. */
export function PumpRun({ part }: { part: UnitPart }) {
  const [open, setOpen] = useState(false);
  const { jobId } = useJob();
  const run = useRun(jobId, part.id);
  const form = useEntryForm({
    kind: 'pumpRan',
    start: { part: part.id },
    onDone: () => {
      setOpen(false);
      run.take([]);
    },
  });
  const second = (form.watch('barBehind') ?? null) !== null;
  // Figures that came from the meters stand in their fields, to be looked at before they are judged.
  const [taken, setTaken] = useState(0);
  const take = ({ held, ...figures }: ReturnType<typeof runFrom>) => {
    for (const [name, figure] of Object.entries({
      ...figures,
      ...(held ? { heldBar: held.bar, heldSeconds: held.seconds } : {}),
    }))
      form.setValue(name as 'volts', figure);
    setTaken((n) => n + 1);
  };
  if (!open)
    return (
      <button type="button" className="btn" data-action="run" onClick={() => setOpen(true)}>
        Run it
      </button>
    );
  return (
    <form
      noValidate
      className="grid gap-1"
      onSubmit={(event) => {
        event.preventDefault();
        const rated = form.getValues('rated');
        // Three figures or none: an empty set is no rating.
        if (rated && Object.values(rated).every((figure) => figure === null || figure === undefined))
          form.setValue('rated', undefined);
        // No figure of a second gauge: then it stood nowhere.
        if ((form.getValues('barBehind') ?? null) === null) form.setValue('behind', undefined);
        void form.say();
      }}
    >
      <p className="flex gap-3 border-l-4 border-look pb-2 pl-3">
        <Shape outcome="doubtful" size={24} /> {RUN_CAUTION}
      </p>
      <RunLive run={run} onRun={take} />
      <div key={taken} className="grid gap-x-4 min-[480px]:grid-cols-2 wide:grid-cols-1">
        <FormQuantity form={form} name="volts" label="At its plug, running" dimension="voltage" unit="V" step={0.01} />
        <FormQuantity form={form} name="amps" label="It draws" dimension="current" unit="A" step={0.01} decimals={2} />
        <FormQuantity
          form={form}
          name="bar"
          label="Pressure in front of it"
          dimension="pressure"
          unit="bar"
          step={0.01}
          decimals={2}
        />
        <FormQuantity
          form={form}
          name="litres"
          label="What came"
          dimension="volume"
          unit="L"
          step={0.01}
          decimals={2}
        />
        <FormQuantity
          form={form}
          name="seconds"
          label="In how long"
          dimension="duration"
          unit="s"
          step={1}
          decimals={0}
        />
        <FormQuantity
          form={form}
          name="heldBar"
          label="It held, switched off"
          dimension="pressure"
          unit="bar"
          step={0.01}
          decimals={2}
        />
        <FormQuantity
          form={form}
          name="heldSeconds"
          label="After"
          dimension="duration"
          unit="s"
          step={1}
          decimals={0}
        />
      </div>
      <div className="grid gap-x-4 min-[480px]:grid-cols-2 wide:grid-cols-1">
        <FormQuantity
          form={form}
          name="barBehind"
          label="A second gauge read"
          dimension="pressure"
          unit="bar"
          step={0.01}
          decimals={2}
        />
        {second && (
          <FormChoice
            form={form}
            name="behind"
            label="It stood behind"
            options={[
              { value: 'filter', label: 'Its filter' },
              { value: 'regulator', label: 'The regulator' },
            ]}
            expected="what it stood behind"
          />
        )}
      </div>
      {!part.reads && (
        <fieldset className="grid gap-x-4 min-[480px]:grid-cols-2 wide:grid-cols-1">
          <legend className="pb-1 text-20">What it is rated for, off its page</legend>
          <FormQuantity form={form} name="rated.volts" label="Rated at" dimension="voltage" unit="V" step={0.1} />
          <FormQuantity form={form} name="rated.flow" label="Rated flow" dimension="flow" unit="L/h" step={0.1} />
          <FormQuantity
            form={form}
            name="rated.bar"
            label="Rated pressure"
            dimension="pressure"
            unit="bar"
            step={0.01}
            decimals={2}
          />
        </fieldset>
      )}
      <button type="submit" className="btn" data-action="run-enter">
        Judge the run
      </button>
    </form>
  );
}

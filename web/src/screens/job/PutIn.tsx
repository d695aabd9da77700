import { BEFORE_FILLER } from '@iron-cradle/core';
import { useState } from 'react';
import { useWatch } from 'react-hook-form';
import { FormQuantity } from '../../form/FormQuantity.tsx';
import { useEntryForm } from '../../form/useEntryForm.ts';
import { newId } from '../../log/device.ts';
import { drawNumber } from '../../log/tags.ts';
import { useJob } from '../../log/useJob.ts';
import { Strap } from '../../look/Strap.tsx';
import { Sheet } from '../../ui/Sheet.tsx';

const THINGS: readonly string[] = ['rag', 'plug', 'lamp', 'magnet', 'tool', 'broken tip'];
const IN_NECK = 'rag in the neck';
const beforeOf = (name: string) => (name === IN_NECK ? BEFORE_FILLER : 'the ring closes');

/** Something goes in that must come out again: counted in under a number, counted out. */
export function PutIn() {
  const { jobId, enter, state } = useJob();
  const things = [...THINGS, ...(state.vehicle.connections.some(({ kind }) => kind === 'filler') ? [IN_NECK] : [])];
  const [painted, setPainted] = useState<string | null>(null);
  const form = useEntryForm({ kind: 'putIn', start: {}, onDone: () => setPainted(null) });
  const number = useWatch({ control: form.control, name: 'tag' }) as number | null | undefined;
  const put = async (name: string) => {
    const tag = await drawNumber(jobId, `thing-${newId()}`);
    if (tag === null) setPainted(name);
    else await enter('putIn', { name, tag, before: beforeOf(name) });
  };
  return (
    <div className="pt-4">
      <p className="pb-2 text-quiet">Something goes in or falls in, and must come out again:</p>
      <div className="grid grid-cols-3 gap-3 mid:grid-cols-6">
        {things.map((thing) => (
          <button key={thing} type="button" className="btn" data-put={thing} onClick={() => void put(thing)}>
            {thing}
          </button>
        ))}
      </div>
      <Sheet
        open={painted !== null}
        onClose={() => setPainted(null)}
        title={`What is painted on the ${painted ?? ''}?`}
        hint="The server is away and this device has no numbers of its own: paint one that is not used yet."
      >
        {painted && (
          <div className="grid gap-3">
            <FormQuantity form={form} name="tag" label="Number" dimension="count" unit="one" step={1} decimals={0} />
            <Strap
              onClick={() => void form.say({ name: painted, before: beforeOf(painted) })}
              waitsFor={number === null || number === undefined ? 'type the number' : undefined}
            >
              It is in
            </Strap>
          </div>
        )}
      </Sheet>
    </div>
  );
}

import { useState } from 'react';
import { newId } from '../../log/device.ts';
import { drawNumber } from '../../log/tags.ts';
import { useJob } from '../../log/useJob.ts';
import { Strap } from '../../look/Strap.tsx';
import { Sheet } from '../../ui/Sheet.tsx';
import { TextField } from '../../ui/TextField.tsx';

const THINGS = ['rag', 'plug', 'lamp', 'magnet'] as const;

/** Something goes in that must come out again: counted in under a number, counted out. */
export function PutIn() {
  const { jobId, enter } = useJob();
  const [painted, setPainted] = useState<{ name: string; number: string } | null>(null);
  const keep = (name: string, tag: number) => enter('putIn', { name, tag, before: 'the ring closes' });
  const put = async (name: string) => {
    const tag = await drawNumber(jobId, `thing-${newId()}`);
    if (tag === null) setPainted({ name, number: '' });
    else await keep(name, tag);
  };
  const number = Number(painted?.number);
  return (
    <div className="pt-4">
      <p className="pb-2 text-quiet">Something goes in, and must come out again:</p>
      <div className="grid grid-cols-4 gap-3">
        {THINGS.map((thing) => (
          <button key={thing} type="button" className="btn" data-put={thing} onClick={() => void put(thing)}>
            {thing}
          </button>
        ))}
      </div>
      <Sheet
        open={painted !== null}
        onClose={() => setPainted(null)}
        title={`What is painted on the ${painted?.name ?? ''}?`}
        hint="The server is away and this device has no numbers of its own: paint one that is not used yet."
      >
        {painted && (
          <div className="grid gap-3">
            <TextField
              label="Number"
              inputMode="numeric"
              value={painted.number}
              onChange={(event) => setPainted({ ...painted, number: event.target.value })}
            />
            <Strap
              onClick={() => void keep(painted.name, number).then(() => setPainted(null))}
              waitsFor={Number.isInteger(number) && number > 0 ? undefined : 'type the number'}
            >
              It is in
            </Strap>
          </div>
        )}
      </Sheet>
    </div>
  );
}

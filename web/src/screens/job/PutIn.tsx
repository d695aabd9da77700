import { tagsIn, useJob } from '../../log/useJob.ts';
import { reserve } from '../../log/tags.ts';
import { newId } from '../../log/device.ts';

const THINGS = ['rag', 'plug', 'lamp', 'magnet'] as const;

/** Something goes in that must come out again: counted in under a number, counted out. */
export function PutIn() {
  const { jobId, state, enter } = useJob();
  const put = async (name: string) => {
    const key = `thing:${newId()}`;
    const tags = await reserve(jobId, [key], tagsIn(state));
    await enter('putIn', { name, ...(tags[key] ? { tag: tags[key]! } : {}), before: 'the ring closes' });
  };
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
    </div>
  );
}

import { entryInWords } from '@iron-cradle/core';
import { format } from 'date-fns';
import type { NotTaken } from '../log/db.ts';
import { jobStore } from '../log/jobStore.ts';
import { letGo } from '../log/sender.ts';
import { useJobView } from '../log/useJob.ts';
import { useMe, useNames } from '../net/queries.ts';
import { Band } from '../ui/Band.tsx';
import { Words } from '../ui/Words.tsx';
import { useUnits } from './units.ts';

/** One entry the server did not take: refused, or kept back on this device until somebody looks at it. */
export default function NotTakenBand({ one }: { one: NotTaken }) {
  const me = useMe().data?.person;
  const name = useNames();
  const units = useUnits();
  const { entry } = one;
  const { state } = useJobView(entry.jobId);
  const again = async () => {
    await jobStore(entry.jobId).enterAgain(me?.id ?? '', entry);
    await letGo(one.id);
  };
  return (
    <Band outcome="bad" role="alert">
      <span className="flex flex-wrap items-center gap-x-4" data-not-taken={one.keptBack ? 'kept back' : 'refused'}>
        <span>
          {one.keptBack
            ? `Kept on this device: ${state ? entryInWords(state, entry, units) : entry.kind}, entered by ${name(entry.by)} at ${format(new Date(entry.at), 'H:mm')}. `
            : 'Not taken: '}
          <Words of={one.text} />. To do: {one.todo}.
        </span>
        {one.keptBack && me && (
          <button type="button" className="min-h-11 underline" onClick={() => void again()}>
            Enter it again
          </button>
        )}
        <button type="button" className="min-h-11 underline" onClick={() => void letGo(one.id)}>
          {one.keptBack ? 'Let it go' : 'Seen'}
        </button>
      </span>
    </Band>
  );
}

import { Link } from 'react-router';
import { format } from 'date-fns';
import type { NotTaken } from '../log/db.ts';
import { letGo } from '../log/sender.ts';
import { useLine } from '../log/line.ts';
import { useMe, useNames } from '../net/queries.ts';
import { Band } from '../ui/Band.tsx';

/** What stands between this device and the server, said plainly: away, waiting, refused. */
export function LineBands() {
  const line = useLine();
  const waiting =
    line.waiting === 1 ? '1 entry is kept here and goes out' : `${line.waiting} entries are kept here and go out`;
  return (
    <div className="no-print">
      {line.server === 'away' && (
        <Band>
          <span data-band="away">
            Server is away. Go on: {line.waiting > 0 ? `${waiting} when it is back.` : 'what you enter is kept here.'}
          </span>
        </Band>
      )}
      {line.server === 'signIn' && (
        <Band>
          Signed out by the server. {line.waiting > 0 && `${line.waiting} kept here. `}
          <Link to="/sign-in" className="underline">
            Sign in to deliver
          </Link>
        </Band>
      )}
      {line.notTaken.map((one) => (
        <NotTakenBand key={one.id} one={one} />
      ))}
    </div>
  );
}

/** One entry the server did not take: refused, or kept back on this device until somebody looks at it. */
function NotTakenBand({ one }: { one: NotTaken }) {
  const me = useMe().data?.person;
  const name = useNames();
  const { entry } = one;
  const again = async () => {
    const { jobStore } = await import('../log/jobStore.ts');
    await jobStore(entry.jobId).append(me?.id ?? '', entry.kind, entry.body, { by: entry.by, at: entry.at });
    await letGo(one.id);
  };
  return (
    <Band outcome="bad" role="alert">
      <span className="flex flex-wrap items-center gap-x-4" data-not-taken={one.keptBack ? 'kept back' : 'refused'}>
        <span>
          {one.keptBack
            ? `Kept on this device: ${entry.kind}, entered by ${name(entry.by)} at ${format(new Date(entry.at), 'H:mm')}. `
            : 'Not taken: '}
          {one.text}. To do: {one.todo}.
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

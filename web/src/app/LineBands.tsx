import { Link } from 'react-router';
import { letGo } from '../log/sender.ts';
import { useLine } from '../log/line.ts';
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
      {line.refused.map((refused) => (
        <Band key={refused.id} outcome="bad" role="alert">
          <span className="flex flex-wrap items-center gap-x-4">
            <span>
              Not taken: {refused.text}. To do: {refused.todo}.
            </span>
            <button type="button" className="min-h-11 underline" onClick={() => void letGo(refused.id)}>
              Seen
            </button>
          </span>
        </Band>
      ))}
    </div>
  );
}

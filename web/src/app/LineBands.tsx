import { lazy, Suspense } from 'react';
import { Link } from 'react-router';
import { useLine } from '../log/line.ts';
import { Band } from '../ui/Band.tsx';
import { notTakenBand } from './notTaken.ts';

const NotTakenBand = lazy(notTakenBand);

/** What stands between this device and the server, said plainly: away, waiting, refused. */
export function LineBands() {
  const line = useLine();
  const waiting =
    line.waiting === 1 ? '1 entry is kept here and goes out' : `${line.waiting} entries are kept here and go out`;
  return (
    <div className="no-print sticky top-0 z-20">
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
      {line.storage !== null && (
        <Band outcome="bad" role="alert">
          <span data-band="storage">
            {line.storage === 'full' ? 'This device has no room left.' : 'This browser keeps nothing.'} What you enter
            goes straight to the server;{' '}
            {line.waiting > 0 ? 'leave this page open until it has it.' : 'it has all so far.'}
          </span>
        </Band>
      )}
      {line.photosRefused > 0 && (
        <Band outcome="bad" role="alert">
          {line.photosRefused === 1 ? 'A photo was' : `${line.photosRefused} photos were`} not taken by the server. It
          stays on this device; take it again, smaller.
        </Band>
      )}
      <Suspense fallback={null}>
        {line.notTaken.map((one) => (
          <NotTakenBand key={one.id} one={one} />
        ))}
      </Suspense>
    </div>
  );
}

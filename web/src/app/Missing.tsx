import { Link } from 'react-router';
import { TopBar } from './TopBar.tsx';

/** A page that helps where there is nothing. */
export function Missing({ what }: { what: string }) {
  return (
    <>
      <TopBar title="Iron Cradle" />
      <main className="mx-auto max-w-xl p-6">
        <h1 className="pb-3 text-32">There is no such {what} here.</h1>
        <p className="pb-6 text-quiet">
          The address may be mistyped, or the {what} may belong to another shop’s server. Nothing you entered is lost:
          what is on its way stands in this device’s outbox.
        </p>
        <Link to="/" className="btn">
          Back to the bays
        </Link>
      </main>
    </>
  );
}

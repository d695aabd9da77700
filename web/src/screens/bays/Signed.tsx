import { format } from 'date-fns';
import { useState } from 'react';
import { Link } from 'react-router';
import { useSignedJobs } from '../../net/queries.ts';
import { TextField } from '../../ui/TextField.tsx';

/** Shown before anything is looked for. */
const NEWEST = 6;

/** Signed jobs: the newest, or those of a vehicle, a plate, a month. */
export function Signed() {
  const [looking, setLooking] = useState(false);
  const [find, setFind] = useState('');
  const [month, setMonth] = useState('');
  const signed = useSignedJobs(find, month);
  const jobs = signed.data ?? [];
  // What nobody heard of is not said to be none.
  const none = signed.data
    ? 'None was signed that fits.'
    : signed.isError
      ? 'Not heard from the shop’s server yet.'
      : 'Looking…';
  const asked = find !== '' || month !== '';
  const shown = asked ? jobs : jobs.slice(0, NEWEST);
  if (jobs.length === 0 && !looking) return null;
  return (
    <section aria-label="signed jobs">
      <h2 className="flex items-baseline justify-between gap-3 border-b-2 border-rule pb-1 text-16 font-normal text-quiet [font-stretch:100%]">
        Signed
        <button
          type="button"
          className="link min-h-11 px-2"
          aria-expanded={looking}
          data-action="find"
          onClick={() => {
            setLooking(!looking);
            setFind('');
            setMonth('');
          }}
        >
          {looking ? 'the newest' : 'find one'}
        </button>
      </h2>
      {looking && (
        <div className="grid grid-cols-2 gap-3 py-3">
          <TextField label="Vehicle or plate" value={find} maxLength={80} onChange={(e) => setFind(e.target.value)} />
          <TextField label="Signed in" type="month" value={month} onChange={(e) => setMonth(e.target.value)} />
        </div>
      )}
      <ul className="ruled">
        {shown.map((job) => (
          <li key={job.id}>
            <Link to={`/jobs/${job.id}/record`} className="flex min-h-14 flex-wrap items-baseline gap-x-3 py-3">
              <span className="narrow text-20">{job.name}</span>
              <span className="text-quiet">
                record, {job.signed && format(new Date(job.signed), 'd MMM yyyy')}
                {job.plate ? `, ${job.plate}` : ''}
              </span>
            </Link>
          </li>
        ))}
        {looking && shown.length === 0 && (
          <li className="py-3 text-quiet" role="status">
            {none}
          </li>
        )}
      </ul>
    </section>
  );
}

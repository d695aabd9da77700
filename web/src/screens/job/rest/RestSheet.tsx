import { leftInWords, openEnds, type Wait } from '@iron-cradle/core';
import { format } from 'date-fns';
import { Link } from 'react-router';
import { useJob } from '../../../log/useJob.ts';
import { Tag } from '../../../look/Tag.tsx';
import { Sheet } from '../../../ui/Sheet.tsx';
import { useNow } from '../../../ui/useNow.ts';
import { Evening } from './Evening.tsx';
import { ParkForm } from './ParkForm.tsx';
import { WaitForm } from './WaitForm.tsx';

/** What the job waits for, and whether it rests outside meanwhile, its ends capped and listed. */
export function RestSheet({ open, onClose }: { open: boolean; onClose: () => void }) {
  const { state, enter, jobId } = useJob();
  const now = useNow(15_000);
  const running = state.waits.filter((wait) => !wait.ended);
  const ends = openEnds(state);
  const bare = ends.filter(({ capped }) => !capped);
  return (
    <Sheet open={open} onClose={onClose} title="What it waits for" hint="No hands are needed while these run.">
      <ul className="ruled border-y border-rule">
        {running.map((wait) => (
          <li
            key={`${wait.what}${wait.started}`}
            className="flex flex-wrap items-center gap-3 py-2"
            data-wait={wait.what}
          >
            <span className="min-w-0 flex-1 leading-tight">
              <span className="narrow block text-20">{wait.what}</span>
              <span className="block text-quiet">
                {leftInWords(wait, now)}
                {until(wait)}
                {wait.bay === null ? '' : wait.bay ? '; stays in its bay' : '; needs no bay'}
              </span>
            </span>
            {!state.signed && (
              <button
                type="button"
                className="btn"
                onClick={() => void enter('wait', { what: wait.what, state: 'end' })}
              >
                It is over
              </button>
            )}
          </li>
        ))}
        {running.length === 0 && <li className="py-3 text-quiet">Nothing it waits for.</li>}
      </ul>
      {!state.signed && (
        <div className="grid gap-6 pt-4">
          <WaitForm />
          <section aria-label="open ends" className="grid gap-3">
            <h3 className="border-b-2 border-ink pb-1 text-20">Rest outside</h3>
            {ends.length > 0 && (
              <ul className="flex flex-wrap gap-x-5 gap-y-2">
                {ends.map((end) => (
                  <li key={end.key} className="flex items-center gap-2">
                    <Tag number={end.tag} size="sm" open={!end.capped} />
                    {end.name}
                    {end.capped ? ', capped' : end.wet ? ', open and wet' : ', open'}
                  </li>
                ))}
              </ul>
            )}
            {bare.length > 0 && (
              <button
                type="button"
                className="btn"
                data-action="cap-all"
                onClick={() => void enter('capped', { keys: bare.map(({ key }) => key) })}
              >
                {bare.length === 1 ? `${bare[0]!.name} is capped` : `All ${bare.length} are capped`}
              </button>
            )}
            {ends.length > 0 && (
              <Link to={`/jobs/${jobId}/labels`} className="link min-h-11 justify-self-start">
                print the tag “do not fill”
              </Link>
            )}
            <ParkForm waitsFor={bare.length > 0 ? 'cap every open end first' : undefined} onDone={onClose} />
          </section>
          <Evening onDone={onClose} />
        </div>
      )}
    </Sheet>
  );
}

const until = ({ until: day }: Wait): string => (day ? `, ${format(new Date(day), 'd MMM')}` : '');

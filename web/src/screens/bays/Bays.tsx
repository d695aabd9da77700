import { useQueryClient, useMutation } from '@tanstack/react-query';
import { format, isToday } from 'date-fns';
import { useRef } from 'react';
import { Link } from 'react-router';
import { useTakeOver } from '../../app/newVersion.ts';
import { TopBar } from '../../app/TopBar.tsx';
import { Chassis } from '../../drawings/chassis/Chassis.tsx';
import { SmallWell } from '../../drawings/well/SmallWell.tsx';
import { Shape } from '../../look/Shapes.tsx';
import { Words } from '../../ui/Words.tsx';
import { call } from '../../net/api.ts';
import { Signed } from './Signed.tsx';
import { useJobs, useMe, useShop, useSignOut, type JobRow, type Shop } from '../../net/queries.ts';

/** Home: the shop from above, vehicles in their places, what waits stands outside. */
export function Bays() {
  const shop = useShop();
  const jobs = useJobs();
  const me = useMe();
  const signOut = useSignOut();
  useTakeOver();
  const open = jobs.data ?? [];
  // Nothing is free, and nothing waits, before the shop has said so.
  const unheard = jobs.data ? null : jobs.isError ? 'Not heard from the shop’s server yet.' : 'Opening…';
  const bays = shop.data?.bays ?? [];
  const inside = (bay: number) => open.find((job) => job.bay === bay && !job.parked);
  const outside = open.filter(
    (job) => job.bay === null || job.bay > bays.length || job.parked || inside(job.bay) !== job,
  );
  return (
    <>
      <TopBar
        title={shop.data?.name ?? 'Iron Cradle'}
        hint={<span className="hidden mid:inline">{format(new Date(), 'EEEE, H:mm')}</span>}
      >
        <Link to="/vehicles" className="grid min-h-11 place-items-center">
          Vehicles
        </Link>
        <Link to="/shop" className="grid min-h-11 place-items-center">
          {me.data?.person?.name}
        </Link>
        <button
          type="button"
          className="hidden min-h-11 px-2 text-quiet underline mid:block"
          onClick={() => signOut.mutate()}
        >
          sign out
        </button>
      </TopBar>
      <main className="mx-auto grid max-w-[82rem] gap-6 p-4 wide:grid-cols-[minmax(0,1fr)_20rem] wide:gap-12 wide:p-9">
        <h1 className="sr-only">Bays</h1>
        <section
          aria-label="bays"
          className="flex flex-col border-[6px] border-ink bg-sheet mid:border-8 wide:min-h-[min(40rem,calc(100dvh-9rem))] wide:self-start"
        >
          <div className="grid flex-1 mid:grid-cols-2">
            {bays.map((bay, i) => (
              <Bay key={bay.name} bay={bay} job={inside(i + 1)} number={i + 1} unheard={unheard} />
            ))}
          </div>
          <Doors count={bays.length} />
        </section>
        <aside className="flex flex-col gap-8">
          <section>
            <h2 className="border-b-2 border-rule pb-2 text-16 font-normal text-quiet [font-stretch:100%]">Outside</h2>
            {outside.length === 0 && <p className="py-3 text-quiet">{unheard ?? 'Nothing waits outside.'}</p>}
            <ul className="ruled">
              {outside.map((job) => (
                <li key={job.id}>
                  <Link to={`/jobs/${job.id}`} className="flex items-center gap-3 py-3">
                    <span className="min-w-0 flex-1">
                      <span className="narrow block text-20">{job.name}</span>
                      <span className="flex items-start gap-2">
                        {job.halt && <Shape outcome="bad" size={22} label="halt" />}
                        <span className={job.halt ? 'font-semibold' : 'text-quiet'}>
                          <Words of={job.sentence} />
                        </span>
                      </span>
                      {job.halt && job.parked && <span className="block text-quiet">{job.parked}</span>}
                      {job.waits.length > 0 && (
                        <span className="block text-quiet">{job.waits.map(waitInWords).join('; ')}</span>
                      )}
                    </span>
                    <SmallWell {...job} up={job.tankOff} width={72} />
                  </Link>
                </li>
              ))}
            </ul>
          </section>
          <Signed />
          {/* However many wait outside: the next one is always at hand. */}
          <div className="mt-auto grid gap-3 wide:sticky wide:bottom-0 wide:bg-ground wide:pt-3 wide:pb-9 wide:-mb-9">
            <TakeIn />
            <Link
              to="/next"
              className="relative flex min-h-18 items-center justify-center bg-work px-12 text-24 font-bold text-on-work [font-stretch:82%]"
            >
              <span aria-hidden className="absolute left-4 size-4 rounded-full bg-sheet" />
              Next vehicle
              <span aria-hidden className="absolute right-4 size-4 rounded-full bg-sheet" />
            </Link>
          </div>
        </aside>
      </main>
    </>
  );
}

function Bay({
  bay,
  job,
  number,
  unheard,
}: {
  bay: Shop['bays'][number];
  job: JobRow | undefined;
  number: number;
  unheard: string | null;
}) {
  const edge = number === 1 ? '' : 'border-t-2 border-dashed border-rule mid:border-l-2 mid:border-t-0';
  if (!job)
    return (
      <div className={`flex min-h-64 flex-col p-5 ${edge}`}>
        <p className="text-quiet">{bay.name}</p>
        <div className="flex flex-1 flex-col items-center justify-center gap-2 text-center">
          <p className="narrow text-24">{unheard ?? 'This bay is free.'}</p>
          {!unheard && (
            <Link to={`/next?bay=${number}`} className="link min-h-11">
              Bring the next vehicle here
            </Link>
          )}
        </div>
      </div>
    );
  const waits = job.waits.map(waitInWords);
  return (
    <Link to={`/jobs/${job.id}`} className={`flex flex-col p-5 ${edge}`} data-bay={number}>
      <p className="pb-3 text-quiet">{bay.name}</p>
      <div className="flex flex-wrap items-start justify-between gap-4">
        <div className="flex min-w-0 items-center gap-3">
          {bay.kind === 'two-post' && <Post />}
          <Chassis
            mounting={job.mounting}
            tankOff={job.tankOff}
            className="h-[168px] w-auto mid:h-[216px] wide:h-[270px]"
          />
          {bay.kind === 'two-post' && <Post />}
        </div>
        <div>
          <SmallWell {...job} up={job.tankOff} width={124} />
          <p className="pt-1">
            <span className="reading text-32">{job.open}</span> <span className="text-quiet">to go back</span>
          </p>
        </div>
      </div>
      <p className="narrow flex items-start gap-2 pt-8 text-24">
        {job.halt && <Shape outcome="bad" size={26} label="halt" />}
        <span>
          {job.name}: <Words of={job.sentence} />
        </span>
      </p>
      <p className="pb-4 text-quiet">
        <Words of={job.detail} />
      </p>
      <p className="mt-auto border-t border-rule pt-3 text-16 empty:hidden">{waits.join('; ')}</p>
    </Link>
  );
}

/** “coating dries until 14:10, needs no bay”. */
function waitInWords({ what, until, bay }: JobRow['waits'][number]): string {
  const end = until === null ? null : new Date(until);
  const when = end === null ? '' : ` until ${format(end, isToday(end) ? 'H:mm' : 'd MMM')}`;
  return `${what}${when}${bay === false ? ', needs no bay' : ''}`;
}

const Post = () => (
  <svg width="16" height="120" aria-hidden>
    <rect x="1" y="1" width="14" height="118" fill="none" stroke="var(--ink)" strokeWidth="1.5" />
    {Array.from({ length: 13 }, (_, i) => (
      <path key={i} d={`M1 ${10 + i * 9}L15 ${i * 9 + 1}`} stroke="var(--quiet)" strokeWidth="1" />
    ))}
  </svg>
);

/** The front wall with its doors, left open. */
const Doors = ({ count }: { count: number }) => (
  <div aria-hidden className="-mb-2 flex h-2 translate-y-0">
    {Array.from({ length: count }, (_, i) => (
      <span key={i} className="flex flex-1">
        <span className="flex-1 bg-ink" />
        <span className="flex-[2] bg-ground [background-image:radial-gradient(circle,var(--ink)_1.5px,transparent_1.5px)] [background-position:center] [background-size:14px_8px]" />
        <span className="flex-1 bg-ink" />
      </span>
    ))}
  </div>
);

const isZip = ({ name, type }: File): boolean => type.includes('zip') || name.endsWith('.zip');

/** Takes a job in from its file, or from a zip with its photos. */
function TakeIn() {
  const client = useQueryClient();
  const input = useRef<HTMLInputElement>(null);
  const take = useMutation({
    mutationFn: async (file: File) =>
      call<{ id: string }>('POST', '/jobs/import', {
        body: isZip(file) ? file : (JSON.parse(await file.text()) as unknown),
      }),
    onSuccess: () => client.invalidateQueries({ queryKey: ['jobs'] }),
  });
  const wrong =
    take.error instanceof SyntaxError
      ? 'Expected a job file written by Iron Cradle; this is not readable JSON.'
      : take.error?.message;
  return (
    <div>
      <button type="button" className="btn w-full" onClick={() => input.current?.click()}>
        Take in a job file
      </button>
      <input
        ref={input}
        type="file"
        accept="application/json,application/zip,.json,.zip"
        className="hidden"
        aria-label="job file"
        onChange={(event) => {
          const file = event.target.files?.[0];
          if (file) take.mutate(file);
          event.target.value = '';
        }}
      />
      <p role="status" className={take.isError ? 'pt-1 font-semibold text-halt' : 'text-quiet'}>
        {wrong ?? (take.isSuccess ? 'Taken in.' : '')}
      </p>
    </div>
  );
}

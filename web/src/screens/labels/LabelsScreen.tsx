import { labelOf, litres, openEnds, rounded, travelWords, type JobState } from '@iron-cradle/core';
import { format } from 'date-fns';
import { useJob } from '../../log/useJob.ts';
import { WithJob } from '../../log/WithJob.tsx';
import { useWords } from '../../ui/Words.tsx';
import { Code } from '../record/Code.tsx';
import { Tags } from './Tags.tsx';

/** Labels for the cans of one job, to print and stick on, each a page of its own. */
export default function LabelsScreen() {
  return (
    <WithJob title="Labels">
      <Labels />
    </WithJob>
  );
}

function Labels() {
  const { state } = useJob();
  return (
    <main className="mx-auto max-w-4xl p-4 mid:p-8 print:max-w-none print:p-0">
      <h1 className="sr-only">Labels for the cans and the tank</h1>
      <div className="no-print flex flex-wrap items-center gap-4 pb-6">
        <button type="button" className="btn" onClick={() => window.print()}>
          Print them
        </button>
        <p className="min-w-56 flex-1 text-quiet">
          One a can, closed and labelled at once; each is a page of 100 × 150 mm. Each code carries the same words, to
          be read with any phone.
        </p>
      </div>
      {state.containers.length === 0 && <p className="no-print pb-4">No can has been filled yet.</p>}
      <ul className="grid gap-5 mid:grid-cols-2 print:block">
        <DoNotFill />
        {state.containers.map((can) => (
          <Label key={can.number} can={can} />
        ))}
      </ul>
      <Tags />
    </main>
  );
}

/** A tank that waits with open ends: a tag at its neck, so that nobody fills it. */
function DoNotFill() {
  const { state, number } = useJob();
  const ends = openEnds(state);
  if (ends.length === 0 || state.signed) return null;
  const since = state.items.map((item) => item.offTime).sort()[0];
  const code = {
    tank: 'do not fill',
    vehicle: state.name,
    job: number,
    open: ends.map(({ tag, name }) => tag ?? name),
  };
  return (
    <li className="can-label min-w-0 break-inside-avoid border-4 border-ink bg-sheet" data-label="do-not-fill">
      <div className="flex flex-wrap items-center gap-4 p-4">
        <Kept clean={false} word="do not fill" />
        <p className="narrow min-w-40 flex-1 text-48 leading-none">Do not fill</p>
      </div>
      <Stripes />
      <div className="flex flex-wrap items-start gap-4 p-4">
        <dl className="min-w-40 flex-1 leading-snug">
          <Row name="tank of" text={`${state.name}, job ${number}`} />
          {since && <Row name="since" text={format(new Date(since), 'd MMM yyyy')} />}
          <Row
            name="waits for"
            text={
              state.parked ??
              state.waits.find((wait) => !wait.ended)?.what ??
              `the ${travelWords(state.vehicle).wayBack}`
            }
          />
        </dl>
        <Code text={JSON.stringify(code)} size={112} />
      </div>
      <ul className="border-t border-ink px-4 py-2" aria-label="open ends">
        {ends.map(({ key, name, tag, capped }) => (
          <li key={key}>
            <span className="reading font-semibold">{tag ?? '–'}</span> {name}
            {capped ? ', capped' : ', open'}
          </li>
        ))}
      </ul>
    </li>
  );
}

function Label({ can }: { can: JobState['containers'][number] }) {
  const { state, number } = useJob();
  const words = useWords();
  const { fuel, fuelSystem } = state.vehicle;
  const label = labelOf({ fuel, clean: can.clean, oil: fuelSystem?.oil ?? false });
  const inIt = words([rounded(litres, { lo: can.litres, hi: can.litres }, 0.1)]);
  const code = {
    can: can.number,
    product: label.product,
    litres: inIt,
    date: can.at.slice(0, 10),
    vehicle: state.name,
    job: number,
  };
  return (
    <li className="can-label min-w-0 break-inside-avoid border-4 border-ink bg-sheet" data-label={can.number}>
      <div className="flex flex-wrap items-center gap-4 p-4">
        <Kept clean={can.clean} />
        <p className="narrow min-w-24 flex-1 text-32 leading-none">{label.product}</p>
        <p className="reading text-64 leading-none">{can.number}</p>
      </div>
      {!can.clean && <Stripes />}
      <div className="flex flex-wrap items-start gap-4 p-4">
        <dl className="min-w-40 flex-1 leading-snug">
          <Row name="out of" text={`${state.name}, job ${number}`} />
          <Row name="on" text={format(new Date(can.at), 'd MMM yyyy')} />
          <Row name="in it" text={`${inIt} of ${words([litres(can.capacity)])}`} />
          <Row name="flash point" text={words(label.flash)} />
        </dl>
        <Code text={JSON.stringify(code)} size={112} />
      </div>
      <ul className="border-t border-ink px-4 py-2 font-semibold" aria-label="hazards">
        {label.hazards.map((hazard) => (
          <li key={hazard}>{hazard}.</li>
        ))}
      </ul>
      <p className="border-t border-ink px-4 py-2">{label.care.join('. ')}.</p>
    </li>
  );
}

/** Told from three metres by its shape alone: a full disc may go back, a crossed octagon may not. */
const Kept = ({ clean, word = clean ? 'clean' : 'suspect' }: { clean: boolean; word?: string }) => (
  <svg width="88" height="88" viewBox="0 0 88 88" role="img" aria-label={word} className="shrink-0">
    {clean ? (
      <circle cx="44" cy="44" r="40" fill="var(--ink)" />
    ) : (
      <>
        <path d="M28 5h32l23 23v32L60 83H28L5 60V28Z" fill="none" stroke="var(--ink)" strokeWidth="8" />
        <path d="M26 26l36 36M62 26 26 62" stroke="var(--ink)" strokeWidth="9" />
      </>
    )}
  </svg>
);

const Stripes = () => (
  <svg width="100%" height="28" aria-hidden className="block">
    <defs>
      <pattern id="suspect" width="28" height="28" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <rect width="14" height="28" fill="var(--ink)" />
      </pattern>
    </defs>
    <rect width="100%" height="28" fill="url(#suspect)" />
  </svg>
);

const Row = ({ name, text }: { name: string; text: string }) => (
  <div className="flex gap-3">
    <dt className="w-[6rem] shrink-0 text-quiet">{name}</dt>
    <dd className="font-semibold">{text}</dd>
  </div>
);

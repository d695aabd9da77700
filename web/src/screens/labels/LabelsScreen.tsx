import { fuels } from '@iron-cradle/core';
import { format } from 'date-fns';
import { useJob } from '../../log/useJob.ts';
import { WithJob } from '../../log/WithJob.tsx';
import { Code } from '../record/Code.tsx';

/** Labels for the cans of one job, to print and stick on: product, date, vehicle, clean or suspect. */
export default function LabelsScreen() {
  return (
    <WithJob title="Labels">
      <Labels />
    </WithJob>
  );
}

function Labels() {
  const { state, number } = useJob();
  const fuel = fuels[state.vehicle.fuel];
  const date = state.pours.at(-1)?.at ?? state.openedAt;
  const day = format(new Date(date), 'd MMM yyyy');
  return (
    <main className="mx-auto max-w-4xl p-4 mid:p-8 print:p-0">
      <h1 className="sr-only">Labels for the cans</h1>
      <div className="no-print flex flex-wrap items-center gap-4 pb-6">
        <button type="button" className="btn" onClick={() => window.print()}>
          Print them
        </button>
        <p className="min-w-56 flex-1 text-quiet">
          One a can, closed and labelled at once. Each code carries the same words, to be read with any phone.
        </p>
      </div>
      {state.containers.length === 0 && <p>No can has been filled yet.</p>}
      <ul className="grid gap-5 mid:grid-cols-2 print:grid-cols-2">
        {state.containers.map((can) => {
          const words = {
            can: can.number,
            product: fuel.name,
            litres: Math.round(can.litres * 10) / 10,
            date: date.slice(0, 10),
            vehicle: state.name,
            job: number,
            is: can.clean ? 'clean' : 'suspect',
          };
          return (
            <li key={can.number} className="break-inside-avoid border-4 border-ink bg-sheet" data-label={can.number}>
              <div className={`flex items-center gap-4 p-4 ${can.clean ? '' : 'border-b-4 border-dashed border-ink'}`}>
                <span aria-hidden className="size-6 shrink-0 rounded-full border-4 border-ink" />
                <p className="narrow flex-1 text-32">
                  {fuel.name[0]!.toUpperCase() + fuel.name.slice(1)}, {can.clean ? 'clean' : 'suspect'}
                </p>
                <p className="reading text-48 leading-none">{can.number}</p>
              </div>
              <div className="flex items-end gap-4 p-4 pt-0">
                <dl className="min-w-0 flex-1 leading-snug">
                  <Row name="out of" text={`${state.name}, job ${number}`} />
                  <Row name="on" text={day} />
                  <Row name="in it" text={`${words.litres} L of ${can.capacity}`} />
                  <Row name="flash point" text={`${fuel.flash.below > 0 ? 'above' : 'below'} ${fuel.flash.below} °C`} />
                </dl>
                <Code text={JSON.stringify(words)} size={112} />
              </div>
              <p className="border-t border-ink px-4 py-2 text-14">
                Highly flammable. Away from heat and sparks. {can.clean ? '' : 'Not back into any tank. '}Nothing else
                in this can.
              </p>
            </li>
          );
        })}
      </ul>
    </main>
  );
}

const Row = ({ name, text }: { name: string; text: string }) => (
  <div className="flex gap-3">
    <dt className="w-24 shrink-0 text-quiet">{name}</dt>
    <dd className="font-semibold">{text}</dd>
  </div>
);

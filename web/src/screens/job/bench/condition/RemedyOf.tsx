import { leftInWords, remedies, remediesFor, type Finding, type RemedyId } from '@iron-cradle/core';
import { EntryForm } from '../../../../form/EntryForm.tsx';
import { useMemo, useState } from 'react';
import { FormPrice } from '../../../../form/FormPrice.tsx';
import { useEntryForm } from '../../../../form/useEntryForm.ts';
import { useJob } from '../../../../log/useJob.ts';
import { useNow } from '../../../../ui/useNow.ts';

const hours = (minutes: number): string =>
  minutes < 120
    ? `${minutes} min`
    : minutes < 2880
      ? `${Math.round(minutes / 60)} h`
      : `${Math.round(minutes / 1440)} days`;
const span = ({ lo, hi }: { lo: number; hi: number }): string => `${hours(lo)} to ${hours(hi)}`;

/** What can be done about a finding: how, with its minutes; done, waiting, or asked of the owner. */
export function RemedyOf({ finding }: { finding: Finding }) {
  const { state } = useJob();
  const [open, setOpen] = useState<RemedyId | null>(null);
  const asked = state.proposals.findLast(
    ({ what, where, closed }) => what === finding.what && where === finding.where && !closed,
  );
  return (
    <div className="grid gap-3 pt-2">
      {asked && <p className="font-semibold">On the owner’s list.</p>}
      <div className="flex flex-wrap gap-3" role="group" aria-label={`what is done about ${finding.what}`}>
        {remediesFor(state.vehicle, finding).map((id) => (
          <button
            key={id}
            type="button"
            className="btn"
            data-remedy={id}
            aria-expanded={open === id}
            onClick={() => setOpen(open === id ? null : id)}
          >
            {remedies[id].name}
          </button>
        ))}
      </div>
      {open && <Remedy key={open} id={open} finding={finding} onDone={() => setOpen(null)} />}
    </div>
  );
}

function Remedy({ id, finding, onDone }: { id: RemedyId; finding: Finding; onDone: () => void }) {
  const { state, enter } = useJob();
  const remedy = remedies[id];
  const runs = state.waits.find(({ what, ended }) => what === remedy.wait?.what && !ended);
  const now = useNow(15_000);
  const left = runs ? leftInWords(runs, now) : null;
  const over = left === null || left === 'done';
  const start = useMemo(
    () => ({
      why: 'mend' as const,
      what: finding.what,
      where: finding.where,
      remedy: id,
      minutes: remedy.hands.typ,
    }),
    [finding, id, remedy],
  );
  const form = useEntryForm({ kind: 'proposed', start, onDone });
  return (
    <div className="grid gap-3 border-l-4 border-ink pl-3">
      <p>{remedy.how}</p>
      <p className="text-quiet">
        {span(remedy.hands)} of hands
        {remedy.wait ? `; ${remedy.wait.what} ${span(remedy.wait)}, no hands, no bay` : ''}. Its own instructions and
        the service information come first.
      </p>
      {remedy.wait && (
        <button
          type="button"
          className="btn"
          data-action="remedy-wait"
          disabled={runs !== undefined}
          onClick={() =>
            void enter('wait', {
              what: remedy.wait!.what,
              state: 'start',
              minutes: Math.min(remedy.wait!.typ, 20_160),
              bay: remedy.bay,
            })
          }
        >
          {left ? `${remedy.wait.what}: ${left}` : `Start: ${remedy.wait.what}, ${hours(remedy.wait.typ)}`}
        </button>
      )}
      <button
        type="button"
        className="btn"
        data-action="remedy-done"
        onClick={() =>
          void enter('finding', {
            what: finding.what,
            where: finding.where,
            verdict: 'good',
            note: remedy.done,
          }).then((stands) => stands && onDone())
        }
      >
        {over ? 'Done' : 'Done all the same'}: {remedy.done}, looked at again
      </button>
      <EntryForm say={() => form.say()} className="grid gap-2">
        <FormPrice form={form} name="price" label="Its price" hint="may stay empty" />
        <button type="submit" className="btn" data-action="ask-owner">
          Ask the owner first
        </button>
      </EntryForm>
    </div>
  );
}

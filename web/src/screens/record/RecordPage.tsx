import {
  descended,
  entryInWords,
  gateTitles,
  judgeGate,
  nameOf,
  litres,
  outcomeWord,
  recordLines,
  stations,
  type GateNumber,
  type RecordLine,
} from '@iron-cradle/core';
import { format } from 'date-fns';
import type { ReactNode } from 'react';
import { Well } from '../../drawings/well/Well.tsx';
import { useUnits } from '../../app/units.ts';
import { JointTable } from './JointTable.tsx';
import { useWords } from '../../ui/Words.tsx';
import { Code } from './Code.tsx';
import type { JobRecord } from './recordOf.ts';
import { Words } from '../../ui/Words.tsx';

/** The record: five sentences, the well, then tables. Made from the job's file alone; prints on one or two pages. */
export function RecordPage({ record }: { record: JobRecord }) {
  const { state, file, name, chords } = record;
  const words = useWords();
  const units = useUnits();
  const lines = recordLines(state);
  const under = (heading: RecordLine['under']) => lines.filter((line) => line.under === heading);
  const counts = new Set(state.heads.filter((head) => head.counts).map((head) => head.id));
  // Of a taking back, the record shows what is left by it.
  const log = file.entries.filter((entry) => counts.has(entry.id) && entry.kind !== 'takeBack');
  const late = state.late.map(({ id, stands }) => ({ stands, entry: file.entries.find((e) => e.id === id) }));
  const when = (iso: string) => format(new Date(iso), 'd MMMM yyyy, H:mm');
  const out = state.containers.reduce((sum, c) => sum + c.litres, 0);
  const suspect = state.containers.filter((c) => !c.clean).reduce((sum, c) => sum + c.litres, 0);
  return (
    <article className="mx-auto max-w-[51.5rem] bg-sheet px-5 py-8 text-ink mid:px-16 mid:py-14 print:p-0" data-record>
      <header className="flex items-baseline justify-between gap-4">
        <h1 className="text-32">{record.title}</h1>
        <p className="reading shrink-0">job {file.job.number}</p>
      </header>
      <p className="text-quiet">
        {[
          file.shop.name,
          format(new Date(state.openedAt), 'd MMMM yyyy'),
          state.identity
            ? `${state.identity.mileage.toLocaleString('en').replaceAll(',', ' ')} ${state.identity.unit}`
            : null,
          state.identity ? `plate ${state.identity.plate}` : null,
        ]
          .filter(Boolean)
          .join(' · ')}
      </p>
      {!state.signed && <p className="narrow pt-2 text-20 text-halt">Not signed. What is owed stands in the job.</p>}
      {late.length > 0 && (
        <Part title="Came after the signature, made without knowing it">
          {late.map(
            ({ entry, stands }) =>
              entry && (
                <p key={entry.id}>
                  {entryInWords(state, entry, units)} ({name(entry.by)}, {when(entry.at)}){' '}
                  {stands ? 'stands beside the record, by the lead.' : 'Not yet looked at by the lead.'}
                </p>
              ),
          )}
        </Part>
      )}
      {state.deviations.length > 0 && (
        <Part title="Left off, with a reason">
          {state.deviations.map((d) => (
            <p key={d.debt + d.reason}>
              {d.what}: {d.reason}; agreed by {d.who}, due {d.due} ({name(d.by)})
            </p>
          ))}
        </Part>
      )}
      {state.cuts.length > 0 && (
        <Part title="Cut, and what went in for it">
          {state.cuts.map((c) => (
            <p key={c.id}>
              {c.key ? nameOf(state, c.key) : c.what} {c.where}
              {c.words ? `: ${c.words}` : ''}. {state.replaced[c.id]?.words ?? 'Not made good.'}{' '}
              {c.untried.length > 0 ? `Not tried before: ${c.untried.join(', ')}. ` : ''}({name(c.by)})
            </p>
          ))}
        </Part>
      )}
      <p className="border-b-2 border-ink py-5 text-20 leading-relaxed">{record.sentences.join(' ')}</p>
      <div className="grid gap-8 pt-6 mid:grid-cols-[19rem_minmax(0,1fr)]">
        <Well
          chords={chords}
          here={Math.max(state.pose.f, state.pose.r)}
          clear={state.vehicle.clear}
          station={null}
          done={state.signed ? stations : []}
          up={descended(state)}
          width={280}
          height={430}
        />
        <div className="min-w-0">
          <JointTable state={state} name={name} />
          <Part title="Straps">
            {state.torques.map((t) => (
              <p key={t.key}>
                {nameOf(state, t.key)}: {t.asWritten}
                {t.verdict.reasons[0]?.limit
                  ? `; file ${words(t.verdict.reasons[0].limit)}`
                  : `; ${words(t.verdict.reasons[0]?.text ?? '')}`}
              </p>
            ))}
            {state.torques.length === 0 && <p>No torque written.</p>}
          </Part>
          <Part title="Fuel">
            <p>
              out {words([litres(out, out, 1)])} in {state.containers.length}{' '}
              {state.containers.length === 1 ? 'can' : 'cans'} · back {words([litres(state.filled, state.filled, 1)])}
              {suspect > 0 ? ` · kept ${words([litres(suspect, suspect, 1)])} as suspect` : ''}
            </p>
          </Part>
          {state.approval && (
            <Part title="Owner">
              <p>
                {{ yes: 'approved', no: 'declined', call: 'to be called first' }[state.approval.answer]}:{' '}
                {state.approval.who}, {state.approval.how}, {when(state.approval.at)} ({name(state.approval.by)})
              </p>
            </Part>
          )}
        </div>
      </div>
      <div className="grid gap-x-8 mid:grid-cols-2">
        <Part title="Gates">
          {([1, 2, 3, 4] as GateNumber[]).map((gate) => {
            const passed = state.gates[gate].history.at(-1);
            const excepted = judgeGate(state, gate).filter((j) => j.excepted);
            return (
              <p key={gate}>
                {gate}, {gateTitles[gate]}:{' '}
                {passed ? `${name(passed.by)}, ${format(new Date(passed.at), 'H:mm')}` : 'not passed'}
                {excepted.map((j) => `; ${j.item.short} excepted by ${name(j.excepted!.lead)}: ${j.excepted!.reason}`)}
              </p>
            );
          })}
        </Part>
        <Part title="Findings">
          {state.findings.map((f, i) => (
            <p key={i}>
              {outcomeWord[f.verdict]}: {f.what}, {f.where}
              {f.note ? `; ${f.note}` : ''}
            </p>
          ))}
          {state.findings.length === 0 && <p>None written.</p>}
        </Part>
        <Lines title="Tested and fitted" lines={under('bench')} name={name} />
        <Lines title="Bad fuel" lines={under('fuel')} name={name} />
        <Lines title="Key and proof" lines={under('proof')} name={name} />
        <Lines title="Cut and noted" lines={under('work')} name={name} />
        <Lines title="Went otherwise than said" lines={under('flags')} name={name} />
        {state.addenda.length > 0 && (
          <Part title="Addenda">
            {state.addenda.map((a, i) => (
              <p key={i}>
                {a.text} ({name(a.by)}, {when(a.at)})
              </p>
            ))}
          </Part>
        )}
      </div>
      <footer className="mt-6 grid grid-cols-[1fr_auto] gap-6 border-t-2 border-ink pt-4">
        <div>
          <p className="text-quiet">Signed</p>
          <p className="narrow text-20">
            {state.signed ? `${name(state.signed.by)}, ${when(state.signed.at)}` : 'not yet'}
          </p>
          {state.countersigned.map((c) => (
            <p key={c.id} className="text-16">
              countersigned {name(c.by)}, {when(c.at)}
            </p>
          ))}
          {state.followUpsDone.map((f) => (
            <p key={f.id} className="text-16">
              follow-up done: {f.text} ({name(f.by)}, {when(f.at)})
            </p>
          ))}
          <p className="pt-3 text-16 text-quiet">
            Log of {file.chain.length} entries, chain{' '}
            <span className="reading">{`${file.chain.last.slice(0, 4)}…${file.chain.last.slice(-4)}`}</span>. The
            service information for the vehicle and local codes come before this record.
          </p>
        </div>
        <Code text={`iron-cradle job ${file.job.number} ${file.job.id} ${file.chain.last}`} />
      </footer>
      <details className="no-print pt-6">
        <summary className="min-h-11 cursor-pointer text-quiet underline">
          the whole log, {log.length} entries that count
        </summary>
        <ol className="ruled pt-2 text-16">
          {log.map((entry) => (
            <li key={entry.id} className="flex gap-4 py-1.5">
              <span className="reading w-14 shrink-0">{format(new Date(entry.at), 'H:mm')}</span>
              <span className="w-[5rem] shrink-0 text-quiet">{name(entry.by)}</span>
              <span>{entryInWords(state, entry, units)}</span>
            </li>
          ))}
        </ol>
      </details>
    </article>
  );
}

const Part = ({ title, children }: { title: string; children: ReactNode }) => (
  <section className="pt-5 text-16">
    <h2 className="pb-1 text-20">{title}</h2>
    {children}
  </section>
);

interface LinesProps {
  title: string;
  lines: readonly RecordLine[];
  name: (person: string) => string;
}

/** What a subject has to say; nothing where it says nothing. */
const Lines = ({ title, lines, name }: LinesProps) =>
  lines.length === 0 ? null : (
    <Part title={title}>
      {lines.map((line, i) => (
        <p key={i}>
          <Words of={line.text} />
          {line.by && line.at ? ` (${name(line.by)}, ${format(new Date(line.at), 'H:mm')})` : ''}
        </p>
      ))}
    </Part>
  );

import {
  cellText,
  descended,
  entryInWords,
  inWords,
  photoLetters,
  photoList,
  recordCode,
  recordSections,
  sectionsFirst,
  stations,
  type JobRecord,
  type RecordCell,
  type RecordSection,
  type Standing,
} from '@iron-cradle/core';
import { format } from 'date-fns';
import { useUnits } from '../../app/units.ts';
import { Well } from '../../drawings/well/Well.tsx';
import { Shape } from '../../look/Shapes.tsx';
import { Table, type Column } from '../../ui/Table.tsx';
import { Code } from './Code.tsx';
import { RecordPhotos } from './RecordPhotos.tsx';

/** The record: five sentences, the well, then tables. Made from the job's file alone; prints on one or two pages. */
export function RecordPage({ record, standing }: { record: JobRecord; standing: Standing | null }) {
  const { state, file, name, chords } = record;
  const units = useUnits();
  const counts = new Set(state.heads.filter((head) => head.counts).map((head) => head.id));
  // Of a taking back, the record shows what is left by it.
  const log = file.entries.filter((entry) => counts.has(entry.id) && entry.kind !== 'takeBack');
  const when = (iso: string) => format(new Date(iso), 'd MMMM yyyy, H:mm');
  const sections = recordSections(record, units);
  const photos = photoList(record);
  // Joints stand beside the well; what is read line by line comes under both.
  const tables = sections.filter(({ title }) => title === 'Joints' || title === 'Torques');
  const others = sections.filter((section) => !tables.includes(section));
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
      {sectionsFirst(record, units).map((section) => (
        <Section key={section.title} section={section} />
      ))}
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
          letters={photoLetters(photos)}
        />
        <div className="min-w-0">
          {tables.map((section) => (
            <Section key={section.title} section={section} />
          ))}
        </div>
      </div>
      <div className="grid gap-x-8 mid:grid-cols-2">
        {others.map((section) => (
          <Section key={section.title} section={section} />
        ))}
      </div>
      <RecordPhotos jobId={file.job.id} photos={photos} />
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
          {standing && (
            <p className="flex items-start gap-2 pt-3 text-16" data-standing={standing.is}>
              <span className="shrink-0 pt-0.5">
                <Shape outcome={standing.verdict.outcome} size={16} />
              </span>
              <span>{[standing.text, ...standing.verdict.next.map((next) => inWords(next))].join(' ')}</span>
            </p>
          )}
          <p className="pt-3 text-16 text-quiet">
            Log of {file.chain.length} entries, chain{' '}
            <span className="reading">{`${file.chain.last.slice(0, 4)}…${file.chain.last.slice(-4)}`}</span>. The
            service information for the vehicle and local codes come before this record.
          </p>
        </div>
        <Code text={recordCode(file.job, file.chain.last, file.seals)} size={140} />
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

/** A part of the record: its lines, or its table; nothing in it is worked out here. */
function Section({ section: { title, lines, table } }: { section: RecordSection }) {
  return (
    <section className="min-w-0 break-inside-avoid pt-5 text-16 [overflow-wrap:break-word]">
      <h2 className="pb-1 text-20">{title}</h2>
      {lines.map((line, i) => (
        <p key={i}>{line}</p>
      ))}
      {table && (
        <Table
          label={title.toLowerCase()}
          columns={table.head.map((header, i): Column<RecordCell[]> => ({
            id: String(i),
            header,
            accessorFn: (row) => cellText(row[i] ?? ''),
            cell: ({ row }) => <Cell cell={row.original[i] ?? ''} />,
          }))}
          rows={table.rows}
          idOf={(_row, index) => String(index)}
        />
      )}
    </section>
  );
}

const Cell = ({ cell }: { cell: RecordCell }) =>
  typeof cell === 'string' ? (
    cell
  ) : (
    <span className="flex items-center gap-2">
      <Shape outcome={cell.outcome} size={16} />
      {cell.text}
    </span>
  );

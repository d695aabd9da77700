import { format } from 'date-fns';
import { gateTitles, judgeGate, type GateNumber } from '../gates/index.ts';
import { entryInWords, nameOf, recordLines } from '../job/index.ts';
import type { RecordLine } from '../kernel/index.ts';
import { inWords, type UnitSystem } from '../quantity/index.ts';
import { outcomeWord } from '../verdict/index.ts';
import { clocksOff } from './clocks.ts';
import type { JobRecord } from './recordOf.ts';
import type { RecordSection } from './table.ts';
import { fuelTable, jointsTable, partsTable, torquesTable } from './tables.ts';

const when = (iso: string): string => format(new Date(iso), 'd MMMM yyyy, H:mm');
const clock = (iso: string): string => format(new Date(iso), 'H:mm');

/**
 * What prints before everything else: what came after the signature, what was left off, what was cut.
 *
 * @example sectionsFirst(record, 'metric')[0]?.title // 'Left off, with a reason'
 */
export function sectionsFirst({ state, file, name }: JobRecord, units: UnitSystem): RecordSection[] {
  const late = state.late.flatMap(({ id, stands }) => {
    const entry = file.entries.find((e) => e.id === id);
    return entry
      ? [
          `${entryInWords(state, entry, units)} (${name(entry.by)}, ${when(entry.at)}) ${stands ? 'stands beside the record, by the lead.' : 'Not yet looked at by the lead.'}`,
        ]
      : [];
  });
  const left = state.deviations.map((d) => `${d.what}: ${d.reason}; agreed by ${d.who}, due ${d.due} (${name(d.by)})`);
  const cuts = state.cuts.map(
    (c) =>
      `${c.key ? nameOf(state, c.key) : c.what} ${c.where}${c.words ? `: ${c.words}` : ''}. ${madeGood(state, c)} ${c.untried.length > 0 ? `Not tried before: ${c.untried.join(', ')}. ` : ''}(${name(c.by)})`,
  );
  return [
    { title: 'Came after the signature, made without knowing it', lines: late },
    { title: 'Left off, with a reason', lines: left },
    { title: 'Cut, and what went in for it', lines: cuts },
    { title: 'Times are as each device showed them', lines: clocksOff(file) },
  ].filter(({ lines }) => lines.length > 0);
}

/** What went in for what was cut; a wire is joined, and that was tried or not. */
function madeGood(state: JobRecord['state'], { id, what }: { id: string; what: string }): string {
  if (what !== 'wire') return state.replaced[id]?.words ?? 'Not made good.';
  const word = state.joined[id]?.at(-1)?.verdict;
  return word ? `Joined: ${word.reasons.map(({ text }) => inWords(text)).join(', ')}.` : 'Not joined.';
}

/**
 * The parts of the record after its sentences, in their order; those with nothing to say are left out.
 *
 * @example recordSections(record, 'us').map(({ title }) => title) // ['Joints', 'Torques', 'Fuel', …]
 */
export function recordSections(record: JobRecord, units: UnitSystem): RecordSection[] {
  const { state, name } = record;
  const lines = recordLines(state);
  const under = (heading: RecordLine['under']): string[] =>
    lines
      .filter((line) => line.under === heading)
      .map(
        (line) => `${inWords(line.text, units)}${line.by && line.at ? ` (${name(line.by)}, ${clock(line.at)})` : ''}`,
      );
  const table = (one: RecordSection['table'] & object): RecordSection => ({ title: one.title, lines: [], table: one });
  const { approval } = state;
  const sections: RecordSection[] = [
    table(jointsTable(record, { units })),
    { title: 'Key and proof', lines: under('proof') },
    table(partsTable(record, { units })),
    { title: 'Tested and fitted', lines: under('bench') },
    {
      title: 'Findings',
      lines: state.findings.map(
        (f) => `${outcomeWord[f.verdict]}: ${f.what}, ${f.where}${f.note ? `; ${f.note}` : ''}`,
      ),
    },
    table(torquesTable(record, { units })),
    table(fuelTable(record, { units })),
    { title: 'Bad fuel', lines: under('fuel') },
    { title: 'Hoses, wires, cut and noted', lines: under('work') },
    {
      title: 'Owner',
      lines: approval
        ? [
            `${{ yes: 'approved', no: 'declined', call: 'to be called first' }[approval.answer]}: ${approval.who}, ${approval.how}, ${when(approval.at)} (${name(approval.by)})`,
          ]
        : [],
    },
    { title: 'Gates', lines: ([1, 2, 3, 4] as GateNumber[]).map((gate) => gateLine(record, gate)) },
    {
      title: 'Waits',
      lines: state.waits.map(
        (w) => `${w.what}: ${when(w.started)}${w.ended ? ` to ${clock(w.ended)}` : ', not over'} (${name(w.by)})`,
      ),
    },
    { title: 'Went otherwise than said', lines: under('flags') },
    { title: 'Addenda', lines: state.addenda.map((a) => `${a.text} (${name(a.by)}, ${when(a.at)})`) },
  ];
  return sections.filter(({ lines: list, table: one }) => list.length > 0 || (one?.rows.length ?? 0) > 0);
}

function gateLine({ state, name }: JobRecord, gate: GateNumber): string {
  const passed = state.gates[gate].history.at(-1);
  const excepted = judgeGate(state, gate).filter((j) => j.excepted);
  return `${gate}, ${gateTitles[gate]}: ${passed ? `${name(passed.by)}, ${clock(passed.at)}` : 'not passed'}${excepted
    .map((j) => `; ${j.item.short} excepted by ${name(j.excepted!.lead)}: ${j.excepted!.reason}`)
    .join('')}`;
}

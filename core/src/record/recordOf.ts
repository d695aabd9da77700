import { wordOf } from '../bench/index.ts';
import { complaintOf } from '../call/index.ts';
import { TEST_STOP } from '../condition/index.ts';
import { fuelBalance, type Balance } from '../drain/index.ts';
import { chords, foldJob, type Chord, type JobFile, type JobState } from '../job/index.ts';
import { inWords, litres as inLitres, type UnitSystem } from '../quantity/index.ts';
import { lineOf, shortName, splitKey, travelWords, unitOf } from '../vehicle/index.ts';

/** A job as its record tells it. */
export interface JobRecord {
  /** Its state, at the end. */
  state: JobState;
  /** What stands over it. */
  title: string;
  /** What was done, a sentence each. */
  sentences: string[];
  /** What each thing spanned between off and on. */
  chords: Chord[];
  /** A person as people call them. */
  name: (id: string) => string;
  /** The job as a file to keep or to move. */
  file: JobFile;
}

const resultWords = { passed: 'passed', unchanged: 'is unchanged', worse: 'is worse' };
const moved = ({ spilled, disposed, fedIn, inCans }: Balance, litres: (n: number) => string): string =>
  [
    [spilled, 'spilt'],
    [disposed, 'disposed of'],
    [fedIn, 'came in by itself'],
    [inCans, 'still in cans'],
  ]
    .filter(([n]) => Number(n) > 0.05)
    .map(([n, word]) => `, ${litres(Number(n))} ${word}`)
    .join('');

/**
 * Everything the record opens with, from the job's file alone, in the units of whoever reads it; null where it opens no job.
 *
 * @example recordOf(file)?.sentences[0] // 'The test for the complaint was …'
 */
export function recordOf(file: JobFile, units: UnitSystem = 'metric'): JobRecord | null {
  const state = foldJob(null, file.entries);
  const litres = (n: number) => inWords([inLitres(n, n, 1)], units);
  if (!state) return null;
  const name = (id: string) => file.people[id] ?? id;
  const lines = state.items.filter((i) => i.kind === 'line');
  const closed = lines.filter((i) => i.state === 'closed').length;
  const dry = state.joints.filter((j) => j.verdict.outcome === 'good').length;
  const out = state.containers.reduce((sum, c) => sum + c.litres, 0);
  // A test stop is a proof, and the complaint is no finding: what was found is what was looked at.
  const said = [TEST_STOP, complaintOf(state.complaint).name.toLowerCase()];
  const onBench = unitOf(state.vehicle).parts.filter((part) =>
    (state.pieces[part.id] ?? []).some((piece) => wordOf(piece)?.verdict.outcome === 'bad'),
  );
  const found = state.findings.filter((f) => f.verdict === 'bad').map((f) => f.what);
  const bad = [...new Set([...found, ...onBench.map((part) => part.name)])].filter(
    (what) => !said.includes(what.toLowerCase()),
  );
  const balance = fuelBalance(state);
  const test = state.complaintTest;
  const again = state.complaintAgain;
  const sentences = [
    test
      ? `The test for the complaint was ${test.test}; ${test.result === 'shown' ? 'it showed the fault' : test.result === 'notShown' ? 'it did not show a fault' : 'it was not run'}${test.words ? ` (${test.words})` : ''}.`
      : 'The complaint’s own test was not recorded.',
    bad.length > 0 ? `Found bad: ${bad.join(', ')}.` : 'Nothing was found bad on the bench.',
    `${litres(out)} came out and ${litres(balance.filled + balance.returned)} went back${moved(balance, litres)}.`,
    lines.length === 0
      ? 'No line was parted.'
      : `${lines.length} ${lines.length === 1 ? 'end was' : 'ends were'} parted and ${closed} ${closed === 1 ? 'is' : 'are'} closed; ${dry} ${dry === 1 ? 'joint was' : 'joints were'} seen dry with fuel behind.`,
    again === null
      ? 'The same test was not run again.'
      : test?.result === 'shown'
        ? `After the repair the same test ${resultWords[again.result]}${again.words ? `: ${again.words}` : ''}.`
        : `After the repair the complaint’s test ${resultWords[again.result]}${again.words ? `: ${again.words}` : ''}; before it ${test?.result === 'notShown' ? 'did not show the fault' : 'was not run'}, so that shows no cure.`,
  ];
  return { state, title: `${state.name}, ${titleOf(state)}`, sentences, chords: chords(state), name, file };
}

function titleOf(state: JobState): string {
  const replaced = Object.keys(state.replaced).map((key) =>
    shortName(lineOf(state.vehicle, splitKey(key).id)?.name ?? key),
  );
  // What lies on the bench in place of another is another part; the same fitted again is not.
  const swapped = unitOf(state.vehicle).parts.filter(
    (part) => (state.pieces[part.id]?.at(-1)?.called ?? null) !== null,
  );
  const all = [...replaced, ...swapped.map((part) => part.name)];
  if (all.length > 0) return `${all.join(' and ')} replaced`;
  return state.deepest > 0 ? `tank ${travelWords(state.vehicle).gone} and refitted` : 'tank looked at';
}

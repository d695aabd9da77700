import { complaintOf } from '../call/index.ts';
import { fuelBalance } from '../drain/index.ts';
import { jointsLeft, jointsToSee } from '../proof/index.ts';
import { inWords, litres, type UnitSystem } from '../quantity/index.ts';
import { followUps } from '../signing/index.ts';
import { unitOf } from '../vehicle/index.ts';
import type { JobRecord } from './recordOf.ts';
import type { RecordSection } from './table.ts';

/**
 * The record in plain words, for whoever owns the vehicle: why it came, what was wrong, what went in, where its fuel is, how it was proved, what
 * is still to be done.
 *
 * @example ownersPage(record, 'metric')[0] // { title: 'Why it came', lines: ['…'] }
 */
export function ownersPage({ state }: JobRecord, units: UnitSystem): RecordSection[] {
  const amount = (n: number) => inWords([litres(n, n, 1)], units);
  const parts = unitOf(state.vehicle).parts.flatMap((part) => {
    const fresh = state.pieces[part.id]?.at(-1)?.called;
    return fresh ? [`${capital(part.name)}: ${fresh}.`] : [];
  });
  const hoses = Object.values(state.replaced).map(({ words }) =>
    words ? `${capital(words)}.` : 'A line or hose, new.',
  );
  const balance = fuelBalance(state);
  const [all, left] = [jointsToSee(state).length, jointsLeft(state).length];
  const bad = [...new Set(state.findings.filter(({ verdict }) => verdict === 'bad').map(({ what }) => what))];
  const again = { passed: 'is gone', unchanged: 'is as before', worse: 'is worse' } as const;
  return [
    { title: 'Why it came', lines: [`${complaintOf(state.complaint).name}.`] },
    {
      title: 'What we found',
      lines: [
        ...bad.map((what) => `${capital(what)}.`),
        ...(state.complaintTest?.words ? [`${capital(state.complaintTest.words)}.`] : []),
      ],
    },
    { title: 'What went in', lines: [...parts, ...hoses] },
    {
      title: 'Your fuel',
      lines:
        balance.out === 0
          ? []
          : [
              `${amount(balance.out)} came out; ${amount(balance.returned)} of it went back in${balance.filled > 0 ? `, and ${amount(balance.filled)} new` : ''}.`,
              ...(balance.disposed > 0 ? [`${amount(balance.disposed)} were handed over or disposed of.`] : []),
            ],
    },
    {
      title: 'How it was proved',
      lines: [
        ...(all > 0
          ? [
              left === 0
                ? `All ${all} joints that were opened were seen dry or held tight.`
                : `${all - left} of ${all} joints that were opened were seen dry or held tight.`,
            ]
          : []),
        ...(state.complaintAgain
          ? [`The fault ${again[state.complaintAgain.result]}, by the same test as before.`]
          : []),
      ],
    },
    {
      title: 'Still to be done',
      lines: [
        ...state.deviations.map(({ what, due }) => `${capital(what)}: ${due}.`),
        ...followUps(state)
          .filter(({ done, id }) => !done && !id.startsWith('left:'))
          .map(({ text, due }) => `${capital(inWords(text, units))}${due ? `, ${due}` : ''}.`),
        'A smell of fuel, or a drop under it: do not drive on, call us.',
      ],
    },
  ].filter(({ lines }) => lines.length > 0);
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

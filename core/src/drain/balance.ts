import { litres, rounded, say } from '../quantity/index.ts';
import { commonPractice, computed } from '../basis/index.ts';
import { contradict, exactly, narrow, subtract, type Estimate } from '../estimate/index.ts';
import type { Complaint } from '../order/index.ts';
import { COUNT_ERROR, witnessSource, type Witness } from '../tank/index.ts';
import type { Verdict } from '../verdict/index.ts';

/** Every litre accounted for; litres. */
export interface Balance {
  /** Aboard before the first litre came out, by a witness of its own; null where there is none. */
  before: Estimate | null;
  /** Aboard after the last litre came out, by a witness of its own; null where there is none. */
  after: Estimate | null;
  /** Taken out into cans. */
  out: number;
  /** Spilled. */
  spilled: number;
  /** Put back in. */
  returned: number;
  /** Given away for disposal. */
  disposed: number;
  /** Come in from a second tank by itself. */
  fedIn: number;
  /** Filled in new. */
  filled: number;
  /** Of what came out, still standing in cans. */
  inCans: number;
  /** What before and after leave unexplained; above zero: more is missing than was counted out. */
  open: Estimate | null;
  /** Does it come out even? */
  verdict: Verdict;
}

interface Moves {
  witnesses: readonly Witness[];
  containers: readonly { litres: number }[];
  moves: readonly { what: 'spilled' | 'returned' | 'disposed' | 'fedIn'; litres: number }[];
  fills: readonly { litres: number; own: boolean }[];
  complaint: Complaint;
}

/**
 * Is every litre accounted for? Before = after + cans + spilled − returned − filled − what a temporary feed or a return
 * line brought in, within what the witnesses and the count can tell.
 *
 * @example fuelBalance(state).verdict.outcome // 'bad': 6–9 L came in behind your back
 */
export function fuelBalance({ witnesses: told, containers, moves, fills, complaint }: Moves): Balance {
  // A sender that is the complaint witnesses nothing.
  const witnesses = told.filter((w) => complaint !== 'level' || witnessSource[w.kind] !== 'sender');
  const put = (own: boolean) => fills.reduce((total, f) => total + (f.own === own ? f.litres : 0), 0);
  const sum = (what: Moves['moves'][number]['what']) =>
    moves.reduce((total, m) => total + (m.what === what ? m.litres : 0), 0);
  const out = containers.reduce((total, c) => total + c.litres, 0);
  const [spilled, disposed, fedIn] = [sum('spilled'), sum('disposed'), sum('fedIn')];
  // Own fuel put back is counted once, by whichever entry says it.
  const [returned, filled] = [sum('returned') + put(true), put(false)];
  const inCans = out - returned - disposed;
  const nowOut = out + spilled;
  const nowIn = filled + returned + fedIn;
  const before = common(witnesses.filter((w) => w.outBefore === 0 && w.inBefore === 0).map((w) => w.litres));
  const late = witnesses.filter((w) => w.outBefore > 0 || w.inBefore > 0);
  const after = common(
    late.map(({ litres, outBefore, inBefore }) => {
      const gone = nowOut - outBefore - (nowIn - inBefore);
      return {
        ...litres,
        lo: Math.max(0, litres.lo - gone),
        typ: Math.max(0, litres.typ - gone),
        hi: Math.max(0, litres.hi - gone),
      };
    }),
  );
  const moved = nowOut - nowIn;
  const slack = (nowOut + nowIn) * COUNT_ERROR;
  const counted: Estimate = { ...exactly(moved), lo: moved - slack, hi: moved + slack };
  const open = before && after ? subtract(subtract(before, after), counted) : null;
  return {
    before,
    after,
    out,
    spilled,
    returned,
    disposed,
    fedIn,
    filled,
    inCans,
    open,
    verdict: judge(open, inCans, slack),
  };
}

const common = (list: readonly Estimate[]): Estimate | null =>
  list.reduce<Estimate | null>(
    (sum, said) => (sum === null || contradict(sum, said) ? said : narrow(sum, said, computed('common part'))),
    null,
  );

function judge(open: Estimate | null, inCans: number, slack: number): Verdict {
  if (inCans < -0.05 - slack)
    return {
      outcome: 'bad',
      reasons: [
        {
          text: 'more went back or away than ever came out',
          figure: say`${litres(-inCans, -inCans, 1)} too much`,
          basis: computed('cans − returned − disposed'),
        },
      ],
      next: ['look at the entries again'],
    };
  if (!open)
    return {
      outcome: 'unknown',
      reasons: [{ text: 'no witness from before and after to hold the count against', basis: commonPractice }],
      next: ['dip it, weigh it or run it dry'],
    };
  const figure = say`${rounded(litres, open, 0.5)}`;
  const basis = computed('before − after − what was counted');
  if (open.lo > 0)
    return {
      outcome: 'bad',
      reasons: [{ text: 'fuel is missing that nobody counted', figure, basis }],
      next: ['a spill? a can not entered? look under the vehicle and in the pit'],
    };
  if (open.hi < 0)
    return {
      outcome: 'bad',
      reasons: [
        {
          text: 'more is aboard than the count leaves',
          figure: say`${rounded(litres, { lo: -open.hi, hi: -open.lo }, 0.5)}`,
          basis,
        },
      ],
      next: ['a temporary feed, a return line or a header vessel may be filling it: close it, then look again'],
    };
  if (open.hi - open.lo > 12)
    return {
      outcome: 'doubtful',
      reasons: [{ text: 'adds up, but only because little is known', figure, basis }],
      next: ['a second witness narrows it'],
    };
  return { outcome: 'good', reasons: [{ text: 'adds up within what can be told', figure, basis }], next: [] };
}

import { inWords, type Sentence } from '../quantity/index.ts';
import { fuelCelsius } from '../tank/index.ts';
import Papa from 'papaparse';
import { commonPractice, computed } from '../basis/index.ts';
import { InputError } from '../errors/index.ts';
import { add, estimate, total, type Estimate, type Span } from '../estimate/index.ts';
import { stopsInWords } from '../foresight/index.ts';
import { litresToTakeOut } from '../handling/index.ts';
import type { Complaint } from '../order/index.ts';
import { answerTo, askNumber } from '../questions/index.ts';
import type { FuelSlice } from '../tank/index.ts';
import { neededFor } from '../needed/index.ts';
import { travelWords } from '../vehicle/index.ts';
import { lowerMinutes, type WaysInFacts } from '../waysIn/index.ts';

/** What the shop takes; null where it has not said. */
export interface ShopPrices {
  /** In which the prices are; written as the shop writes it. */
  currency: string;
  /** Per hour. */
  hour: number | null;
  /** Per litre of fuel disposed of. */
  disposal: number | null;
}

/** What a line of a quote is for. */
type QuoteKind = 'work' | 'spread' | 'part' | 'option' | 'disposal' | 'wait';

/** One line of a quote. */
export interface QuoteLine {
  /** What it is for. */
  kind: QuoteKind;
  /** As the customer reads it. */
  what: string;
  /** Hours, pieces, litres or hours of waiting. */
  amount: Estimate;
  /** Unit of the amount. */
  unit: 'h' | 'pc' | 'L';
  /** In the shop’s currency; null where a price is missing. */
  price: Estimate | null;
  /** Where the amount comes from. */
  why: Sentence;
}

/** What a job is likely to cost. */
export interface Quote {
  /** Line by line. */
  lines: QuoteLine[];
  /** Hours of work. */
  hours: Estimate;
  /** All that is not an option; null while a price is missing. */
  sum: Estimate | null;
  /** What has no price yet. */
  missing: string[];
  /** As the shop writes it. */
  currency: string;
}

/** Bench work by complaint, minutes; common practice, no source. */
const BENCH: Record<Complaint, Span> = {
  pump: { lo: 30, typ: 45, hi: 90 },
  level: { lo: 25, typ: 40, hi: 80 },
  leak: { lo: 20, typ: 40, hi: 120 },
  rust: { lo: 30, typ: 60, hi: 180 },
  badFuel: { lo: 45, typ: 90, hi: 240 },
  hose: { lo: 15, typ: 30, hi: 60 },
  biggerTank: { lo: 30, typ: 60, hi: 150 },
  fades: { lo: 30, typ: 60, hi: 150 },
  addedPickup: { lo: 40, typ: 75, hi: 150 },
  screens: { lo: 20, typ: 40, hi: 90 },
};

/** A stud that breaks, minutes; none does at the best. Common practice, no source. */
const BROKEN_STUD = { typ: 5, hi: 25 };

/** Waits that belong to a complaint, hours; common practice, no source. */
const WAITS: Partial<Record<Complaint, [string, Span]>> = {
  rust: ['coating dries', { lo: 2, typ: 4, hi: 12 }],
  badFuel: ['tank washed, dries', { lo: 1, typ: 3, hi: 24 }],
  biggerTank: ['prime and top coat dry', { lo: 2, typ: 4, hi: 12 }],
};

const hours = (minutes: Estimate): Estimate => ({
  ...minutes,
  lo: minutes.lo / 60,
  typ: minutes.typ / 60,
  hi: minutes.hi / 60,
});
const times = (a: Estimate, by: number | null): Estimate | null =>
  by === null ? null : { ...a, lo: a.lo * by, typ: a.typ * by, hi: a.hi * by };
const none: Estimate = { lo: 0, typ: 0, hi: 0, basis: computed('sum of lines') };

/** What a part costs, in the shop’s currency. Asked of something needed. */
export const PRICE = askNumber('price', 'price', { limits: { lo: 0, hi: 1_000_000 }, instead: [], ofThing: true });

/**
 * A quote as ranges: hours split by what drives their spread, parts always, options only if found bad, litres to dispose
 * of, waits. Money only where the shop has set its prices: none is made up.
 *
 * @example quoteOf(state, { currency: '', hour: 60, disposal: null }).hours.typ // 3.4
 */
export function quoteOf(state: WaysInFacts & Pick<FuelSlice, 'fuel'>, prices: ShopPrices): Quote {
  for (const field of ['hour', 'disposal'] as const)
    if (prices[field] !== null && !(prices[field] >= 0))
      throw new InputError(`prices.${field}`, String(prices[field]), 'zero or more');
  const lower = lowerMinutes(state);
  const bench = estimate(BENCH[state.complaint], commonPractice);
  const weak = state.vehicle.fasteners.filter((f) => f.likelyToBreak).reduce((sum, f) => sum + f.count, 0);
  const drop: Estimate = {
    ...lower.total,
    lo: lower.total.lo - lower.inTheWay.lo,
    typ: lower.total.typ - lower.inTheWay.typ,
    hi: lower.total.hi - lower.inTheWay.hi,
  };
  const lines: QuoteLine[] = [];
  const work = (kind: 'work' | 'spread', { what, minutes, why }: { what: string; minutes: Estimate; why: string }) => {
    const amount = hours(minutes);
    lines.push({ kind, what, amount, unit: 'h', price: times(amount, prices.hour), why });
  };
  work('work', {
    what: `take the tank ${travelWords(state.vehicle).off} and put it back, proved`,
    minutes: drop,
    why: `${stopsInWords(lower.down.stops, lower.down.open)} stops, every joint made singly; the spread is in lines nobody measured`,
  });
  work('work', {
    what: `work on the bench: ${benchWord[state.complaint]}`,
    minutes: bench,
    why: 'what is found decides',
  });
  if (lower.inTheWay.hi > 0)
    work('work', {
      what: 'clear what is in the way, and put it back',
      minutes: lower.inTheWay,
      why: state.vehicle.obstructions
        .filter((o) => o.blocksAt)
        .map((o) => o.name)
        .join(', '),
    });
  if (weak > 0)
    work('spread', {
      what: `studs that break, ${weak} of them`,
      minutes: { lo: 0, typ: BROKEN_STUD.typ * weak, hi: BROKEN_STUD.hi * weak, basis: commonPractice },
      why: 'soaked first; a broken one is held, drilled or replaced',
    });
  for (const n of neededFor(state).filter((x) => x.kind !== 'tool' && (x.rule === 'always' || x.rule === 'ifBad'))) {
    const price = answerTo(state, PRICE, n.id);
    const amount = {
      lo: n.rule === 'always' ? n.count : 0,
      typ: n.rule === 'always' ? n.count : 0,
      hi: n.count,
      basis: commonPractice,
    };
    lines.push({
      kind: n.rule === 'always' ? 'part' : 'option',
      what: n.name,
      amount,
      unit: 'pc',
      price:
        price !== undefined
          ? times(n.rule === 'always' ? amount : { ...amount, lo: n.count, typ: n.count }, price)
          : null,
      why: n.why,
    });
  }
  const out = litresToTakeOut({
    vehicle: state.vehicle,
    aboard: state.fuel.aboard,
    limit: 0,
    celsius: fuelCelsius(state),
  }).litres;
  const suspect = state.complaint === 'badFuel';
  const litres = suspect ? out : { ...out, lo: 0, typ: 0 };
  lines.push({
    kind: suspect ? 'disposal' : 'option',
    what: 'fuel to dispose of',
    amount: litres,
    unit: 'L',
    price: times(litres, prices.disposal),
    why: suspect ? 'bad fuel is not put back' : 'only if the sample says so',
  });
  const wait = WAITS[state.complaint];
  if (wait)
    lines.push({
      kind: 'wait',
      what: wait[0],
      amount: estimate(wait[1], commonPractice),
      unit: 'h',
      price: none,
      why: 'uses no hands; the bay or the yard waits',
    });
  const counted = lines.filter((l) => l.kind !== 'option' && l.kind !== 'wait');
  const missing = counted.filter((l) => l.price === null).map((l) => (l.unit === 'h' ? 'price of an hour' : l.what));
  return {
    lines,
    hours: total(lines.filter((l) => l.kind === 'work' || l.kind === 'spread').map((l) => l.amount)),
    sum: missing.length > 0 ? null : counted.reduce((sum, l) => add(sum, l.price!), none),
    missing: [...new Set(missing)],
    currency: prices.currency,
  };
}

const benchWord: Record<Complaint, string> = {
  pump: 'pump or module',
  level: 'level sender',
  leak: 'find and mend the leak',
  rust: 'clean and coat',
  badFuel: 'wash, dry, filter',
  hose: 'hoses and joints',
  biggerTank: 'fit out the other tank',
  fades: 'screens, pick-up, tank inside',
  addedPickup: 'make and fit the pick-up',
  screens: 'clean or change the screens',
};

const two = (value: number): number => Number(value.toFixed(2));
const row = (line: QuoteLine, currency: string) => ({
  kind: line.kind,
  what: line.what,
  unit: line.unit,
  low: two(line.amount.lo),
  likely: two(line.amount.typ),
  high: two(line.amount.hi),
  currency,
  price_low: line.price && line.kind !== 'wait' ? two(line.price.lo) : null,
  price_likely: line.price && line.kind !== 'wait' ? two(line.price.typ) : null,
  price_high: line.price && line.kind !== 'wait' ? two(line.price.hi) : null,
  why: inWords(line.why),
});

/**
 * The quote as CSV (RFC 4180), one line a row; a price that is missing stays empty.
 *
 * @example quoteCsv(quoteOf(state, prices))
 */
export const quoteCsv = (quote: Quote): string => Papa.unparse(quote.lines.map((l) => row(l, quote.currency)));

/**
 * The quote as JSON lines, one object a line.
 *
 * @example quoteJsonLines(quoteOf(state, prices)).split('\n').length // one a line
 */
export const quoteJsonLines = (quote: Quote): string =>
  quote.lines.map((l) => JSON.stringify(row(l, quote.currency))).join('\n') + '\n';

import { neededFor, quoteCsv, quoteJsonLines, quoteOf, roundTo, type Quote, type QuoteLine } from '@iron-cradle/core';
import { format } from 'date-fns';
import { useState } from 'react';
import { useJob } from '../../log/useJob.ts';
import { WithJob } from '../../log/WithJob.tsx';
import { useNames, useShop } from '../../net/queries.ts';
import { Sheet } from '../../ui/Sheet.tsx';
import { Approval } from './Approval.tsx';
import { PriceForm } from './PriceForm.tsx';
import { save } from '../../ui/save.ts';
import { Words } from '../../ui/Words.tsx';

/** The quote for the owner: hours as a range by what drives it, parts, options, litres, waits; printed or as a file. */
export default function QuoteScreen() {
  return (
    <WithJob title="Quote">
      <QuotePage />
    </WithJob>
  );
}

const groups: { kinds: QuoteLine['kind'][]; title: string; hint: string }[] = [
  { kinds: ['work', 'spread'], title: 'Work', hint: 'hours, low to high' },
  { kinds: ['part'], title: 'Parts that are always replaced', hint: '' },
  { kinds: ['option'], title: 'Only if found bad', hint: 'asked before it is done' },
  { kinds: ['disposal'], title: 'Disposal', hint: '' },
  { kinds: ['wait'], title: 'Waits', hint: 'no hands, not charged' },
];

function QuotePage() {
  const { state, number } = useJob();
  const shop = useShop().data;
  const names = useNames();
  const [pricing, setPricing] = useState<string | null>(null);
  const quote = quoteOf(state, shop?.prices ?? { currency: '', hour: null, disposal: null });
  const parts = neededFor(state);
  const file = `quote-${number ?? state.jobId}`;
  const { approval } = state;
  return (
    <main className="mx-auto max-w-4xl pb-10 print:pb-0">
      <div className="no-print grid gap-3 p-4 mid:grid-cols-3 mid:px-8">
        <button type="button" className="btn" onClick={() => window.print()}>
          Print it
        </button>
        <button type="button" className="btn" onClick={() => save(`${file}.csv`, quoteCsv(quote), 'text/csv')}>
          Save as CSV
        </button>
        <button
          type="button"
          className="btn"
          onClick={() => save(`${file}.jsonl`, quoteJsonLines(quote), 'application/jsonl')}
        >
          Save as JSON lines
        </button>
      </div>
      <article className="bg-sheet p-5 mid:p-9">
        <p className="text-quiet">{shop?.name}</p>
        <h1 className="text-32 mid:text-48">{state.name}: fuel tank job</h1>
        <HoursBar quote={quote} />
        {groups.map(({ kinds, title, hint }) => {
          const lines = quote.lines.filter((l) => kinds.includes(l.kind));
          if (lines.length === 0) return null;
          return (
            <section key={title} className="pt-5">
              <h2 className="border-b-2 border-ink pb-1 text-20">
                {title} {hint && <span className="font-normal text-quiet">{hint}</span>}
              </h2>
              <ul className="ruled">
                {lines.map((line) => {
                  const part = parts.find((p) => p.name === line.what);
                  return (
                    <li key={line.what} className="flex flex-wrap items-baseline justify-end gap-x-3 py-2">
                      <span className="min-w-48 flex-1 leading-tight">
                        {line.what}
                        <span className="block text-quiet">
                          <Words of={line.why} />
                        </span>
                      </span>
                      <span className="flex flex-wrap items-baseline justify-end gap-x-3 text-right">
                        <span className="reading min-w-[7rem]">{amount(line)}</span>
                        <span className="reading min-w-[8rem]">
                          {line.kind === 'wait' ? (
                            ''
                          ) : line.price ? (
                            money(line, quote)
                          ) : part && !state.signed ? (
                            <button
                              type="button"
                              className="link no-print min-h-11"
                              onClick={() => setPricing(part.id)}
                            >
                              set a price
                            </button>
                          ) : (
                            'no price'
                          )}
                        </span>
                      </span>
                    </li>
                  );
                })}
              </ul>
            </section>
          );
        })}
        <p
          className="flex flex-wrap items-baseline justify-between gap-x-4 border-t-4 border-ink pt-3 text-24"
          data-sum
        >
          <span className="narrow">Without options</span>
          <span className="reading">
            {quote.sum ? `${roundTo(quote.sum.lo, 5)}–${roundTo(quote.sum.hi, 5)} ${quote.currency}` : 'no sum yet'}
          </span>
        </p>
        {quote.missing.length > 0 && (
          <p className="text-quiet">
            No price yet for {quote.missing.join(', ')}: none is made up. Hours and litres have theirs in the shop’s
            rules.
          </p>
        )}
        <p className="pt-4 text-quiet">
          An estimate: nobody sees the top of a tank before it hangs. What is found bad is asked before it is replaced.
          The service information for the vehicle comes first.
        </p>
        {approval && (
          <p className="border-t border-rule pt-3 font-semibold" data-approval={approval.answer}>
            {{ yes: 'Approved', no: 'Declined', call: 'To be called first' }[approval.answer]}: {approval.who},{' '}
            {approval.how}, {format(new Date(approval.at), 'd MMM yyyy HH:mm')}, written down by {names(approval.by)}.
          </p>
        )}
      </article>
      {!state.signed && <Approval />}
      <Sheet
        open={pricing !== null}
        onClose={() => setPricing(null)}
        title={`Price of ${parts.find((p) => p.id === pricing)?.name ?? ''}`}
        hint="For one piece, in the shop’s currency."
      >
        {pricing && <PriceForm of={pricing} onDone={() => setPricing(null)} />}
      </Sheet>
    </main>
  );
}

const one = (value: number): number => roundTo(value, value < 10 ? 0.1 : 1);
const words = (lo: number, hi: number): string =>
  one(lo) === one(hi) ? `${+one(lo).toFixed(1)}` : `${+one(lo).toFixed(1)}–${+one(hi).toFixed(1)}`;
const amount = ({ amount: a, unit }: QuoteLine): string => `${words(a.lo, a.hi)} ${unit}`;
const money = ({ price }: QuoteLine, quote: Quote): string =>
  `${roundTo(price!.lo, 1) === roundTo(price!.hi, 1) ? roundTo(price!.hi, 1) : `${roundTo(price!.lo, 1)}–${roundTo(price!.hi, 1)}`} ${quote.currency}`;

/** Hours by what drives their spread, one band a line: solid what is certain, hatched what may come. */
function HoursBar({ quote }: { quote: Quote }) {
  const work = quote.lines.filter((l) => l.kind === 'work' || l.kind === 'spread');
  const most = quote.hours.hi;
  return (
    <div className="pt-3">
      <p className="flex items-baseline gap-3">
        <span className="reading text-48 leading-none">{roundTo(quote.hours.typ, 0.5)}</span>
        <span>
          hours likely, {roundTo(quote.hours.lo, 0.5)} to {roundTo(quote.hours.hi, 0.5)}
        </span>
      </p>
      <div className="flex h-9 w-full pt-2" aria-hidden>
        {work.map((l) => (
          <span
            key={l.what}
            className="relative h-full border-2 border-ink"
            style={{ width: `${(l.amount.hi / most) * 100}%`, marginLeft: -2 }}
          >
            <span className="hatched absolute inset-0" />
            <span
              className="absolute inset-y-0 left-0 bg-work"
              style={{ width: `${l.amount.hi > 0 ? (l.amount.lo / l.amount.hi) * 100 : 0}%` }}
            />
          </span>
        ))}
      </div>
    </div>
  );
}

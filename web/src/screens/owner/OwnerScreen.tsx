import {
  agreedSum,
  complaintOf,
  ownersWord,
  proposalWords,
  remedies,
  roundTo,
  worthWhileDown,
  type Proposal,
  type Span,
} from '@iron-cradle/core';
import { format } from 'date-fns';
import { useMemo } from 'react';
import { useJob } from '../../log/useJob.ts';
import { WithJob } from '../../log/WithJob.tsx';
import { Shape } from '../../look/Shapes.tsx';
import { useNames, useShop } from '../../net/queries.ts';
import { useAnswer, type Ask } from '../../workers/useAnswer.ts';
import { Photos } from '../job/Photos.tsx';
import { OwnerAnswers } from './OwnerAnswers.tsx';
import { WhileDownForm } from './WhileDownForm.tsx';

/** A page for the owner, in plain words: what was found, what it would take, what is cheap now and dear later; one list to say yes to. */
export default function OwnerScreen() {
  return (
    <WithJob title="For the owner">
      <OwnerPage />
    </WithJob>
  );
}

function OwnerPage() {
  const { state } = useJob();
  const shop = useShop().data;
  const hour = shop?.prices.hour ?? null;
  const currency = shop?.prices.currency ?? '';
  const ask = useMemo<Ask<Span | null>>(() => (core) => core.anotherDrop(state, hour), [state, hour]);
  const { answer: drop } = useAnswer(ask);
  const listed = state.proposals.filter(({ closed }) => closed?.as !== 'dropped');
  const mend = listed.filter(({ why }) => why === 'mend');
  const more = listed.filter(({ why }) => why === 'whileDown');
  const sum = agreedSum(state);
  return (
    <main className="mx-auto max-w-4xl pb-10 print:pb-0">
      <div className="no-print flex flex-wrap gap-3 p-4 mid:px-8">
        <button type="button" className="btn" onClick={() => window.print()}>
          Print it
        </button>
      </div>
      <article className="bg-sheet p-5 mid:p-9">
        <p className="text-quiet">
          {shop?.name}, {format(new Date(), 'd MMM yyyy')}
        </p>
        <h1 className="text-32 mid:text-48">{state.name}: your word is needed</h1>
        <p className="pt-3 text-20">
          It came for {complaintOf(state.complaint).name.toLowerCase()}. The tank is{' '}
          {state.out ? 'out and lies on the bench' : 'still on the vehicle'}. Nothing on this page is done before you
          say yes to it.
        </p>
        <Part
          title="What we found, and what it takes"
          empty="Nothing that needs your word so far."
          list={mend}
          currency={currency}
        />
        <Part
          title="While it is out"
          hint={
            drop
              ? `To take this tank out once more would take ${roundTo(drop.lo, 5)} to ${roundTo(drop.hi, 5)} ${currency} of work alone.`
              : 'The shop has set no price of an hour: what another drop costs can’t be said.'
          }
          empty="Nothing that would pay."
          list={more}
          currency={currency}
        />
        {listed.some((proposal) => ownersWord(proposal)?.answer === 'yes') && (
          <p className="flex items-baseline justify-between gap-4 border-t-4 border-ink pt-3 text-24" data-agreed>
            <span className="narrow">Agreed so far</span>
            <span className="reading">{sum === null ? 'no sum: a price is missing' : `${money(sum)} ${currency}`}</span>
          </p>
        )}
        <p className="pt-4 text-quiet">
          Prices are for the parts and work named, beside what was agreed before. A fuel system is judged by what was
          seen; the service information for the vehicle comes first.
        </p>
      </article>
      {!state.signed && (
        <div className="no-print grid gap-8 p-5 mid:p-9">
          <WhileDownForm drop={drop} />
          <OwnerAnswers />
        </div>
      )}
    </main>
  );
}

const money = (value: number): string => (Number.isInteger(value) ? `${value}` : value.toFixed(2));

interface PartProps {
  title: string;
  hint?: string;
  empty: string;
  list: readonly Proposal[];
  currency: string;
}

function Part({ title, hint, empty, list, currency }: PartProps) {
  return (
    <section className="pt-6">
      <h2 className="border-b-2 border-ink pb-1 text-24">{title}</h2>
      {hint && <p className="pt-2 text-quiet">{hint}</p>}
      {list.length === 0 && <p className="py-3 text-quiet">{empty}</p>}
      <ul className="ruled">
        {list.map((proposal) => (
          <Line key={proposal.id} proposal={proposal} currency={currency} />
        ))}
      </ul>
    </section>
  );
}

function Line({ proposal, currency }: { proposal: Proposal; currency: string }) {
  const { state } = useJob();
  const names = useNames();
  const { price, remedy, drop, minutes, where } = proposal;
  const word = ownersWord(proposal);
  const worth = proposal.why === 'whileDown' ? worthWhileDown(price, drop) : null;
  const found = state.findings.findLast((f) => f.what === proposal.what && f.where === where);
  return (
    <li className="grid gap-1 py-3" data-proposal={proposal.id}>
      <p className="flex items-start gap-3">
        {found && <Shape outcome={found.verdict} size={24} />}
        <span className="narrow min-w-0 flex-1 text-24 leading-tight">{proposalWords(proposal)}</span>
        <span className="reading shrink-0 text-20">
          {price === null ? 'price to come' : `${money(price)} ${currency}`}
        </span>
      </p>
      {worth && <p>{worth.text}.</p>}
      {(minutes !== null || remedy) && (
        <p className="text-quiet">
          {minutes !== null ? `About ${minutes} minutes of work` : ''}
          {remedy && remedies[remedy].wait ? `${minutes !== null ? ', then ' : ''}${remedies[remedy].wait!.what}` : ''}
        </p>
      )}
      {where && <Photos about={`place:${where}`} most={3} />}
      {word && (
        <p className="font-semibold" data-answer={word.answer}>
          {word.answer === 'yes' ? 'Yes' : 'No'}: {word.who}, {word.how}, {format(new Date(word.at), 'd MMM HH:mm')};
          written down by {names(word.by)}.
        </p>
      )}
      {proposal.closed?.as === 'done' && <p className="font-semibold">Done.</p>}
    </li>
  );
}

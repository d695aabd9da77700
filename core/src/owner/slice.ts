import { sum } from 'simple-statistics';
import { remedies, type RemedyId } from '../condition/index.ts';
import { defineSlice, type Debt, type RecordLine, type Stamp } from '../kernel/index.ts';

/** What the owner said of a proposal. */
export interface OwnersWord extends Stamp {
  /** Yes or no. */
  answer: 'yes' | 'no';
  /** Who said it. */
  who: string;
  /** How. */
  how: string;
}

/** Something the owner is asked about. */
export interface Proposal extends Stamp {
  /** To mend what was found, or cheap now and dear later. */
  why: 'mend' | 'whileDown';
  /** What was found, or what would be done. */
  what: string;
  /** Where; null: nowhere in particular. */
  where: string | null;
  /** What would be done about it; null: nobody said. */
  remedy: RemedyId | null;
  /** In the shop’s currency; null: no price yet. */
  price: number | null;
  /** Minutes of hands; null: nobody said. */
  minutes: number | null;
  /** What another drop costs, as its maker knew. */
  drop: { lo: number; hi: number } | null;
  /** Words of the owner about it that no other’s maker knew: one, but where two devices heard the owner. */
  said: readonly OwnersWord[];
  /** It is done, or off the list. */
  closed: (Stamp & { as: 'done' | 'dropped'; note: string | null }) | null;
}

/** What the owner is asked and said. */
export interface OwnerSlice {
  /** Oldest first. */
  proposals: readonly Proposal[];
}

/** A proposal in words. @example proposalWords(proposal) // 'straps, thinned in layers: replace it' */
export const proposalWords = ({ what, where, remedy }: Pick<Proposal, 'what' | 'where' | 'remedy'>): string =>
  `${where ? `${where}, ` : ''}${what}${remedy ? `: ${remedies[remedy].name.toLowerCase()}` : ''}`;

/**
 * What the owner said last; of words that knew nothing of one another a no counts: nobody does what the owner may not want.
 *
 * @example ownersWord(proposal)?.answer // 'yes'
 */
export const ownersWord = ({ said }: Pick<Proposal, 'said'>): OwnersWord | null =>
  said.find(({ answer }) => answer === 'no') ?? said[0] ?? null;

/** Proposals nobody answered yet. @example unanswered(state).length // 2 */
export const unanswered = ({ proposals }: OwnerSlice): Proposal[] =>
  proposals.filter((proposal) => !proposal.closed && proposal.said.length === 0);

/** What the owner agreed to and nobody has done. @example agreed(state).map(proposalWords) */
export const agreed = ({ proposals }: OwnerSlice): Proposal[] =>
  proposals.filter((proposal) => !proposal.closed && ownersWord(proposal)?.answer === 'yes');

/**
 * What all that has a yes comes to, done or not, in the shop’s currency; null while one of them has no price.
 *
 * @example agreedSum(state) // 114
 */
export function agreedSum({ proposals }: OwnerSlice): number | null {
  const yes = proposals.filter((one) => one.closed?.as !== 'dropped' && ownersWord(one)?.answer === 'yes');
  return yes.some(({ price }) => price === null) ? null : sum(yes.map(({ price }) => price ?? 0));
}

/** What was agreed is owed until it is done; what was asked is owed an answer. */
export const ownerSlice = defineSlice<OwnerSlice>({
  name: 'owner',
  start: () => ({ proposals: [] }),
  owes: (state): Debt[] => [
    ...unanswered(state).map((proposal) => ({
      id: `owner:${proposal.id}`,
      key: 'owner',
      text: `${proposalWords(proposal)}: the owner has not answered`,
    })),
    ...agreed(state).map((proposal) => ({
      id: `agreed:${proposal.id}`,
      key: 'owner',
      text: `${proposalWords(proposal)}: agreed, not done`,
    })),
  ],
  record: ({ proposals }) =>
    proposals
      .filter(({ closed, said }) => said.length > 0 || closed?.as === 'done')
      .map((proposal): RecordLine => {
        const word = ownersWord(proposal);
        const { closed } = proposal;
        const told = word
          ? `${word.answer === 'yes' ? 'agreed' : 'declined'} by ${word.who}, ${word.how}`
          : 'not asked';
        return {
          under: 'bench',
          text: `${proposalWords(proposal)}: ${told}${closed ? `; ${closed.as === 'done' ? 'done' : 'off the list'}${closed.note ? `, ${closed.note}` : ''}` : ''}`,
          by: closed?.by ?? word?.by ?? proposal.by,
          at: closed?.at ?? word?.at ?? proposal.at,
        };
      }),
});

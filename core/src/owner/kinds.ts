import { castDraft } from 'immer';
import { remedies } from '../condition/index.ts';
import { InputError } from '../errors/index.ts';
import { defineKind, standing } from '../kernel/index.ts';
import { OwnerSaidBody, ProposalClosedBody, ProposedBody } from './bodies.ts';
import { proposalWords, type OwnersWord, type OwnerSlice } from './slice.ts';

/** Something goes on the list the owner is asked about. */
export const proposed = defineKind<'proposed', ProposedBody, OwnerSlice>({
  kind: 'proposed',
  version: 1,
  Body: ProposedBody,
  check: ({ dropLo, dropHi }) => {
    if ((dropLo === undefined) !== (dropHi === undefined) || (dropLo ?? 0) > (dropHi ?? 0))
      throw new InputError('body.dropLo', String(dropLo), 'least and most of what another drop costs, least first');
  },
  apply: (own, { why, what, where, remedy, price, minutes, dropLo, dropHi }, { moment: { id, by, at } }) =>
    void own.proposals.push(
      castDraft({
        id,
        by,
        at,
        why,
        what,
        where: where ?? null,
        remedy: remedy ?? null,
        price: price ?? null,
        minutes: minutes ?? null,
        drop: dropLo === undefined || dropHi === undefined ? null : { lo: dropLo, hi: dropHi },
        said: [],
        closed: null,
      }),
    ),
  touches: (_, id) => ({ reads: [], writes: [`proposal:${id}`] }),
  words: ({ what, where, remedy }) =>
    `asked of the owner: ${proposalWords({ what, where: where ?? null, remedy: remedy ?? null })}`,
  arbitrary: (f) =>
    f.record({
      why: f.constantFrom('mend' as const, 'whileDown' as const),
      what: f.constantFrom('surface rust', 'new seal'),
      where: f.constant('straps'),
      remedy: f.constantFrom('coat' as const, 'replace' as const),
    }),
});

/** The owner answered. */
export const ownerSaid = defineKind<'ownerSaid', OwnerSaidBody, OwnerSlice>({
  kind: 'ownerSaid',
  version: 1,
  Body: OwnerSaidBody,
  check: ({ yes, no }) => {
    if (yes.length + no.length === 0) throw new InputError('body.yes', '', 'a yes or a no to something');
    const both = yes.find((id) => no.includes(id));
    if (both !== undefined) throw new InputError('body.no', both, 'yes or no to one thing, not both');
  },
  apply: (own, { yes, no, who, how }, { moment: { id, by, at, knew } }) => {
    for (const [list, answer] of [
      [yes, 'yes'],
      [no, 'no'],
    ] as const)
      for (const proposal of own.proposals)
        if (list.includes(proposal.id)) {
          const word: OwnersWord = { id, by, at, who, how, answer };
          proposal.said = standing(proposal.said, word, knew);
        }
  },
  touches: ({ yes, no }) => ({ reads: [], writes: [...yes, ...no].map((id) => `proposal:${id}`) }),
  words: ({ yes, no, who }) => `${who}: ${yes.length} yes, ${no.length} no`,
  arbitrary: (f) => f.constant({ yes: ['e1'], no: ['e2'], who: 'the owner', how: 'by telephone' }),
});

/** What was agreed is done, or is off the list. */
export const proposalClosed = defineKind<'proposalClosed', ProposalClosedBody, OwnerSlice>({
  kind: 'proposalClosed',
  version: 1,
  Body: ProposalClosedBody,
  apply: (own, { proposal: which, as, note }, { moment: { id, by, at, knew }, tell }) => {
    const proposal = own.proposals.find((one) => one.id === which);
    if (!proposal) return;
    // Of two that knew nothing of each other what is done is done.
    const { closed } = proposal;
    if (closed && !knew(closed.id) && (closed.as === 'done' || as === 'dropped')) return;
    proposal.closed = { id, by, at, as, note: note ?? null };
    if (as === 'done' && proposal.why === 'mend' && proposal.where !== null)
      tell('mended', {
        what: proposal.what,
        where: proposal.where,
        how: note ?? (proposal.remedy ? remedies[proposal.remedy].done : 'done as agreed'),
      });
  },
  touches: ({ proposal }) => ({ reads: [], writes: [`proposal:${proposal}`] }),
  words: ({ as }) => (as === 'done' ? 'done as agreed' : 'off the owner’s list'),
  arbitrary: (f) =>
    f.record({ proposal: f.constantFrom('e1', 'e2'), as: f.constantFrom('done' as const, 'dropped' as const) }),
});

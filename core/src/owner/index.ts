export { ownerSaid, proposalClosed, proposed } from './kinds.ts';
export {
  agreed,
  agreedSum,
  ownerSlice,
  ownersWord,
  proposalWords,
  unanswered,
  type OwnerSlice,
  type OwnersWord,
  type Proposal,
} from './slice.ts';
export { worthWhileDown, type Worth } from './worth.ts';

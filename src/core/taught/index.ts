/** What own tests say of the figures of an ingredient, and what accepting it would move. */
export { taught, type Taught, type TaughtTerms, type TaughtTest } from './taught';
export { proposalOf, whatMoved, withProposal, type Moved, type Proposal } from './proposal';

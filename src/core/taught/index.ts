/** What own tests say of the figures of an ingredient, and what accepting it would move. */
export { taught, type Taught, type TaughtTerms, type TaughtTest } from './taught';
export { proposalOf, proposalEffects, withProposal, type ProposalEffect, type Proposal } from './proposal';

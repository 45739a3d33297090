/** What people read in trim. */

// trim-nav.tsx
export const whereTrimGoes = 'Where trim goes';
export const whoPays = 'Who pays';
export const trimming = 'Trimming';

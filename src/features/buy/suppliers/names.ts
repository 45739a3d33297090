/** What is said where a supplier has no name, or one that another has. */
export const SUPPLIER_NAMED = {
  none: 'Who sells it?',
  twice: (twin: string) => `“${twin}” sells here already: choose that one, or choose another name.`,
};

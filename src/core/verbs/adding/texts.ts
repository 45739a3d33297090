/** What people read in core/verbs/adding. */
export const needsAmountAndName = (verb: string, typed: string): string =>
  `“${verb} with ${typed}” needs an amount and a name, such as “${verb} with 80 g butter”.`;

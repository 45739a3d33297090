import * as texts from './texts';
/** What is said where a supplier has no name, or one that another has. */
export const SUPPLIER_NAMED = {
  none: texts.whoSells,
  twice: (twin: string) => texts.sellsHereAlreadyChoose(twin),
};

import * as texts from './texts';
/** The stations in the order of the work, each with the question it answers and its key. */
export const STATIONS = [
  { id: 'buy', name: 'Buy', key: 'b', open: true },
  { id: 'trim', name: 'Trim', key: 't', open: true },
  { id: 'pot', name: 'Pot', key: 'p', open: true },
  { id: 'pour', name: 'Pour', key: 'o', open: true },
  { id: 'weigh', name: texts.weighUp, key: 'w', open: true },
  { id: 'week', name: 'Week', key: 'e', open: false },
  { id: 'stove', name: 'Stove', key: 's', open: true },
  { id: 'store', name: 'Store', key: 'r', open: false },
  { id: 'books', name: 'Books', key: 'k', open: false },
] as const;

/** What steps are said in: names, amounts, forms; read into the written form and written back, by a table of verbs. */
export { lineOfWith, readStepWith } from './read';
export { writeStepWith } from './write';
export { type Rule, type SaidTable, type SaidVerb } from './verb';
export { findMatter, findNamed, type Namer, type Names } from './names';
export { amountAndName } from './amount';
export { at } from './match';
export { plain } from './quotes';

/** What steps are said in: names, amounts, forms; read into the written form and written back, by a table of verbs. */
export { readStepWith } from './read';
export { writeStepWith } from './write';
export { type Rule, type SaidTable, type SaidVerb } from './verb';
export { asks, isAsking, meaningsOf, tokensOf, type Asks, type Form } from './forms';
export { findMatter, findNamed, inSentence, type Namer, type Names } from './names';
export { amountAndName } from './amount';
export { matchAt } from './match';
export { amountSaid } from './slots';
export { plain } from './quotes';
export { whichSaid, whichWords, type WhichSaid } from './which';

/** A supplier's price list: which column is what, what each row says, and what would change. */
export { guessColumns, placesOf, type ColumnKey, type ListColumns, type Places } from './columns';
export { listMark, readRow, type ListRow } from './rows';
export { matcher, type Known, type Match } from './match';
export { judge, VERDICTS, type Current, type Judged, type Verdict } from './judge';

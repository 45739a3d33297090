/** A supplier's price list: which column is what, what each row says, and what would change. */
export { guessColumns, placesOf, type ColumnKey, type ListColumns, type Places } from './columns';
export { listMark, readRow, type ListRow } from './rows';
export { matcher, type KnownArticle, type Match } from './match';
export { judgeRow, VERDICTS, type Current, type JudgedRow, type Verdict } from './judge';

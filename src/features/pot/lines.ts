/** Marks that people put before the lines of a list: bullets, dashes, boxes, “1.” and “2)”. */
const MARK = /^(?:[-–—•*·▪☐✓]+\s+|\(?\d{1,2}[.)]\s+)/u;

/** The lines of a text that was pasted out of a message or a file: one step each, without the marks of a list. */
export const linesIn = (text: string): string[] =>
  text
    .split(/\r\n|\r|\n/)
    .map((line) => line.replace(/\s+/gu, ' ').trim().replace(MARK, '').trim())
    .filter((line) => line !== '');

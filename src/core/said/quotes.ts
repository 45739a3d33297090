/**
 * Names in quotes. A line's forms are told by words such as “on” and “as”, and a pan may be called “Pan on the left”. What stands
 * in quotes is lifted out of the way of every form, character by character into a plane of Unicode that nobody types in, and put
 * back when the name is looked up.
 */
const PLANE = 0xf0000;
const LIFTED = /[\u{F0000}-\u{FFFFF}]/gu;

const lift = (name: string): string =>
  [...Array(name.length).keys()].map((i) => String.fromCodePoint(PLANE + name.charCodeAt(i))).join('');

/** A name in quotes, as it is written; quotes inside are doubled. */
export const quoted = (name: string): string => `“${name.replaceAll('”', '””')}”`;

/** A line with everything in quotes lifted out of the way. Straight quotes do as well. */
export const lifted = (line: string): string =>
  line.replace(/“((?:[^”]|””)*)”|"([^"]*)"/g, (_, curly?: string, straight?: string) =>
    lift(curly?.replaceAll('””', '”') ?? straight ?? ''),
  );

/** A text with what was lifted put back. */
export const plain = (text: string): string =>
  text.replace(LIFTED, (c) => String.fromCharCode((c.codePointAt(0) as number) - PLANE));

/** Whether all of a text stood in quotes: then it is a name and nothing else. */
export const isQuoted = (text: string): boolean => text !== '' && text.trim().replace(LIFTED, '') === '';

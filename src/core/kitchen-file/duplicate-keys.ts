import { visit } from 'jsonc-parser';
import { refuse, type Trouble } from '../trouble';
import * as texts from './texts';

/** How many are told. */
const MOST = 20;

/**
 * Keys that stand twice in one object of a JSON text: only the last would be read, and nobody would know which. Each with its line
 * and what it stands in.
 */
export function duplicateKeys(text: string): Trouble[] {
  const found: Trouble[] = [];
  const open: Set<string>[] = [];
  visit(text, {
    onObjectBegin: () => void open.push(new Set()),
    onObjectEnd: () => void open.pop(),
    onObjectProperty(key, _offset, _length, line, _character, path) {
      const keys = open[open.length - 1];
      if (keys?.has(key) && found.length < MOST)
        found.push(
          refuse(
            'key-twice',
            [...path(), key].reduce<string>(
              (said, k) => (typeof k === 'number' ? `${said}[${k}]` : said === '' ? k : `${said}.${k}`),
              '',
            ),
            texts.twiceSecondTimeLine(line + 1),
            { value: 2, limit: 1 },
          ).trouble,
        );
      keys?.add(key);
    },
  });
  return found;
}

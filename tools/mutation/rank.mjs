import { createHash } from 'node:crypto';

/**
 * Where a planted mistake stands in the draw of a seed: the lowest are tried. Made of its place and kind alone, so that a file
 * nobody has touched keeps its draw.
 */
export function rankOf(seed, fileName, { start, end }, mutatorName, replacement) {
  const place = [start.line, start.column, end.line, end.column].join(':');
  const said = [seed, fileName.replace(/^(?:.*\/)?src\//, ''), place, mutatorName, replacement ?? ''];
  return createHash('sha256').update(said.join('|')).digest('hex');
}

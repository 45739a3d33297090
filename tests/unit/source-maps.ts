import fs from 'node:fs';
import type { SyncTransformer } from '@jest/transform';

/** Passes a bundle on as it is, with its map, so that a failure names the line of the source. */
const sourceMaps: SyncTransformer = {
  process(code, file) {
    const map = `${file}.map`;
    return fs.existsSync(map) ? { code, map: fs.readFileSync(map, 'utf8') } : { code };
  },
  getCacheKey: (code, file) => `${file}-${code.length}-${fs.statSync(file).mtimeMs}`,
};
export default sourceMaps;

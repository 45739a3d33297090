import { namesIn } from '../../kitchen-file';
import { demoKitchen } from '../../testing/demo';
import { MODEL_LINES } from '../model-lines';
import { readStep } from '../understand';

const file = demoKitchen();
const names = namesIn(file);
const filled = (line: string): string =>
  line.replace('<matter>', 'butter').replace('<vessel>', file.vessels[0]?.name ?? '');

describe('every verb as it is usually said is understood, and means that verb', () => {
  test.each(Object.entries(MODEL_LINES))('%s', (verb, lines) => {
    expect(lines.length).toBeGreaterThan(0);
    for (const line of lines) {
      const read = readStep(filled(line), names);
      expect([line, read.ok ? read.value.do : read.trouble.message]).toEqual([line, verb]);
    }
  });
});

import demo from '../../../demo/kestrel-weir.json';
import { costKitchen, type KitchenCosting } from '../costing';
import { readKitchen, type KitchenFile } from '../kitchen-file';
import { historyFrom, ownConstants, stateFrom, type KitchenState } from '../kitchen-state';
import type { ProcessConstants } from '../pot';
import { CONSTANTS } from '../reference';

let demoFile: KitchenFile | undefined;

/** The demo kitchen, read through the same door as anyone's; a copy of one's own each time. */
export function demoKitchen(): KitchenFile {
  if (!demoFile) {
    const read = readKitchen(structuredClone(demo));
    if (!read.ok) throw new Error(read.mistakes.map((m) => `${m.path}: ${m.message}`).join('\n'));
    demoFile = read.file;
  }
  return structuredClone(demoFile);
}

/** The demo kitchen costed on its day, and the constants that it uses. */
export function costedDemo(): {
  readonly file: KitchenFile;
  readonly state: KitchenState;
  readonly costing: KitchenCosting;
  readonly c: ProcessConstants;
} {
  const file = demoKitchen();
  const state = stateFrom(file);
  const costing = costKitchen(state, file.referenceDay, CONSTANTS, historyFrom(file, file.referenceDay));
  return { file, state, costing, c: ownConstants(state.kitchen, CONSTANTS) };
}

import demo from '../../../demo/kestrel-weir.json';
import { readKitchen, type KitchenFile } from '../kitchen-file';

/** The demo kitchen, read through the same door as anyone's; a fresh copy each time. */
export function demoKitchen(): KitchenFile {
  const read = readKitchen(structuredClone(demo));
  if (!read.ok) throw new Error(read.mistakes.map((m) => `${m.path}: ${m.message}`).join('\n'));
  return read.file;
}

import { runningOf } from '@/core/batch';
import { costFile, type KitchenCosting } from '@/core/costing';
import { CONSTANTS } from '@/core/reference';
import { readBatches } from '../src/db/cooking/batches';
import { readKitchenFrom } from '../src/db/kitchen/read-kitchen';
import { openPool } from '../src/db/sql';
import type { OnHob } from '../stand-ins/probe';

/** ms after which the kitchen's things are read again: what is on is read every time. */
const FRESH_MS = 30_000;

/** The pots that are on in a kitchen, for a probe that follows them; and an end of the looking. */
export function potsOn(
  databaseUrl: string,
  kitchenId: string,
  day: string,
): { readonly pots: () => Promise<OnHob[]>; readonly end: () => Promise<void> } {
  const pool = openPool(databaseUrl);
  let known: { readonly at: number; readonly costing: KitchenCosting } | undefined;
  const things = async (): Promise<KitchenCosting> => {
    if (known && Date.now() - known.at < FRESH_MS) return known.costing;
    const { file } = await readKitchenFrom(pool, kitchenId);
    known = { at: Date.now(), costing: costFile(file, day, CONSTANTS) };
    return known.costing;
  };
  return {
    async pots() {
      const { shelf } = await things();
      return (await readBatches(pool, kitchenId, { are: 'running' })).flatMap((b) => {
        const running = runningOf(b, shelf);
        return running ? [{ id: b.id, name: b.name, running }] : [];
      });
    },
    end: () => pool.end(),
  };
}

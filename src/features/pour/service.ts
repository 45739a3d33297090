import 'server-only';
import { tryResolve } from '@/core/costing';
import { readPrice } from '@/core/larder';
import { refuse, under } from '@/core/trouble';
import { mannerIn, type WrittenPlate } from '@/core/kitchen-file';
import { recordChange } from '@/db/changes';
import { writePlate } from '@/db/edits';
import { now } from '@/server/clock';
import { costedKitchen } from '@/server/kitchen';
import { edit, mustBeFresh, Refused, type Edited } from '@/server/write';

/** What of a plate can be typed over: what stands on it in which amounts, and its price on the menu. */
export interface PlateEdit {
  readonly id: string;
  readonly amounts: readonly string[];
  readonly menuPrice: string;
}

/** Keeps a plate's amounts and menu price; refuses an amount that cannot be weighed and a price in words. */
export function keepPlate(wanted: PlateEdit, seen: number): Promise<Edited<number>> {
  return edit('manager', async (sql, who) => {
    const { costing } = await costedKitchen(who.kitchenId);
    const { file, shelf } = costing;
    const before = file.plates.find((p) => p.id === wanted.id);
    if (before?.lines.length !== wanted.amounts.length)
      throw new Refused(
        refuse('gone', '', 'This plate is no longer as it was on the screen: load it again.').trouble,
      );
    const lines = before.lines.map((line, i) => ({ ...line, amount: wanted.amounts[i] as string }));
    for (const [i, line] of lines.entries()) {
      const read = tryResolve({ do: 'add', ...line }, shelf);
      if (!read.ok && read.trouble.code !== 'no-product')
        throw new Refused(under(`lines[${i}]`, read.trouble));
    }
    const price =
      wanted.menuPrice.trim() === '' ? undefined : readPrice(wanted.menuPrice, file.kitchen.decimalMark);
    if (price && !price.ok) throw new Refused(under('menuPrice', price.trouble));
    await mustBeFresh(sql, who, 'plate', before.id, seen, () => Promise.resolve(before));
    const after: WrittenPlate = {
      ...before,
      lines,
      menuPrice: price?.value.toFixed(Math.max(2, price.value.decimalPlaces())),
    };
    await writePlate(sql, who.kitchenId, after, mannerIn(file));
    await recordChange(sql, {
      kitchenId: who.kitchenId,
      personId: who.person.id,
      at: now(),
      what: 'plate',
      subjectId: before.id,
      before,
      after,
    });
    return seen + 1;
  });
}

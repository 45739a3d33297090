import 'server-only';
import type { KitchenState } from '@/core/kitchen-state';
import { readPct } from '@/core/larder';
import { refuse } from '@/core/trouble';
import { setSettings, type KitchenSettings } from '@/db/kitchen-settings';
import { declare, Refused } from '@/server/door';
import { markOf } from './mark';
import { SETTINGS } from './wire';

function share(typed: string, path: string, mark: '.' | ','): number | null {
  if (typed.trim() === '') return null;
  const read = readPct(typed, mark);
  if (!read.ok)
    throw new Refused({ ...read.trouble, message: read.trouble.message.replace('yield', 'share'), path });
  if (!(read.value >= 0 && read.value <= 100))
    throw new Refused(
      refuse('share-out-of-range', path, `${read.value} % cannot be: from 0 to 100 %.`, {
        value: read.value,
        limit: read.value > 100 ? 100 : 0,
      }).trouble,
    );
  return read.value;
}

/** What stands in a kitchen's row of its own settings. */
export const settingsOf = (kitchen: KitchenState['kitchen']): KitchenSettings => ({
  name: kitchen.name,
  currency: kitchen.currency,
  zone: kitchen.zone,
  locale: kitchen.locale,
  decimalMark: kitchen.decimalMark,
  usualTaxPct: kitchen.usualTaxPct ?? null,
  usualTargetPct: kitchen.usualTargetPct ?? null,
  cooksMayChange: kitchen.cooksMayChange ?? false,
});

/** What the kitchen is called, counts in and begins plates with. Amounts and prices stay the figures they are. */
const settings = declare({
  wire: SETTINGS,
  role: 'manager',
  moves: 'costs',
  changes: { table: 'kitchen', id: (_body, who) => who.kitchenId, theirs: () => Promise.resolve(undefined) },
  async look({ name, currency, zone, locale, tax, target, cooks }, { state }) {
    const { kitchen } = await state();
    const after: KitchenSettings = {
      name,
      currency,
      zone,
      locale,
      // How figures are typed follows how they are written only where that is another now.
      decimalMark: locale === kitchen.locale ? kitchen.decimalMark : markOf(locale),
      usualTaxPct: share(tax, 'tax', kitchen.decimalMark),
      usualTargetPct: share(target, 'target', kitchen.decimalMark),
      cooksMayChange: cooks === 'recipes and prices',
    };
    return { before: settingsOf(kitchen), after };
  },
  async write({ sql, kitchenId }, _body, { before, after }) {
    await setSettings(sql, kitchenId, after);
    return { value: null, what: 'settings', subject: kitchenId, before, after };
  },
});

export const commands = [settings];

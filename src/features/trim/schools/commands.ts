import 'server-only';
import { priceText, readPrice } from '@/core/larder';
import { priceAfterTrim } from '@/core/knife';
import type { DecimalMark } from '@/core/quantity';
import { under } from '@/core/trouble';
import { setKitchenTrim } from '@/db/buying/larder-edits';
import { Refused, declare, refused } from '@/server/door';
import { schoolRows } from './queries';
import { trimmingTyped } from './typed';
import { TRIMMING } from './wire';
import * as texts from './texts';

function priceTyped(typed: string, field: string, mark: DecimalMark): string {
  const read = readPrice(typed, mark);
  if (!read.ok) throw new Refused(under(field, read.trouble));
  return priceText(read.value);
}
const maybePrice = (typed: string, field: string, mark: DecimalMark): string | null =>
  typed.trim() === '' ? null : priceTyped(typed, field, mark);

function scaleAt(typed: string): string | null {
  const text = typed.trim();
  if (text === '') return null;
  const url = text.length <= 300 && URL.canParse(text) ? new URL(text) : undefined;
  if (url && /^https?:$/.test(url.protocol)) return url.href;
  throw refused('bad-address', 'scale', texts.notAddressScaleShould(text.slice(0, 60)));
}

/** Sets the kitchen's school and the rest of how it trims; refused where some ingredient cannot bear it, naming it. */
const setTrimming = declare({
  wire: TRIMMING,
  role: 'manager',
  moves: 'costs',
  async look(wanted, { costed }) {
    const { costing } = await costed();
    const { kitchen } = costing.state;
    const mark = kitchen.decimalMark;
    const after = {
      school: wanted.school,
      setValuePerKg: priceTyped(wanted.setValue, 'setValue', mark),
      wagePerHour: maybePrice(wanted.wage, 'wage', mark),
      electricityPerKwh: maybePrice(wanted.electricity, 'electricity', mark),
      gasPerKwh: maybePrice(wanted.gas, 'gas', mark),
      learning: wanted.learning,
      scale: scaleAt(wanted.scale),
    };
    for (const row of schoolRows(costing)) {
      const knife = {
        ...row.knife,
        school: row.own ?? wanted.school,
        setValuePerKg: Number(row.ownValue ?? after.setValuePerKg),
      };
      const { trouble } = priceAfterTrim(knife, row.perKg, row.usable, row.stockTrim);
      if (trouble) throw new Refused({ ...trouble, message: texts.cannotBear(row.name, trouble.message) });
    }
    const before: typeof after = {
      school: kitchen.trim.school,
      setValuePerKg: kitchen.trim.setValuePerKg,
      wagePerHour: kitchen.wagePerHour ?? null,
      electricityPerKwh: kitchen.energyPerKwh.electricity ?? null,
      gasPerKwh: kitchen.energyPerKwh.gas ?? null,
      learning: kitchen.learning,
      scale: kitchen.scale ?? null,
    };
    return { before, after };
  },
  changes: {
    table: 'kitchen',
    id: (_body, who) => who.kitchenId,
    theirs: async (_body, { state }) => trimmingTyped((await state()).kitchen),
  },
  async write({ sql, kitchenId }, _body, { before, after }) {
    await setKitchenTrim(sql, kitchenId, after);
    return { value: null, what: 'trimming', subject: kitchenId, before, after };
  },
});

export const commands = [setTrimming];

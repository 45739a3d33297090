import 'server-only';
import { afterTheKnife } from '@/core/costing';
import { readPrice, type TrimSchool } from '@/core/larder';
import { refuse, under } from '@/core/trouble';
import { recordChange } from '@/db/changes';
import { setKitchenTrim } from '@/db/larder-edits';
import { now } from '@/server/clock';
import { costedKitchen } from '@/server/kitchen';
import { edit, Refused, type Edited } from '@/server/write';
import { schoolRows } from './queries';

/** How the kitchen trims and learns, as typed. */
export interface TrimmingWanted {
  readonly school: TrimSchool;
  readonly setValue: string;
  /** An hour of hands; empty where it is not counted. */
  readonly wage: string;
  /** A kWh of each fuel; empty where energy is not counted. */
  readonly electricity: string;
  readonly gas: string;
  readonly learning: 'ask' | 'at once';
  /** Where the bench scale answers; empty where there is none. */
  readonly scale: string;
}

/** Sets the kitchen's school and the rest of how it trims; refused where some ingredient cannot bear it, naming it. */
export function setTrimming(seen: number, wanted: TrimmingWanted): Promise<Edited<number>> {
  return edit('manager', async (sql, who) => {
    const { costing } = await costedKitchen(who.kitchenId);
    const { kitchen } = costing.file;
    const setValue = readPrice(wanted.setValue, kitchen.decimalMark);
    if (!setValue.ok) throw new Refused(under('setValue', setValue.trouble));
    const maybe = (typed: string, field: string): string | null => {
      if (typed.trim() === '') return null;
      const read = readPrice(typed, kitchen.decimalMark);
      if (!read.ok) throw new Refused(under(field, read.trouble));
      return priceText(read.value);
    };
    const wage = maybe(wanted.wage, 'wage');
    const electricity = maybe(wanted.electricity, 'electricity');
    const gas = maybe(wanted.gas, 'gas');
    const scale = wanted.scale.trim() === '' ? null : scaleAt(wanted.scale.trim());
    for (const row of schoolRows(costing)) {
      const knife = {
        ...row.knife,
        school: row.own ?? wanted.school,
        setValuePerKg: Number(row.ownValue ?? setValue.value),
      };
      const { trouble } = afterTheKnife(knife, row.perKg, row.usable, row.stockTrim);
      if (trouble)
        throw new Refused({ ...trouble, message: `${row.name} cannot bear it. ${trouble.message}` });
    }
    const after = {
      school: wanted.school,
      setValuePerKg: priceText(setValue.value),
      wagePerHour: wage,
      electricityPerKwh: electricity,
      gasPerKwh: gas,
      learning: wanted.learning,
      scale,
    };
    if (!(await setKitchenTrim(sql, who.kitchenId, after, seen)))
      throw new Refused(
        refuse(
          'stale',
          '',
          'Somebody changed how the kitchen trims while you were at it. Load the page again to see theirs.',
        ).trouble,
      );
    await recordChange(sql, {
      kitchenId: who.kitchenId,
      personId: who.person.id,
      at: now(),
      what: 'trimming',
      subjectId: who.kitchenId,
      before: {
        trim: kitchen.trim,
        wage: kitchen.wagePerHour,
        energy: kitchen.energyPerKwh,
        learning: kitchen.learning,
        scale: kitchen.scale,
      },
      after,
    });
    return seen + 1;
  });
}

/** A price as the file writes it: at least two decimals. */
const priceText = (price: { toFixed(places: number): string; decimalPlaces(): number }): string =>
  price.toFixed(Math.max(2, price.decimalPlaces()));

function scaleAt(typed: string): string {
  const wrong = (): Refused =>
    new Refused(
      refuse(
        'bad-address',
        'scale',
        `“${typed.slice(0, 60)}” is no address of a scale: it should look like http://127.0.0.1:4191/.`,
      ).trouble,
    );
  if (typed.length > 300 || !URL.canParse(typed)) throw wrong();
  const url = new URL(typed);
  if (!/^https?:$/.test(url.protocol)) throw wrong();
  return url.href;
}

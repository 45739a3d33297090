import type { KitchenState } from '@/core/kitchen-state';
import { CONSTANTS } from '@/core/reference';
import type { LabourTyped } from '../wire';
import { BESIDE, type SettingsTyped } from './wire';
import * as texts from './texts';

type Kitchen = KitchenState['kitchen'];

const typedIn =
  ({ decimalMark }: Kitchen) =>
  (x: number | undefined): string =>
    x === undefined ? '' : String(x).replace('.', decimalMark);

/** What may stand on the heat for the night, as it is typed. */
function nightTyped({ rules }: Kitchen): string {
  if (!rules?.night) return '';
  const { fuels, heat, back } = rules.night;
  return `${fuels.length === 0 ? 'nothing' : `${fuels.join(' and ')} at ${heat}`}; back at ${back}`;
}

/** The settings as they are typed. */
export function settingsTyped(kitchen: Kitchen): SettingsTyped {
  const typed = typedIn(kitchen);
  const { name, currency, zone, locale } = kitchen;
  return {
    name,
    currency,
    zone,
    locale,
    tax: typed(kitchen.usualTaxPct),
    target: typed(kitchen.usualTargetPct),
    cooks: kitchen.cooksMayChange ? 'recipes and prices' : 'own work',
    shownIn: kitchen.shownIn ?? 'metric',
    layers: [...(kitchen.rules?.layers ?? BESIDE)],
    strainers: (kitchen.rules?.strainers ?? []).map((s) => texts.ml(s.name, typed(s.clingsMl))).join('; '),
    walls: typed(kitchen.rules?.walls),
    cooling: (kitchen.rules?.cooling ?? [])
      .map(({ toC, withinH }) => texts.cH(typed(toC), typed(withinH)))
      .join('; '),
    probe: kitchen.rules?.probe ?? '',
    warm: [
      kitchen.rules?.reheat &&
        texts.reheatedCH(typed(kitchen.rules.reheat.toC), typed(kitchen.rules.reheat.withinH)),
      kitchen.rules?.holdAtC !== undefined && texts.heldC(typed(kitchen.rules.holdAtC)),
    ]
      .filter(Boolean)
      .join('; '),
    night: nightTyped(kitchen),
    losses: Object.entries(kitchen.rules?.serviceLoss ?? {})
      .map(([service, pct]) => `${service} ${typed(pct)} %`)
      .join('; '),
    weekdays: (kitchen.rules?.closed?.weekdays ?? []).map((d) => String(d) as '1'),
    days: (kitchen.rules?.closed?.days ?? []).join(', '),
  };
}

/** Of a kind of step for which the house says nothing. */
export const NO_MINUTES = { fixed: '', perKg: '', perL: '' };

/** Minutes of hands of the kitchen's own, as they are typed. */
export function labourTyped(kitchen: Kitchen): LabourTyped {
  const typed = typedIn(kitchen);
  return {
    kinds: Object.fromEntries(
      Object.keys(CONSTANTS.hands).map((kind) => {
        const own = kitchen.hands?.[kind];
        return [
          kind,
          { fixed: typed(own?.fixedMin), perKg: typed(own?.perKgMin), perL: typed(own?.perLMin) },
        ];
      }),
    ),
    sharedBatch: typed(kitchen.sharedHands?.batchMin),
    sharedPerL: typed(kitchen.sharedHands?.perLMin),
  };
}

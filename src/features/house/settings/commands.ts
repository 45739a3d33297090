import 'server-only';
import { mannerIn } from '@/core/kitchen-file';
import type { KitchenState } from '@/core/kitchen-state';
import type { HouseRules } from '@/core/kitchen-file';
import { readPct } from '@/core/larder';
import { STRAINERS } from '@/core/pot';
import { setSettings, settingsOf, type KitchenSettings } from '@/db/kitchen/kitchen-settings';
import { Refused, declare, refused } from '@/server/door';
import { listNames } from '@/server/unique-name';
import { markOf } from './mark';
import { settingsTyped } from './typed';
import { rulesFrom } from './rules';
import { BESIDE, SETTINGS } from './wire';
import * as texts from './texts';

function share(typed: string, path: string, mark: '.' | ','): number | null {
  if (typed.trim() === '') return null;
  const read = readPct(typed, mark, 'share');
  if (!read.ok) throw new Refused({ ...read.trouble, path });
  if (!(read.value >= 0 && read.value <= 100))
    throw refused('share-out-of-range', path, texts.percentOutOfRange(read.value), {
      value: read.value,
      limit: read.value > 100 ? 100 : 0,
    });
  return read.value;
}

/** A strainer that a sheet strains through stays. */
function mustNotMiss({ recipes, kitchen }: KitchenState, rules: HouseRules | null): void {
  const after = new Set(rules?.strainers?.map((s) => s.name));
  const gone = (kitchen.rules?.strainers ?? []).filter(
    (s) => !after.has(s.name) && !(STRAINERS as readonly string[]).includes(s.name),
  );
  for (const { name } of gone) {
    const users = recipes.filter((r) => r.steps.some((s) => s.do === 'strain' && s.through === name));
    const one = users.length === 1;
    if (users.length > 0)
      throw refused(
        'in-use',
        'strainers',
        texts.strainedThroughWriteDifferently(listNames(users.map((u) => u.name)), one, name),
        { value: users.length, limit: 0 },
      );
  }
}

/** What the kitchen is called, counts in and begins plates with. Amounts and prices stay the figures they are. */
const settings = declare({
  wire: SETTINGS,
  role: 'manager',
  moves: 'costs',
  changes: {
    table: 'kitchen',
    id: (_body, who) => who.kitchenId,
    theirs: async (_body, { state }) => settingsTyped((await state()).kitchen),
  },
  // From before amounts were shown in other units and a house had rules: those stay as they are usually.
  upgrades: [
    (older) => ({
      ...(older as object),
      shownIn: 'metric',
      layers: [...BESIDE],
      strainers: '',
      cooling: '',
      weekdays: [],
      days: '',
    }),
  ],
  async look(typed, { state }) {
    const { name, currency, zone, locale, tax, target, cooks, shownIn } = typed;
    const here = await state();
    const { kitchen } = here;
    // From before losses were said there: they stay as they are.
    const stands = settingsTyped(kitchen);
    const {
      losses = stands.losses,
      warm = stands.warm,
      probe = stands.probe,
      night = stands.night,
      walls = stands.walls,
    } = typed;
    const read = rulesFrom({ ...typed, losses, warm, probe, night, walls }, mannerIn(here));
    if (!read.ok) throw new Refused(read.trouble);
    mustNotMiss(here, read.rules);
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
      shownIn,
      rules: read.rules,
    };
    return { before: settingsOf(kitchen), after };
  },
  async write({ sql, kitchenId }, _body, { before, after }) {
    await setSettings(sql, kitchenId, after);
    return { value: null, what: 'settings', subject: kitchenId, before, after };
  },
});

export const commands = [settings];

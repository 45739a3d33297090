import 'server-only';
import { mannerIn, type KitchenFile, type WrittenVessel } from '@/core/kitchen-file';
import { insteadOf, usersOf, type KitchenState } from '@/core/kitchen-state';
import { readAmountOf, readNumber } from '@/core/quantity';
import { refuse, type Trouble } from '@/core/trouble';
import { newId } from '@/db/mapping/ids';
import { nowOf, setArchived, putHob, putRecipe, putVessel } from '@/db/archive';
import { database } from '@/server/database';
import { Refused, declare, refused } from '@/server/door';
import { listNames, uniqueName } from '@/server/unique-name';
import { hobTyped, vesselTyped } from './typed';
import { HOB, STOVE_AWAY, VESSEL, type HobTyped, type VesselTyped } from './wire';
import * as texts from './texts';

type Hob = KitchenFile['hobs'][number];

/** A figure of a form within its limits; every one that is wrong is told where it stands. */
class Reader {
  readonly mistakes: Trouble[] = [];
  constructor(private readonly state: KitchenState) {}

  private within(value: number, path: string, [low, high]: readonly [number, number], unit: string): number {
    if (!(value >= low && value <= high))
      this.mistakes.push(
        refuse('out-of-range', path, texts.cannotFrom(value, unit, low, high), {
          value,
          limit: value > high ? high : low,
        }).trouble,
      );
    return value;
  }

  /** cm, as a bare number or with its unit. */
  length(typed: string, path: string): number {
    const text = /[a-z"']/i.test(typed) ? typed : texts.cm(typed.trim());
    if (typed.trim() === '') {
      this.mistakes.push(refuse('missing', path, texts.missingMeasureInsideCm).trouble);
      return 0;
    }
    const read = readAmountOf(['length'], text, mannerIn(this.state));
    if (read.ok) return this.within(Number(read.value.value.toFixed(3)), path, [1, 500], 'cm');
    this.mistakes.push({ ...read.trouble, path });
    return 0;
  }

  number(typed: string, path: string, limits: readonly [number, number], unit: string): number | undefined {
    const text = typed.trim().replace(/\s*(?:%|kW)$/i, '');
    if (text === '') return undefined;
    const read = readNumber(text, this.state.kitchen.decimalMark);
    if (read.ok) return this.within(read.value.toNumber(), path, limits, unit);
    this.mistakes.push({ ...read.trouble, path });
    return undefined;
  }

  grams(typed: string, path: string): number | undefined {
    if (typed.trim() === '') return undefined;
    const read = readAmountOf(['mass'], typed, mannerIn(this.state));
    if (read.ok) return this.within(read.value.value, path, [1, 500_000], 'g');
    this.mistakes.push({ ...read.trouble, path });
    return undefined;
  }

  done(): void {
    const [first] = this.mistakes;
    if (first) throw new Refused(first, { mistakes: this.mistakes });
  }
}

const TWICE = (twin: string): string => texts.alreadyHereChooseAnother(twin);
/** Rim over base of what is still called a pot or pan. */
const TAPERS = [0.5, 2] as const;

function vesselFrom(typed: VesselTyped, id: string, here: KitchenState): WrittenVessel {
  const read = new Reader(here);
  const name = uniqueName(here.vessels, typed.name, { none: texts.whatCalled, twice: TWICE }, id);
  const shared = {
    id,
    name,
    heightCm: read.length(typed.height, 'height'),
    maxFillPct: read.number(typed.fill, 'fill', [1, 100], '%') ?? 85,
    ...(typed.empty.trim() === '' ? {} : { emptyG: read.grams(typed.empty, 'empty') }),
  };
  const vessel: WrittenVessel =
    typed.shape === 'box'
      ? {
          ...shared,
          shape: 'box',
          lengthCm: read.length(typed.length, 'length'),
          widthCm: read.length(typed.width, 'width'),
        }
      : {
          ...shared,
          shape: 'round',
          baseCm: read.length(typed.base, 'base'),
          topCm: read.length(typed.top.trim() === '' ? typed.base : typed.top, 'top'),
        };
  read.done();
  const taper = vessel.shape === 'round' ? vessel.topCm / vessel.baseCm : 1;
  if (!(taper >= TAPERS[0] && taper <= TAPERS[1]))
    throw refused('cannot-be', 'top', texts.rimTimesBaseCannot(taper.toFixed(2), TAPERS[0], TAPERS[1]), {
      value: taper,
      limit: taper > TAPERS[1] ? TAPERS[1] : TAPERS[0],
    });
  return vessel;
}

const vessel = declare({
  wire: VESSEL,
  role: 'changer',
  moves: 'costs',
  changes: {
    table: 'vessel',
    id: ({ id }) => id,
    theirs: async ({ id }, { state }) => {
      const here = await state();
      const theirs = here.vessels.find((v) => v.id === id);
      return theirs && vesselTyped(theirs, here.kitchen.decimalMark);
    },
  },
  async look({ id, ...typed }, { state }) {
    const here = await state();
    const before = here.vessels.find((v) => v.id === id);
    if (id !== null && !before) throw refused('gone', '', texts.vesselArchivedAlready);
    return { before: before ?? null, after: vesselFrom(typed, id ?? newId(), here) };
  },
  async write({ sql, kitchenId }, _body, { before, after }) {
    await putVessel(sql, kitchenId, after, { taken: before !== null });
    return { value: { id: after.id }, what: 'vessel', subject: after.id, before, after };
  },
});

function hobFrom(typed: HobTyped, id: string, here: KitchenState): Hob {
  const read = new Reader(here);
  const name = uniqueName(here.hobs, typed.name, { none: texts.whatCalled, twice: TWICE }, id);
  const netKw = read.number(typed.netKw, 'netKw', [0.05, 200], 'kW');
  const efficiencyPct = read.number(typed.efficiency, 'efficiency', [5, 100], '%');
  read.done();
  return {
    id,
    name,
    fuel: typed.fuel,
    netKw: netKw ?? null,
    ...(efficiencyPct === undefined ? {} : { efficiencyPct }),
    ...(typed.draught ? { draught: true } : {}),
  };
}

const hob = declare({
  wire: HOB,
  role: 'changer',
  moves: 'costs',
  changes: {
    table: 'hob',
    id: ({ id }) => id,
    theirs: async ({ id }, { state }) => {
      const here = await state();
      const theirs = here.hobs.find((h) => h.id === id);
      return theirs && hobTyped(theirs, here.kitchen.decimalMark);
    },
  },
  async look({ id, ...typed }, { state }) {
    const here = await state();
    const before = here.hobs.find((h) => h.id === id);
    if (id !== null && !before) throw refused('gone', '', texts.hobArchivedAlready);
    return { before: before ?? null, after: hobFrom(typed, id ?? newId(), here) };
  },
  async write({ sql, kitchenId }, _body, { before, after }) {
    await putHob(sql, kitchenId, after, { taken: before !== null });
    return { value: { id: after.id }, what: 'hob', subject: after.id, before, after };
  },
});

const away = declare({
  wire: STOVE_AWAY,
  role: 'changer',
  moves: 'costs',
  async look({ what, id, away: gone, instead }, { state, who }) {
    const here = await state();
    const manner = mannerIn(here);
    const list: readonly { readonly id: string; readonly name: string }[] =
      what === 'vessel' ? here.vessels : here.hobs;
    if (!gone) {
      const now = await nowOf(database(), what, who.kitchenId, id);
      if (!now?.away) throw refused('gone', '', texts.alreadyKitchen);
      uniqueName(list, now.name, { none: '', twice: TWICE }, id);
      return {
        before: { away: true },
        after: { away: false },
        manner,
        recipes: [],
        was: new Map<string, unknown>(),
      };
    }
    if (!list.some((x) => x.id === id)) throw refused('gone', '', texts.archivedAlready);
    const users = usersOf(here, what, id).recipes;
    const names = users.map((u) => u.name);
    if (names.length > 0 && instead === null)
      throw new Refused(
        refuse('in-use', 'instead', texts.cookedChooseWhatTakes(listNames(names), names.length, what))
          .trouble,
        { theirs: { users: names } },
      );
    if (instead !== null && !list.some((x) => x.id === instead && x.id !== id))
      throw refused('gone', 'instead', texts.whatTakePlaceNo);
    return {
      before: { away: false },
      after: { away: true, instead },
      manner,
      recipes: instead === null ? [] : insteadOf(here, what, id, instead).recipes,
      was: new Map<string, unknown>(users.map((u) => [u.id, u])),
    };
  },
  async write(
    { sql, kitchenId, at, today },
    { what, id, away: gone },
    { before, after, manner, recipes, was },
  ) {
    for (const r of recipes) await putRecipe(sql, kitchenId, r, today, at, manner);
    await setArchived(sql, what, kitchenId, id, gone ? at : null);
    return {
      value: null,
      what: `${what} away`,
      subject: id,
      before,
      after,
      also: recipes.map((r) => ({ what: 'recipe', subject: r.id, before: was.get(r.id), after: r })),
    };
  },
});

export const commands = [vessel, hob, away];

import 'server-only';
import { priceText, readPct, readPrice } from '@/core/larder';
import { priceBeforeTrim, type Supply } from '@/core/prices';
import { priceAfterTrim } from '@/core/knife';
import type { DecimalMark } from '@/core/quantity';
import { under } from '@/core/trouble';
import { setIngredient } from '@/db/buying/larder-edits';
import { leaveOut } from '@/db/cooking/yield-tests';
import { Refused, declare, refused, type Looking } from '@/server/door';
import { learnedAtOnce, proposalFrom, writeProposal } from '../accept';
import { testResults } from '../test-results';
import { ACCEPT, COMES_OFF, LEARN_FROM, LEFT_OUT, TRIM } from './wire';
import * as texts from './texts';

const gone = (): Refused => refused('gone', '', texts.ingredientNoLongerLarder);

/** An ingredient at the version seen; nothing of the other side is shown, the page is read again. */
const ONE_INGREDIENT = {
  table: 'ingredient' as const,
  id: (body: { readonly id: string }) => body.id,
  theirs: () => Promise.resolve(undefined),
};

async function supplyIn({ supplies }: Looking, id: string): Promise<Supply> {
  const supply = (await supplies()).get(id);
  if (!supply) throw gone();
  return supply;
}

/** What the tests of an ingredient have to say, and the kitchen they say it in. */
async function learning(looking: Looking, id: string) {
  const { costing } = await looking.costed();
  const supply = costing.supplies.get(id);
  if (!supply) throw gone();
  const { tests } = await testResults(looking.who.kitchenId, costing);
  return { costing, supply, tests };
}

/** What of an ingredient the settings of its trim are. */
const settingsOf = ({ trim, comesOff, learnFrom }: Supply['ingredient']) => ({ trim, comesOff, learnFrom });

/** Accepts what the tests say, if it is still what was looked at. */
const acceptLearned = declare({
  wire: ACCEPT,
  role: 'manager',
  moves: 'costs',
  changes: ONE_INGREDIENT,
  async look({ id, proposed }, looking) {
    const { costing, supply, tests } = await learning(looking, id);
    const proposal = proposalFrom(costing, supply.ingredient, tests);
    if (!proposal || JSON.stringify(proposal) !== proposed)
      throw refused('other-proposal', '', texts.testsChangedSinceYou);
    return { costing, proposal };
  },
  async write({ sql, kitchenId, at }, { id }, { costing, proposal }) {
    return { value: null, ...(await writeProposal(sql, kitchenId, costing, id, proposal, at)) };
  },
});

/** Which own tests an ingredient learns from; where it learns at once, what they say counts from now on. */
const setLearnFrom = declare({
  wire: LEARN_FROM,
  role: 'manager',
  moves: 'costs',
  changes: ONE_INGREDIENT,
  async look({ id, season, supplier }, looking) {
    const { costing, supply, tests } = await learning(looking, id);
    if (supplier && !costing.state.suppliers.some((s) => s.id === supplier))
      throw refused('gone', 'supplier', texts.supplierNoLonger);
    const then = {
      ...supply.ingredient,
      learnFrom: { season: season ?? undefined, supplier: supplier ?? undefined },
    };
    return { costing, supply, learned: learnedAtOnce(costing, then, tests) };
  },
  async write({ sql, kitchenId, at }, { id, season, supplier }, { costing, supply, learned }) {
    const setting = { learnFrom: { season, supplier } };
    await setIngredient(sql, kitchenId, id, setting);
    const also = learned ? [await writeProposal(sql, kitchenId, costing, id, learned, at)] : [];
    const before = settingsOf(supply.ingredient);
    return { value: null, what: 'learn from', subject: id, before, after: setting, also };
  },
});

/** A price a kilo as typed; null where none is set. */
function valueTyped(typed: string | null, mark: DecimalMark): string | null {
  if (typed === null) return null;
  const read = readPrice(typed, mark);
  if (!read.ok) throw new Refused(under('setValue', read.trouble));
  return priceText(read.value);
}

function takenTyped(typed: string | null, mark: DecimalMark): number | null {
  if (typed === null) return null;
  const taken = readPct(typed, mark);
  if (!taken.ok) throw new Refused(under('taken', taken.trouble));
  if (!(taken.value >= 0 && taken.value <= 100))
    throw refused('taken-out-of-range', 'taken', texts.takenOutOfRange(taken.value), {
      value: taken.value,
      limit: 100,
    });
  return taken.value;
}

/** Refuses what would credit more than the whole cost. */
function mustBear(supply: Supply, terms: Partial<Supply['knife']>): void {
  const { trouble } = priceAfterTrim(
    { ...supply.knife, ...terms },
    priceBeforeTrim(supply),
    supply.usable,
    supply.stockTrim,
  );
  if (trouble) throw new Refused(trouble);
}

/** Sets an ingredient's own school, set value and how much of its trim is taken. */
const setTrim = declare({
  wire: TRIM,
  role: 'manager',
  moves: 'costs',
  changes: ONE_INGREDIENT,
  async look({ id, school, setValue, takenPct }, looking) {
    const supply = await supplyIn(looking, id);
    const { kitchen } = await looking.state();
    const written = valueTyped(setValue, kitchen.decimalMark);
    const taken = takenTyped(takenPct, kitchen.decimalMark);
    const value = Number(written ?? kitchen.trim.setValuePerKg);
    mustBear(supply, {
      school: school ?? kitchen.trim.school,
      setValuePerKg: value,
      trimTaken: supply.knife.trimTaken > 0 && taken !== null ? taken / 100 : supply.knife.trimTaken,
    });
    const paid = priceBeforeTrim(supply);
    if (written !== null && paid !== undefined && value > paid)
      throw refused(
        'set-value-over-price',
        'setValue',
        texts.stockTrimPerKilo(value.toFixed(2), supply.ingredient.name, paid.toFixed(2)),
        { value, limit: paid },
      );
    return { supply, setting: { trim: { school, setValuePerKg: written, takenPct: taken } } };
  },
  async write({ sql, kitchenId }, { id }, { supply, setting }) {
    await setIngredient(sql, kitchenId, id, setting);
    const before = settingsOf(supply.ingredient);
    return { value: null, what: 'trim school', subject: id, before, after: setting };
  },
});

/** Sets what a by-product is charged at, and whether it has a buyer. */
const setComesOff = declare({
  wire: COMES_OFF,
  role: 'manager',
  moves: 'costs',
  changes: ONE_INGREDIENT,
  async look({ id, setValue, sold }, looking) {
    const supply = await supplyIn(looking, id);
    const mother = await supplyIn(looking, supply.ingredient.comesOff?.ingredient ?? '');
    const { kitchen } = await looking.state();
    const written = valueTyped(setValue, kitchen.decimalMark);
    mustBear(mother, {
      byProducts: mother.knife.byProducts.map((b) =>
        b.knife.id === id
          ? {
              ...b,
              setValuePerKg: Number(written ?? kitchen.trim.setValuePerKg),
              sold,
              taken: sold ? 1 : b.taken,
            }
          : b,
      ),
    });
    return { supply, setting: { comesOff: { setValuePerKg: written, sold } } };
  },
  async write({ sql, kitchenId }, { id }, { supply, setting }) {
    await setIngredient(sql, kitchenId, id, setting);
    const before = settingsOf(supply.ingredient);
    return { value: null, what: 'by-product', subject: id, before, after: setting };
  },
});

const LONGEST_REASON = 200;

function reasonTyped(why: string | null): string | null {
  const reason = why?.trim() ?? null;
  if (reason === '') throw refused('no-reason', 'why', texts.whyDoesNotCount);
  if (reason !== null && reason.length > LONGEST_REASON)
    throw refused('reason-too-long', 'why', texts.reasonMostCharacters(LONGEST_REASON, reason.length), {
      value: reason.length,
      limit: LONGEST_REASON,
    });
  return reason;
}

const setLeftOut = declare({
  wire: LEFT_OUT,
  role: 'manager',
  moves: 'costs',
  async look({ test: id, why }, looking) {
    const { costing } = await looking.costed();
    const { tests } = await testResults(looking.who.kitchenId, costing);
    const test = tests.find((t) => t.id === id && t.state === 'kept');
    if (!test) throw refused('gone', '', texts.testNoLonger);
    const reason = reasonTyped(why);
    const leftOut =
      reason === null ? undefined : { at: looking.at.toISOString(), by: looking.who.person.id, why: reason };
    const then = tests.map((t) => (t.id === id ? { ...t, leftOut } : t));
    const ingredient = costing.supplies.get(test.ingredient)?.ingredient;
    return { costing, test, reason, learned: learnedAtOnce(costing, ingredient, then) };
  },
  async write({ sql, kitchenId, who, at }, { test: id }, { costing, test, reason, learned }) {
    await leaveOut(sql, kitchenId, id, reason === null ? null : { at, by: who.person.id, why: reason });
    const also = learned ? [await writeProposal(sql, kitchenId, costing, test.ingredient, learned, at)] : [];
    return {
      value: null,
      what: reason === null ? 'test counts again' : 'test left out',
      subject: id,
      before: test.leftOut ?? null,
      after: reason,
      also,
    };
  },
});

export const commands = [acceptLearned, setLearnFrom, setTrim, setComesOff, setLeftOut];

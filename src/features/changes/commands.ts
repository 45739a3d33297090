import 'server-only';
import { mannerIn, Plate, Recipe } from '@/core/kitchen-file';
import type { z } from 'zod';
import { clockIn } from '@/core/day';
import type { KitchenState } from '@/core/kitchen-state';
import { refuse } from '@/core/trouble';
import { actOf, changesIn, laterThan, undoneBy, type ChangedBy } from '@/db/changes';
import { putPlate, putRecipe } from '@/db/archive';
import { database } from '@/server/database';
import { Refused, declare, refused, type Looking } from '@/server/door';
import { may } from '@/server/roles';
import { builtOn, counting } from './effective';
import { UNDOING } from './undoing';
import { changeText, changeFacts } from './words';
import { RESTORE, UNDO } from './wire';
import * as texts from './texts';

/** Of one's own last changes as many are looked at for one that can be taken back. */
const LOOKED_AT = 60;

/** Whether something has been taken back, and not done again since. */
async function isUndone(kitchenId: string, id: string): Promise<boolean> {
  const by = (await undoneBy(database(), kitchenId, [id])).get(id);
  return by !== undefined && !(await isUndone(kitchenId, by));
}

/**
 * The last act of one's own that can be taken back and has not been; or, for doing again, the last taking back.
 * @param again whether a taking back is looked for
 */
async function lastOwn(kitchenId: string, personId: string, again: boolean): Promise<string | undefined> {
  const last = await changesIn(database(), kitchenId, { by: personId, most: LOOKED_AT });
  const counts = counting([...last].reverse());
  const known = new Map(last.map((c) => [c.id, c]));
  const isBack = (c: ChangedBy): boolean => {
    const of = c.undoes === null ? undefined : known.get(c.undoes);
    return c.undoes !== null && !(of && isBack(of));
  };
  return last.find((c) => counts.has(c.id) && UNDOING[c.what] && isBack(c) === again)?.id;
}

/** Refuses what somebody has built on since, and says what. */
async function mustStandLast(
  act: readonly ChangedBy[],
  { who }: Looking,
  telling: ReturnType<typeof changeFacts>,
) {
  const ids = new Set(act.map((c) => c.id));
  const [first] = act;
  if (!first) return;
  const later = await laterThan(
    database(),
    who.kitchenId,
    act.map((c) => c.subject),
    act.at(-1)?.id ?? first.id,
  );
  const built = builtOn(later.filter((c) => !ids.has(c.id)))[0];
  if (!built) return;
  const by = built.by === who.person.id ? texts.you : texts.has(built.byName);
  throw refused(
    'built-on',
    '',
    texts.builtSinceComesFirstByClockInChangeText(
      by,
      clockIn(who.zone, built.at),
      changeText(built, telling),
    ),
  );
}

/** A kitchen with the pots and plates of an act as they stood before it. */
function withBack(state: KitchenState, act: readonly ChangedBy[]): KitchenState {
  const back = <T extends { readonly id: string }>(
    list: readonly T[],
    what: string,
    read: z.ZodType<T>,
  ): T[] => {
    const before = new Map(
      act
        .filter((c) => c.what === what)
        .map((c) => [c.subject, c.before === null ? null : read.parse(c.before)]),
    );
    const stays = list.flatMap((x) => (before.has(x.id) ? (before.get(x.id) ?? []) : x));
    const there = new Set(list.map((x) => x.id));
    return [...stays, ...[...before].flatMap(([id, x]) => (x === null || there.has(id) ? [] : x))];
  };
  return {
    ...state,
    recipes: back(state.recipes, 'recipe', Recipe),
    plates: back(state.plates, 'plate', Plate),
  };
}

/** Takes an act back: a change of its own, with both sides turned round. What was known in between stays known as it was then. */
const undo = declare({
  wire: UNDO,
  role: 'cook',
  moves: 'costs',
  async look({ change, again }, looking) {
    const { who } = looking;
    const state = await looking.state();
    const telling = changeFacts(state);
    const id = change ?? (await lastOwn(who.kitchenId, who.person.id, again));
    if (id === undefined)
      throw refused('nothing', '', again ? texts.youUndoneNothingCould : texts.youNothingUndo);
    const act = await actOf(database(), who.kitchenId, id);
    const main = act.find((c) => c.id === id) ?? act[0];
    if (!main) throw refused('gone', '', texts.changeNoLongerLog);
    if (main.by !== who.person.id && !may(who.role, 'manager'))
      throw refused('not-own', '', texts.didTheyCanUndo(main.byName));
    if (await isUndone(who.kitchenId, main.id)) throw refused('undone', '', texts.alreadyUndone);
    await mustStandLast(act, looking, telling);
    // What one part of an act has put in place goes with another part of it.
    const put = withBack(state, act);
    const backs = [];
    for (const c of [...act].reverse()) {
      const how = UNDOING[c.what];
      if (!how) throw refused('cannot-undo', '', texts.cannotUndoneItself(changeText(c, telling)));
      if (!may(who.role, how.role)) throw refused('not-allowed', '', texts.canUndo(how.role));
      const back = await how.back(c.subject, c.before, looking, put, c.after);
      if (typeof back !== 'function') throw new Refused(back);
      backs.push({ c, back });
    }
    return { backs, words: act.map((c) => changeText(c, telling)).at(-1) ?? '' };
  },
  async write(writing, _body, { backs, words }) {
    for (const { back } of backs) await back(writing);
    const [first, ...more] = backs.map(({ c }) => ({
      what: UNDOING[c.what]?.as ?? c.what,
      subject: c.subject,
      before: c.after,
      after: c.before,
      undoes: c.id,
    }));
    if (!first) throw refused('gone', '', texts.nothingUndo);
    return { value: { words, by: backs[0]?.c.id ?? '' }, ...first, also: more };
  },
});

/** Puts a sheet or plate back as it stood after one of its changes: a change like any other. */
const restore = declare({
  wire: RESTORE,
  role: 'changer',
  moves: 'costs',
  async look({ change }, looking) {
    const { who } = looking;
    const state = await looking.state();
    const found = (await actOf(database(), who.kitchenId, change)).find((c) => c.id === change);
    if (!found || found.after === null || (found.what !== 'recipe' && found.what !== 'plate'))
      throw refused('cannot-restore', '', texts.onlyPotSheetOr);
    const how = UNDOING[found.what];
    const back = await how?.back(found.subject, found.after, looking, state, found.before);
    if (typeof back !== 'function')
      throw new Refused(back ?? refuse('gone', '', texts.cannotRestored).trouble);
    const list: readonly { readonly id: string }[] = found.what === 'recipe' ? state.recipes : state.plates;
    const before = list.find((x) => x.id === found.subject) ?? null;
    const after = found.what === 'recipe' ? Recipe.parse(found.after) : Plate.parse(found.after);
    const words = changeText({ what: found.what, subject: found.subject, before, after }, changeFacts(state));
    return { what: found.what, subject: found.subject, before, after, words, manner: mannerIn(state) };
  },
  async write({ sql, kitchenId, today, at }, { change }, { what, subject, before, after, words, manner }) {
    if ('steps' in after) await putRecipe(sql, kitchenId, after, today, at, manner);
    else await putPlate(sql, kitchenId, after, manner);
    return { value: { words, by: change }, what, subject, before, after };
  },
});

export const commands = [undo, restore];

import 'server-only';
import { mannerIn, stepsInForce, type WrittenBatch, type WrittenBatchEvent } from '@/core/kitchen-file';
import { coolingOf, dipFits, forecastBatch, runningOf, type TimesKind } from '@/core/batch';
import { clockIn, dayIn } from '@/core/day';
import type { KitchenCosting } from '@/core/costing';
import type { Manner } from '@/core/quantity';
import { ownConstants } from '@/core/kitchen-state';
import { CONSTANTS } from '@/core/reference';
import { potOf } from '@/core/shelf';
import { under } from '@/core/trouble';
import { runPot, scaledLine, tryResolve } from '@/core/verbs';
import { heldBy, insertBatches, insertEvent, isTold, readBatches, withdrawEvent } from '@/db/cooking/batches';
import { newId } from '@/db/mapping/ids';
import { setSettings } from '@/db/kitchen/kitchen-settings';
import { LABOUR_COLUMN } from '@/db/mapping/json-columns';
import { patchPhysics, setHands } from '@/db/buying/larder-edits';
import type { Sql } from '@/db/sql';
import { allPeople } from '@/db/people/people';
import { setBoils } from '@/db/cooking/stove';
import { bumpVersion, nowOf, setArchived, putRecipe } from '@/db/archive';
import { database } from '@/server/database';
import { idsIn, Refused, declare, refused, type Looking, type Writing } from '@/server/door';
import { figureTaught, timesTaughtOf } from './learned';
import { learnable, type Learning } from './learnable';
import { isWeighed } from './learned-times';
import { BATCH, BATCH_AWAY, LEARN, LEARN_TIMES, UNDO_EVENT, TELL } from './wire';
import * as texts from './texts';

/** ms that a clock may be ahead before what it says is asked about. */
const AHEAD_MS = 2 * 60_000;
/** ms for which a batch may have been going on when somebody tells of it. */
const LONGEST_MS = 14 * 24 * 3_600_000;

/** What is still told of a pot that is over: it cools, and somebody notes something. */
const AFTERWARDS: ReadonlySet<WrittenBatchEvent['is']> = new Set([
  'note',
  'off',
  'degrees',
  'sets',
  'brix',
  'moved',
  'reheating',
  'holding',
  'left out',
  'not learned',
]);

/** What is told of another day’s clock, or of tomorrow, is asked about. */
function mustBeTime(at: string, now: Date, since?: string): void {
  const ahead = Date.parse(at) - now.getTime();
  if (ahead > AHEAD_MS)
    throw refused('in-the-future', '', texts.wouldMinFromNow(Math.round(ahead / 60_000)), {
      value: Math.round(ahead / 60_000),
      limit: 0,
    });
  if (since !== undefined && Date.parse(at) < Date.parse(since))
    throw refused('before-it-began', '', texts.wouldBeforeBatchStarted);
  if (-ahead > LONGEST_MS) throw refused('too-long-ago', '', texts.wouldMoreThan14);
}

/** h for which a pot is left alone at the most: till the same hour of the next day. */
const NIGHT_H = 24;

/** Nobody leaves a pot for a week. */
function mustBeOneNight({ at, until }: { readonly at: string; readonly until: string }): void {
  const h = (Date.parse(until) - Date.parse(at)) / 3_600_000;
  if (h > 0 && h <= NIGHT_H) return;
  throw refused('no-night', '', texts.potLeftUpH(NIGHT_H, h.toFixed(1)), { value: h, limit: NIGHT_H });
}

/** A vessel holds one batch at a time. */
async function mustBeFree(
  sql: Sql,
  who: Looking['who'],
  { id, name }: { readonly id: string; readonly name: string },
): Promise<void> {
  const taken = await heldBy(sql, who.kitchenId, id);
  if (!taken) return;
  const since = clockIn(who.zone, new Date(taken.startedAt));
  throw refused('vessel-taken', '', texts.holdsSinceChooseAnother(name, taken.name, since));
}

/** What is foretold of a batch before it begins; nothing of one whose lines cannot be done. */
async function foretoldOf(
  batch: WrittenBatch,
  { kitchen }: Awaited<ReturnType<Looking['state']>>,
  costed: Looking['costed'],
): Promise<WrittenBatch['foretold']> {
  const running = runningOf(batch, (await costed()).costing.shelf);
  return running && forecastBatch(running, ownConstants(kitchen, CONSTANTS));
}

const start = declare({
  wire: BATCH,
  role: 'cook',
  moves: 'nothing that is costed',
  async look({ id, recipe, vessel, hob, times, startedAt }, { who, at, state, costed }) {
    const here = await state();
    const sheet = here.recipes.find((r) => r.id === recipe);
    if (!sheet) throw refused('gone', '', texts.sheetArchivedNothingCook);
    const stands = here.vessels.find((v) => v.id === vessel);
    if (!stands || !here.hobs.some((h) => h.id === hob))
      throw refused('gone', '', texts.vesselOrHobArchivedChooseAnother);
    await mustBeFree(database(), who, stands);
    if (startedAt !== null) mustBeTime(startedAt, at);
    const steps = stepsInForce(sheet).map(({ way: _w, off: _o, ...step }) =>
      scaledLine({ ...step, id: step.id ?? newId() } as (typeof sheet.steps)[number], times, mannerIn(here)),
    );
    if (steps.length === 0) throw refused('empty', '', texts.noLinesYetWrite(sheet.name));
    const after: WrittenBatch = {
      id,
      recipe,
      name: sheet.name,
      startedAt: startedAt ?? at.toISOString(),
      vessel,
      hob,
      steps,
      events: [],
    };
    // What was foretold before anything was read; of a pot that was on already it would be no foretelling.
    const foretold = startedAt === null ? await foretoldOf(after, here, costed) : undefined;
    return { after: { ...after, ...(foretold ? { foretold } : {}) }, stands };
  },
  dependsOn: (body) => idsIn(body),
  async write({ sql, kitchenId, who }, { id }, { after, stands }) {
    // Another tablet may have been faster.
    await mustBeFree(sql, who, stands);
    await insertBatches(sql, kitchenId, [after]);
    return { value: { id }, what: 'batch', subject: id, before: { away: true }, after: { away: false } };
  },
});

async function batchHere({ who }: Looking, id: string): Promise<WrittenBatch> {
  const [batch] = await readBatches(database(), who.kitchenId, { are: 'one', id });
  if (!batch) throw refused('gone', '', texts.batchArchived);
  return batch;
}

/**
 * What was told, with who told it. A name that was said without the network, and no PIN with it, is kept as what it is: said. Anybody else’s is that of
 * anyone who is signed in.
 */
async function stamped(
  { by: said, said: how, ...event }: WrittenBatchEvent,
  { who, at }: Looking,
): Promise<WrittenBatchEvent> {
  const own = who.person.name;
  const claims = how === 'unverified' && said !== undefined && said !== own;
  const known =
    claims && (await allPeople(database(), who.kitchenId)).some((p) => p.leftAt === null && p.name === said);
  return {
    ...event,
    recordedAt: at.toISOString(),
    ...(known ? { by: said, said: 'unverified' } : { by: own }),
  } as WrittenBatchEvent;
}

const tell = declare({
  wire: TELL,
  role: 'cook',
  moves: 'nothing that is costed',
  async look({ batch, event }, looking) {
    const here = await batchHere(looking, batch);
    // A queue that comes late finds what it brings told already, or taken back since: either way there is nothing to add.
    if (await isTold(database(), looking.who.kitchenId, event.id)) return { told: true, event };
    // What happened before the end and comes after it has only travelled for longer.
    const end = here.events.find((e) => e.is === 'ended');
    if (end && !AFTERWARDS.has(event.is) && Date.parse(event.at) > Date.parse(end.at))
      throw refused('ended', '', texts.batchFinishedUndoEnd);
    mustBeTime(event.at, looking.at, here.startedAt);
    if (event.is === 'night') mustBeOneNight(event);
    if (event.is === 'done' && !here.steps.some((s) => s.id === event.step))
      throw refused('gone', '', texts.lineNotPartBatch);
    if (event.is === 'otherwise') {
      if (!here.steps.some((s) => s.id === event.step)) throw refused('gone', '', texts.lineNotPartBatch);
      const step = tryResolve(event.as, (await looking.costed()).costing.shelf);
      if (!step.ok) throw new Refused(step.trouble);
    }
    if (event.is === 'rescue') {
      const { costing } = await looking.costed();
      const limits = costing.state.kitchen.rules?.cooling ?? [];
      if (coolingOf(here.events, limits, looking.at.getTime())?.limits.some((l) => l.passed))
        throw refused('past-a-limit', '', texts.potPastLimitHouse);
      for (const written of event.steps) {
        const step = tryResolve(written, costing.shelf);
        if (!step.ok) throw new Refused(step.trouble);
      }
    }
    if (event.is === 'dip') {
      const vessel = (await looking.state()).vessels.find((v) => v.id === here.vessel);
      const wrong = vessel && dipFits(vessel, event.cm);
      if (wrong) throw new Refused(wrong);
    }
    return { told: false, event: await stamped(event, looking) };
  },
  dependsOn: (body) => idsIn(body),
  async write({ sql, kitchenId }, { batch }, { told, event }) {
    // Told before, it is on the page, or was taken back since: it is not to be remembered.
    const stands = told ? 0 : await insertEvent(sql, kitchenId, batch, event);
    return {
      value: { stands },
      what: 'batch told',
      subject: batch,
      before: { event, stands: told },
      after: { event, stands: true },
    };
  },
});

const back = declare({
  wire: UNDO_EVENT,
  role: 'cook',
  moves: 'nothing that is costed',
  async look({ batch, event: id }, looking) {
    const event = (await batchHere(looking, batch)).events.find((e) => e.id === id);
    if (!event) throw refused('gone', '', texts.alreadyUndone);
    return { event };
  },
  async write({ sql, kitchenId, at }, { batch }, { event }) {
    return {
      value: { stands: await withdrawEvent(sql, kitchenId, batch, event, at) },
      what: 'batch told',
      subject: batch,
      before: { event, stands: true },
      after: { event, stands: false },
    };
  },
});

/** Takes what batches have taught of a vessel into the kitchen’s own figures, or goes back to the table. */
const learn = declare({
  wire: LEARN,
  role: 'manager',
  moves: 'costs',
  async look(of, looking) {
    const { costing } = await looking.costed();
    const { heat, lid } = of;
    const vessel = costing.state.vessels.find((v) => v.id === of.vessel);
    if (!vessel) throw refused('gone', '', texts.vesselArchived);
    const others = (vessel.boils ?? []).filter((b) => b.heat !== heat || b.lid !== lid);
    const before = vessel.boils ?? [];
    if (!of.accept) return { before, after: others };
    const figure = await figureTaught(looking.who, costing, of);
    if (!figure) throw refused('nothing-taught', '', texts.noBatchCountsRead);
    const after = [...others, { ...figure, on: dayIn(looking.who.zone, looking.at) }];
    return { before, after };
  },
  async write({ sql, kitchenId }, { vessel }, { before, after }) {
    await setBoils(sql, kitchenId, vessel, after);
    return { value: null, what: 'boils', subject: vessel, before, after };
  },
});

const NOTHING_TAUGHT: Readonly<Record<TimesKind, string>> = {
  gives: texts.noBatchCountsReadRefractometerNothing,
  keeps: texts.noBatchCountsReadBeforeAfter,
  clings: texts.noBatchCountsReadBeforeAfterPouredOver,
  loses: texts.noBatchCountsReadBeforeAfterMachineNothing,
  pours: texts.noBatchCountsPortions,
  hands: texts.noLabourMinutesEntered,
};

/** A sheet whose lines can no longer be done is told, not written: with less in it a later line may be there already. */
function mustStillBeDone(change: Learning, { shelf, state }: KitchenCosting): void {
  if (change.what !== 'recipe') return;
  const run = runPot(potOf(change.after, shelf), ownConstants(state.kitchen, CONSTANTS));
  if (run.refused) throw new Refused(under(`steps[${run.refused.step}]`, run.refused.trouble));
}

/** Writes what was learned. @returns what it is of */
async function learns(
  { sql, kitchenId, today, at }: Writing,
  of: string,
  change: Learning,
  manner: Manner,
): Promise<string> {
  switch (change.what) {
    case 'hands':
      await bumpVersion(sql, 'kitchen', kitchenId, kitchenId);
      await setHands(sql, kitchenId, LABOUR_COLUMN.write(change.after));
      return kitchenId;
    case 'settings':
      await bumpVersion(sql, 'kitchen', kitchenId, kitchenId);
      await setSettings(sql, kitchenId, change.after);
      return kitchenId;
    case 'recipe':
      await putRecipe(sql, kitchenId, change.after, today, at, manner);
      return change.after.id;
    case 'gelatin':
    case 'retention':
      await patchPhysics(sql, kitchenId, of, { ...change.after });
      return of;
  }
}

/** Takes what was told or measured once in each batch into the value in use. */
const learnTimes = declare({
  wire: LEARN_TIMES,
  role: 'manager',
  moves: 'costs',
  async look({ kind, of, supplier }, looking) {
    const { costing } = await looking.costed();
    if (kind === 'keeps' && isWeighed(costing, of))
      throw refused('weighed', '', texts.measuredYieldTestValue);
    const times = await timesTaughtOf(looking.who, costing, kind, of, supplier);
    const change = times === undefined ? undefined : learnable(costing, kind, of)?.change(times);
    if (!change) throw refused('nothing-taught', '', NOTHING_TAUGHT[kind]);
    mustStillBeDone(change, costing);
    return { change, manner: mannerIn(costing.state) };
  },
  async write(writing, { of }, { change, manner }) {
    const subject = await learns(writing, of, change, manner);
    const { what, before, after } = change;
    return { value: null, what, subject, before, after };
  },
});

const away = declare({
  wire: BATCH_AWAY,
  role: 'cook',
  moves: 'nothing that is costed',
  async look({ id, away: gone }, { who }) {
    const now = await nowOf(database(), 'batch', who.kitchenId, id);
    if (!now || now.away === gone)
      throw refused('gone', '', gone ? texts.batchArchivedAlready : texts.batchHereAlready);
    return { before: { away: !gone }, after: { away: gone } };
  },
  async write({ sql, kitchenId, at }, { id, away: gone }, { before, after }) {
    await setArchived(sql, 'batch', kitchenId, id, gone ? at : null);
    return { value: null, what: 'batch', subject: id, before, after };
  },
});

export const commands = [start, tell, back, learn, learnTimes, away];

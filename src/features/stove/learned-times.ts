import 'server-only';
import {
  timesTaught,
  type LeftLesson,
  type TimesKind,
  type TimesLesson,
  type TimesTaught,
} from '@/core/batch';
import type { KitchenCosting } from '@/core/costing';
import { cookedOn, type WrittenBatch } from '@/core/kitchen-file';
import type { BatchLessons } from './batch-lessons';
import { learnable, type LearnableFigure, type Learnable } from './learnable';
import { timesEffect, type LearnedEffect } from './learned-effect';

/** A figure that is learned as a multiple of the value in use now. */
export interface TimesRow extends Omit<TimesTaught, 'lessons'> {
  readonly kind: TimesKind;
  readonly title: string;
  readonly lessons: readonly (TimesTaught['lessons'][number] & {
    readonly name: string;
    readonly on: string;
  })[];
  readonly waits: boolean;
  /** The value weighed on the bench is in use; it changes there, not here. */
  readonly weighed: boolean;
  /** The value in use and what it would be; undefined where it is several figures at once. */
  readonly figure: LearnableFigure | undefined;
  readonly moves: readonly LearnedEffect[];
  /** So many more sheets would move. */
  readonly moreMoves: number;
  /** What bones of each supplier gave, where batches were of more than one’s. */
  readonly suppliers: readonly BySupplier[];
}

/** What batches of one supplier’s say by themselves. */
export interface BySupplier {
  readonly id: string;
  readonly name: string;
  readonly batches: number;
  readonly mean: number;
  readonly figure: LearnableFigure | undefined;
}

/** Whose a batch’s bones were: of the last delivery before it was put on; undefined where none is written down. */
export type CameFrom = (
  ingredient: string,
  batch: string,
) => { readonly id: string; readonly name: string } | undefined;

const LEAST_BATCHES = 2;
/** A learned figure of which less than this share would move does not wait; how full portions are is nearer known. */
const MOVES_LITTLE: Readonly<Partial<Record<TimesKind, number>>> = { pours: 0.01 };
const LITTLE = 0.05;

const leftOutIn = ({ events }: WrittenBatch, kind: TimesKind, of: string): string | undefined =>
  events.find((e) => e.is === 'not learned' && e.kind === kind && e.of === of)?.id;

/** What a lesson of a line is of: what its sheet loses at such lines, and how full its portions are, is that sheet’s own. */
const whose = ({ recipe }: WrittenBatch, { kind, of }: LeftLesson): string =>
  kind === 'loses' || kind === 'pours' ? `${recipe} ${of}` : of;

/** A lesson as a multiple of the value in use today: of a line, what its sheet says now. */
function today(l: LeftLesson, now: number | undefined): Pick<TimesLesson, 'times' | 'sd'> | undefined {
  if (!l.share) return { times: l.times, sd: l.sd };
  if (now === undefined) return undefined;
  if (l.kind === 'pours') {
    const by = (1 + l.share.line) / (1 + now);
    return { times: l.times * by, sd: l.sd * by };
  }
  const by = l.share.line / now;
  return now > 0 ? { times: l.times * by, sd: l.sd * by } : undefined;
}

/** Batches that are over, and what each of them says. */
export interface LessonSource {
  readonly batches: readonly WrittenBatch[];
  readonly said: ReadonlyMap<string, BatchLessons>;
}

/** What batches say of figures of one kind, as a multiple of the value in use. */
function lessonsIn(costing: KitchenCosting, { batches, said }: LessonSource, kind: TimesKind): TimesLesson[] {
  const shares = new Map<string, number | undefined>();
  const shareNow = (of: string): number | undefined => {
    if (!shares.has(of)) shares.set(of, learnable(costing, kind, of)?.share);
    return shares.get(of);
  };
  return batches.flatMap((batch): TimesLesson[] => {
    const says = said.get(batch.id);
    if (!says) return [];
    const of = (what: string, times: number, sd = 0): TimesLesson => ({
      batch: batch.id,
      of: what,
      times,
      sd,
      leftOut: leftOutIn(batch, kind, what),
    });
    if (kind === 'hands') return says.hands.map((h) => of(h.kind, h.times));
    if (kind === 'gives') return says.gave ? [of(says.gave.of, says.gave.times, says.gave.sd)] : [];
    return says.left.flatMap((l) => {
      if (l.kind !== kind) return [];
      const what = whose(batch, l);
      const now = today(l, l.share && shareNow(what));
      return now ? [of(what, now.times, now.sd)] : [];
    });
  });
}

/** What is learned about a figure, as a multiple of the value in use; undefined where nothing is. */
export const timesOf = (
  costing: KitchenCosting,
  looked: LessonSource,
  kind: TimesKind,
  of: string,
  counts: (lesson: TimesLesson) => boolean = () => true,
): number | undefined =>
  timesTaught(
    kind,
    lessonsIn(costing, looked, kind).filter((l) => l.of === of && counts(l)),
  )[0]?.learned?.mean;

/** Ingredients that batches say something of what they give. */
export const giversIn = ({ said }: LessonSource): string[] => [
  ...new Set([...said.values()].flatMap((s) => (s.gave ? [s.gave.of] : []))),
];

/** What each supplier’s said by themselves; nothing where all were one’s. */
function bySupplier(row: TimesTaught, from: CameFrom, is: Learnable): BySupplier[] {
  const groups = new Map<string, { name: string; lessons: TimesLesson[] }>();
  for (const lesson of row.lessons) {
    const whose = from(row.of, lesson.batch);
    if (!whose || lesson.leftOut !== undefined) continue;
    const group = groups.get(whose.id) ?? { name: whose.name, lessons: [] };
    group.lessons.push(lesson);
    groups.set(whose.id, group);
  }
  if (groups.size < 2) return [];
  return [...groups].flatMap(([id, { name, lessons }]): BySupplier[] => {
    const mean = timesTaught('gives', lessons)[0]?.learned?.mean;
    return mean === undefined ? [] : [{ id, name, batches: lessons.length, mean, figure: is.figure(mean) }];
  });
}

/** Whether what an ingredient keeps was weighed on the bench: drained bones say more of it than two dips. */
export function isWeighed({ state, day }: KitchenCosting, ingredient: string): boolean {
  const found = state.ingredients.find((i) => i.id === ingredient);
  return found !== undefined && cookedOn(found, 'retention', day) !== undefined;
}

const KINDS: readonly TimesKind[] = ['gives', 'keeps', 'clings', 'loses', 'pours', 'hands'];

/** Every figure that batches teach as a multiple of the value in use; those that wait for a person come first. */
export function timesRows(
  costing: KitchenCosting,
  looked: LessonSource,
  byId: ReadonlyMap<string, WrittenBatch>,
  from: CameFrom,
): TimesRow[] {
  return KINDS.flatMap((kind) =>
    timesTaught(kind, lessonsIn(costing, looked, kind)).flatMap((row): TimesRow[] => {
      const is = learnable(costing, kind, row.of);
      if (!is) return [];
      const counted = row.lessons.filter((l) => l.leftOut === undefined).length;
      const weighed = kind === 'keeps' && isWeighed(costing, row.of);
      const mean = row.learned?.mean ?? 1;
      const suppliers = kind === 'gives' ? bySupplier(row, from, is) : [];
      // With one supplier's value in use, what all say together asks for nothing more.
      const chosen = suppliers.some((s) => Math.abs(s.mean - 1) <= LITTLE);
      const waits =
        !chosen &&
        row.learned !== undefined &&
        !weighed &&
        counted >= LEAST_BATCHES &&
        Math.abs(mean - 1) > (MOVES_LITTLE[kind] ?? LITTLE) &&
        is.figure(mean)?.stays !== true;
      const moved = waits ? timesEffect(costing, kind, row.of, mean, is) : { moves: [], more: 0 };
      return [
        {
          ...row,
          kind,
          weighed,
          title: is.title,
          lessons: row.lessons.map((l) => ({
            ...l,
            name: byId.get(l.batch)?.name ?? '',
            on: byId.get(l.batch)?.startedAt ?? '',
          })),
          waits,
          figure: is.figure(mean),
          moves: moved.moves,
          moreMoves: moved.more,
          suppliers,
        },
      ];
    }),
  ).sort((a, b) => Number(b.waits) - Number(a.waits));
}

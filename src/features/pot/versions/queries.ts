import 'server-only';
import { notFound } from 'next/navigation';
import { costOfProduct, type KitchenCosting } from '@/core/costing';
import { lineWords, namesIn, type WrittenChoice, type WrittenRecipe } from '@/core/kitchen-file';
import { proposalEffects, type ProposalEffect } from '@/core/taught';
import type { WrittenStep } from '@/core/verbs';
import { recipeAt, versionRows, type VersionRow } from '@/db/recipes/recipe-versions';
import { database } from '@/server/database';
import { Refused } from '@/server/door';
import { costedKitchen, costedWith } from '@/server/kitchen';
import { may, type Worker } from '@/server/session';
import { mustAllBeThere } from '../making';

/** Versions listed: years of a sheet that is changed now and then. */
const MOST_LISTED = 200;
/** Versions beside each other beside the one that stands. */
export const MOST_BESIDE = 3;

/** What a sheet comes to at a version, at today's prices and yields. */
export interface VersionFigures {
  readonly litres: number | null;
  readonly saltPct: number | null;
  readonly body: number | null;
  readonly hobHours: number | null;
  readonly perL: number | null;
  readonly perPortion: number | null;
  readonly warnings: number;
}

/** A version compared with the one that stands. */
export interface VersionBeside {
  readonly version: number;
  readonly figures: VersionFigures | undefined;
  /** Why it cannot be made any more. */
  readonly trouble: string | undefined;
  readonly lines: readonly { readonly id: string; readonly text: string }[];
  /** What of the rest of the kitchen would move with it. */
  readonly moved: readonly ProposalEffect[];
  /** The sheet as it stood, to put it back. */
  readonly sheet: {
    readonly steps: readonly WrittenStep[];
    readonly choices: readonly WrittenChoice[];
    readonly vessel: string;
    readonly hob: string;
  };
}

export interface VersionsPage {
  readonly id: string;
  readonly name: string;
  /** The version that stands. */
  readonly now: number;
  readonly figures: VersionFigures;
  readonly lines: VersionBeside['lines'];
  readonly rows: readonly (Omit<VersionRow, 'recordedAt'> & { readonly at: string })[];
  readonly beside: readonly VersionBeside[];
  readonly mayEdit: boolean;
}

function figuresOf(costing: KitchenCosting, id: string): VersionFigures {
  const run = costing.recipes.get(id)?.run;
  const last = run?.refused ? undefined : run?.rows.at(-1);
  const { perL } = costOfProduct(costing, id);
  const ml = run?.refused ? undefined : run?.product?.ml;
  return {
    litres: ml === undefined ? null : ml / 1000,
    saltPct: last?.saltPct ?? null,
    body: last?.body ?? null,
    hobHours: last?.hobHours ?? null,
    perL,
    perPortion: last?.portions && perL !== null ? (perL * last.portions.pouredMl) / 1000 : null,
    warnings: run?.rows.reduce((n, row) => n + row.warnings.length, 0) ?? 0,
  };
}

const linesOf = (recipe: WrittenRecipe, costing: KitchenCosting): VersionBeside['lines'] => {
  const names = { ...namesIn(costing.state), self: recipe.id };
  return recipe.steps.map((s, i) => ({
    id: s.id ?? String(i),
    text: lineWords(s, recipe, names),
  }));
};

/** A sheet's versions, and some of them beside the one that stands: figures at today's prices, lines, and what each would move. */
export async function versionsOf(who: Worker, id: string, wanted: readonly number[]): Promise<VersionsPage> {
  const kitchen = await costedKitchen(who.kitchenId);
  const { costing, versions } = kitchen;
  const now = costing.state.recipes.find((r) => r.id === id);
  if (!now) notFound();
  const sql = database();
  const rows = await versionRows(sql, who.kitchenId, id, MOST_LISTED);
  const beside: VersionBeside[] = [];
  for (const version of [...new Set(wanted)].slice(0, MOST_BESIDE)) {
    const was = await recipeAt(sql, who.kitchenId, id, version);
    if (!was) continue;
    const { steps, choices = [], vessel, hob } = was;
    const common = { version, lines: linesOf(was, costing), sheet: { steps, choices, vessel, hob } };
    const trouble = troubleOf(was, costing);
    if (trouble !== undefined) {
      beside.push({ ...common, figures: undefined, trouble, moved: [] });
      continue;
    }
    const then: WrittenRecipe = { ...now, steps, choices: was.choices, vessel, hob };
    const after = await costedWith(kitchen, (state) => ({
      ...state,
      recipes: state.recipes.map((r) => (r.id === id ? then : r)),
    }));
    beside.push({
      ...common,
      figures: figuresOf(after, id),
      trouble: undefined,
      moved: proposalEffects(costing, after).filter(
        (m) => m.per !== 'a usable kilo' && m.key !== `product:${id}`,
      ),
    });
  }
  return {
    id,
    name: now.name,
    now: versions.recipes.get(id) ?? 1,
    figures: figuresOf(costing, id),
    lines: linesOf(now, costing),
    rows: rows.map(({ recordedAt, ...r }) => ({ ...r, at: recordedAt.toISOString() })),
    beside,
    mayEdit: may(who.role, 'changer'),
  };
}

/** Why a version cannot stand again: it names what has been put away since. */
function troubleOf(was: WrittenRecipe, { state }: KitchenCosting): string | undefined {
  try {
    mustAllBeThere(was, state);
    return undefined;
  } catch (error) {
    if (error instanceof Refused) return error.trouble.message;
    throw error;
  }
}

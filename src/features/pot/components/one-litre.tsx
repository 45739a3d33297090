'use client';

import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { moneyStaying } from '@/core/layers';
import { useFigures } from '@/ui/figures';
import { LitreJug, strataOf } from '@/ui/litre-jug';
import type { PotSheetData } from '../queries';
import type { LivePot } from './use-pot';

/** What stands on top of the ingredients, each layer by its own name. */
const LAYER_WORDS = { packaging: 'packaging', energy: 'energy', hands: 'hands' } as const;

/** One litre of the finished thing, and where its money came from: the ingredients alone, or all layers that are known. */
export function OneLitre({ data, pot }: { data: PotSheetData; pot: LivePot }) {
  const { money } = useFigures();
  const [all, setAll] = useState(false);
  const { run } = pot;
  const perL = run.refused ? null : (pot.money[pot.money.length - 1]?.perL ?? null);
  if (perL === null || !run.product)
    return <p className="drawing-title">One litre is drawn here once its cost is whole.</p>;
  const litres = run.product.ml / 1000;
  const staying = moneyStaying(run.rows, pot.inputMoney);
  const strata = strataOf(
    run.inputs.map((input, i) => ({
      name: input.name,
      money: (staying[i] ?? 0) / litres,
      estimate: data.estimates.includes(input.supply),
    })),
  );
  const over = pot.layers
    .filter(([name]) => data.looksAt === undefined || data.looksAt.includes(name))
    .flatMap(([name, all]) =>
      all === null || all <= 0
        ? []
        : [{ name: LAYER_WORDS[name], money: all / litres, estimate: name !== 'packaging' }],
    );
  const ingredients = { name: 'ingredients', money: perL, estimate: strata.some((s) => s.estimate) };
  const shown = all ? [ingredients, ...over] : strata;
  // What is read adds up: the sum is that of the figures shown.
  const total = shown.reduce((sum, s) => sum + Math.round(s.money * 100) / 100, 0);
  return (
    <section aria-label="One litre">
      <p className="drawing-title">
        One litre at <b className="fig">{money(all ? total : perL)}</b>,{' '}
        {all ? 'all layers that are known' : 'and what it was paid for'}{' '}
        {over.length > 0 && (
          <Button
            variant="link"
            size="sm"
            className="p-0 align-baseline no-print"
            onClick={() => setAll(!all)}
          >
            {all ? 'ingredients only' : 'with all layers'}
          </Button>
        )}
      </p>
      <LitreJug strata={shown} />
    </section>
  );
}

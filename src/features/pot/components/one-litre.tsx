'use client';

import { moneyStaying } from '@/core/layers';
import { useFigures } from '@/ui/figures';
import { LitreJug, strataOf } from '@/ui/litre-jug';
import type { PotSheetData } from '../queries';
import type { LivePot } from './use-pot';

/** One litre of the finished thing, and where its money came from. */
export function OneLitre({ data, pot }: { data: PotSheetData; pot: LivePot }) {
  const { money } = useFigures();
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
  return (
    <section aria-label="One litre">
      <p className="drawing-title">
        One litre at <b className="fig">{money(perL)}</b>, and what it was paid for
      </p>
      <LitreJug strata={strata} />
    </section>
  );
}

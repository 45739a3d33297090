'use client';

import { useState } from 'react';
import Form from 'react-bootstrap/Form';
import { layerName, moneyStaying } from '@/core/layers';
import { isMade } from '@/core/supply';
import { useFormatters } from '@/ui/formatters-context';
import { LitreJug, strataOf, type Stratum } from '@/ui/drawings/litre-jug';
import type { PotSheetData } from '../../queries';
import type { ExtraLayer } from '../../reach';
import type { LivePot } from './use-pot';
import * as labels from './texts';

type Shown = 'ingredients' | ExtraLayer | 'all';

/** Layers beside the ingredients that the house looks at and that come to anything here; currency in the whole pot. */
const layersIn = (data: PotSheetData, pot: LivePot): (readonly [ExtraLayer, number])[] =>
  pot.layers.flatMap(([name, all]) =>
    all !== null && all > 0 && (data.looksAt === undefined || data.looksAt.includes(name))
      ? [[name, all] as const]
      : [],
  );

/** What a layer's money in a litre was spent on: steps by what they say, products by their names. */
function layerStrata(pot: LivePot, layer: ExtraLayer, texts: readonly string[], litres: number): Stratum[] {
  return strataOf(
    (pot.sharesOf(layer) ?? []).map(({ supply, row, money }) => ({
      name: isMade(supply)
        ? (pot.run.inputs.find((i) => i.supply === supply)?.name ?? '')
        : (texts[pot.run.rows[row]?.step ?? -1] ?? ''),
      money: money / litres,
      estimate: layer !== 'packaging',
    })),
  );
}

/** One litre of the finished thing, and where its money came from: the ingredients, any other layer, or all of them together. */
export function LitreCost({
  data,
  pot,
  texts,
}: {
  readonly data: PotSheetData;
  readonly pot: LivePot;
  readonly texts: readonly string[];
}) {
  const { money } = useFormatters();
  const [wanted, setWanted] = useState<Shown>('ingredients');
  const { run } = pot;
  const perL = run.refused ? null : (pot.money[pot.money.length - 1]?.perL ?? null);
  if (perL === null || !run.product) return <p className="drawing-title">{labels.oneLitreDrawnHere}</p>;
  const litres = run.product.ml / 1000;
  const over = layersIn(data, pot);
  const shown = wanted === 'all' || over.some(([name]) => name === wanted) ? wanted : 'ingredients';
  const staying = moneyStaying(run.rows, pot.inputMoney);
  const ingredients = strataOf(
    run.inputs.map((input, i) => ({
      name: input.name,
      money: (staying[i] ?? 0) / litres,
      estimate: data.estimates.includes(input.supply),
    })),
  );
  const strata: readonly Stratum[] =
    shown === 'ingredients'
      ? ingredients
      : shown === 'all'
        ? [
            { name: 'ingredients', money: perL, estimate: ingredients.some((s) => s.estimate) },
            ...over.map(([name, all]) => ({ name, money: all / litres, estimate: name !== 'packaging' })),
          ]
        : layerStrata(pot, shown, texts, litres);
  // What is read adds up: with all layers the sum is that of the figures shown.
  const total =
    shown === 'ingredients'
      ? perL
      : shown === 'all'
        ? strata.reduce((sum, s) => sum + Math.round(s.money * 100) / 100, 0)
        : (over.find(([name]) => name === shown)?.[1] ?? 0) / litres;
  return (
    <section aria-label={labels.oneLitre}>
      <p className="drawing-title">
        {labels.oneLitreHeading} <b className="fig">{money(total)}</b>,{' '}
        {shown === 'all' ? labels.allLayersKnown : layerName(shown)}
        {over.length > 0 && <LayerOf shown={shown} over={over} onShow={setWanted} />}
      </p>
      <LitreJug strata={strata} />
    </section>
  );
}

/** Which layer the jug shows. */
const LayerOf = ({
  shown,
  over,
  onShow,
}: {
  readonly shown: Shown;
  readonly over: readonly (readonly [ExtraLayer, number])[];
  readonly onShow: (shown: Shown) => void;
}) => (
  <Form.Select
    size="sm"
    className="no-print mt-1"
    aria-label={labels.whatLitreShows}
    value={shown}
    onChange={(event) => onShow(event.target.value as Shown)}
  >
    {(['ingredients', ...over.map(([name]) => name), 'all'] as const).map((name) => (
      <option key={name} value={name}>
        {name === 'all' ? labels.allLayers : layerName(name)}
      </option>
    ))}
  </Form.Select>
);

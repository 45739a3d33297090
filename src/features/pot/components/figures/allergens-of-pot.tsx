'use client';

import Table from 'react-bootstrap/Table';
import { useState } from 'react';
import { allergenWords } from '@/core/safety';
import { bodyAt, type LedgerRow } from '@/core/pot';
import { useFormatters } from '@/ui/formatters-context';
import { TroubleText } from '@/ui/forms/trouble-text';
import { TypedField } from '@/ui/forms/typed-field';
import { useSave } from '@/ui/forms/use-save';
import type { PotSheetData } from '../../queries';
import { saveServed } from '../../wire';
import type { LivePot } from './use-pot';
import * as texts from './texts';

/** °C at the table where nobody has said. */
const TABLE = 65;

/** What a spoon says of a body. */
const SPOON: readonly (readonly [number, string])[] = [
  [0.15, texts.runsLikeWater],
  [0.5, texts.thinLikeSoup],
  [0.85, 'pours'],
  [1.4, texts.coatsSpoon],
  [2.5, 'binds'],
  [Infinity, texts.standsLikePaste],
];
const spoonWords = (body: number): string => SPOON.find(([below]) => body < below)?.[1] ?? '';

/** What every dish that is made from this pot takes over from it: body, salt, fat, alcohol and allergens. */
export function AllergensOfPot({ data, pot }: { readonly data: PotSheetData; readonly pot: LivePot }) {
  const { bare } = useFormatters();
  const last = pot.run.rows[pot.run.rows.length - 1];
  if (!last || last.ml < 0.5) return null;
  return (
    <section aria-label={texts.whatBringsIntoEvery}>
      <Body data={data} last={last} />
      <Shares last={last} />
      {last.bindingGPerL > 0.05 && (
        <p className="quiet small-line">{texts.bindsLikeGFlour(bare(last.bindingGPerL, 0))}</p>
      )}
      <p className="mt-2">
        {last.allergens.length === 0 ? (
          <span className="quiet">{allergenWords.none}</span>
        ) : (
          <b>{allergenWords.contains(last.allergens)}</b>
        )}
      </p>
    </section>
  );
}

/** Salt, gelatin, fat and alcohol; where pieces are served, of the liquid and of the spoonful, for they are not the same. */
function Shares({ last }: { readonly last: LedgerRow }) {
  const { bare } = useFormatters();
  const { spoonful } = last;
  const rows: readonly (readonly [string, number, number | undefined])[] = [
    ['salt', last.saltPct, spoonful?.saltPct],
    ['gelatin', last.gelatinPct, undefined],
    ['fat', last.fatPct, spoonful?.fatPct],
    [texts.alcoholLeft, last.ethanolPct, undefined],
  ];
  const pct = (of: number): string => `${bare(of, of < 0.1 ? 2 : 1)} %`;
  return (
    <Table size="sm" borderless>
      {spoonful && (
        <thead>
          <tr>
            <td />
            <th scope="col">{texts.liquid}</th>
            <th scope="col">{texts.spoonful}</th>
          </tr>
        </thead>
      )}
      <tbody>
        {rows.map(([name, liquid, spoon]) => (
          <tr key={name}>
            <th scope="row">{name}</th>
            <td className="fig">{pct(liquid)}</td>
            {spoonful && <td className="fig strong">{spoon === undefined ? '' : pct(spoon)}</td>}
          </tr>
        ))}
      </tbody>
    </Table>
  );
}

/** How thick it is hot, and how thick at the table: cold thickens, so what is for later can be cooked thinner. */
function Body({ data, last }: { readonly data: PotSheetData; readonly last: LedgerRow }) {
  const { bare } = useFormatters();
  const [keep, state] = useSave();
  const [typed, setTyped] = useState<string>();
  const kept = data.recipe.serveCelsius;
  const text = kept === undefined ? '' : String(kept).replace('.', data.mark);
  const wanted = typed === undefined || typed.trim() === '' ? undefined : Number(typed.replace(',', '.'));
  const celsius = wanted !== undefined && Number.isFinite(wanted) ? wanted : (kept ?? TABLE);
  const served = bodyAt(last.bodyOf, celsius, data.constants);
  return (
    <div className="ruled">
      <div>
        <b className="fig">{bare(last.body, 2)}</b> {texts.bodyHot}{' '}
        <span className="quiet">{spoonWords(last.body)}</span>
      </div>
      <div>
        <b className="fig">{bare(served, 2)}</b> {texts.served}{' '}
        <TypedField
          label={texts.servedC}
          value={text}
          placeholder={String(TABLE)}
          disabled={!data.mayEdit}
          onTyped={setTyped}
          onDone={(at) => {
            setTyped(undefined);
            if (at.trim() !== text) void keep(() => saveServed({ id: data.recipe.id, at }));
          }}
        />{' '}
        {texts.c}
        {spoonWords(served) !== spoonWords(last.body) && (
          <span className="quiet">, {spoonWords(served)}</span>
        )}
      </div>
      <TroubleText says={state.message} />
    </div>
  );
}

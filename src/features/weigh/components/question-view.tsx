'use client';

import dynamic from 'next/dynamic';
import Link from 'next/link';
import { useMemo, useState, type CSSProperties } from 'react';
import Stack from 'react-bootstrap/Stack';
import { layerText } from '@/core/layers';
import { useFormatters } from '@/ui/formatters-context';
import type { FlipShown, QuestionPage } from '../queries';
import { certaintyOf } from '../certainty';
import { AskTools } from './ask-tools';
import { HowSure } from './how-sure';
import { MeasureNextTable } from './weigh-next';
import { Jugs } from './jugs';
import { MANY_SIMULATIONS, SIMULATIONS, useSimulations } from './use-simulations';
import { WaysTable } from './ways-table';
import * as texts from './texts';

const FlipChart = dynamic(() => import('./charts').then((m) => m.FlipChart), { ssr: false });

/** Width of the two jugs beside what is said. */
const SIDE = { '--side': '440px' } as CSSProperties;

/** The way that is drawn beside the first: the cheapest, or where that is the first the next. */
function usualOther({ perL, best }: QuestionPage): number {
  if (best !== undefined && best !== 0) return best;
  const others = perL.map((cost, i) => ({ cost, i })).filter(({ i, cost }) => i > 0 && cost !== null);
  others.sort((a, b) => (a.cost ?? 0) - (b.cost ?? 0));
  return others[0]?.i ?? 1;
}

/** A question laid out: which way is the cheapest, by how much, how sure that is, and at which price it flips. */
export function QuestionView({ page }: { readonly page: QuestionPage }) {
  const [chosen, setChosen] = useState<number | undefined>();
  const other = chosen ?? usualOther(page);
  const [many, setMany] = useState(SIMULATIONS);
  const { drawn, stop } = useSimulations(page.setup, page.first, many);
  const sure = useMemo(
    () => (drawn.done > 0 ? certaintyOf(drawn.values, page.ways.length, page.meets) : undefined),
    [drawn, page.ways.length, page.meets],
  );
  const flip = page.flips.find((f) => f.way === other);
  return (
    <>
      <Stack direction="horizontal" gap={3} className="page-head">
        <div className="me-auto">
          <h1>{page.title}</h1>
          <p className="lead-line">
            {leadOf(page)}
            {page.recipe && (
              <>
                {' · '}
                <Link prefetch={false} href={`/pot/${page.recipe.id}`}>
                  {texts.sheet(page.recipe.name)}
                </Link>
              </>
            )}
          </p>
        </div>
      </Stack>
      <AskTools page={page} />
      {page.trouble !== undefined && (
        <p className="warning" role="status">
          {page.trouble}
        </p>
      )}
      {page.ways.length > 0 && (
        <>
          <div className="beside" style={SIDE}>
            <div>
              <Answer page={page} />
              <HowSure
                page={page}
                sure={sure}
                drawn={drawn}
                stop={stop}
                more={many < MANY_SIMULATIONS ? () => setMany(MANY_SIMULATIONS) : undefined}
                of={[0, other]}
              />
            </div>
            <Jugs page={page} of={[0, other]} />
          </div>
          <WaysTable page={page} sure={sure} chosen={other} choose={setChosen} />
          <div className="two-halves">
            {flip && <Flips page={page} flip={flip} />}
            <MeasureNextTable page={page} drawn={drawn} of={[0, other]} />
          </div>
        </>
      )}
    </>
  );
}

function leadOf({ asks, layers, ways }: QuestionPage): string {
  const counted = texts.counted(layerText(layers));
  if (asks.of !== 'base') return counted;
  const litres = ways[0]?.figures.litres.toFixed(1) ?? '';
  return texts.sameLitresBodyOr(litres, asks.body, asks.saltPct, counted);
}

/** The answer in a sentence: the cheapest way, and by how much. */
function Answer({ page }: { readonly page: QuestionPage }) {
  const { money } = useFormatters();
  const { best, perL, ways, meets } = page;
  if (best === undefined) return <p className="fs-5">{texts.noneTheseMeetsRequest}</p>;
  const known = perL.flatMap((cost, i) => (cost === null || i === best || !meets[i] ? [] : [{ cost, i }]));
  const next = known.sort((a, b) => a.cost - b.cost)[0];
  return (
    <p role="status">
      <span className="fig-large hot">{ways[best]?.name}</span>
      <span className="fig-label">
        {texts.cheapest} <b>{money(perL[best])}</b> {texts.perLitre}
        {next && (
          <>
            , <b>{money(next.cost - (perL[best] ?? 0))}</b> {texts.lessThan} {ways[next.i]?.name}
          </>
        )}
      </span>
    </p>
  );
}

/** The price of one thing at which the answer is another. */
function Flips({ page, flip }: { readonly page: QuestionPage; readonly flip: FlipShown }) {
  const { money } = useFormatters();
  const names = [page.ways[0]?.name ?? '', page.ways[flip.way]?.name ?? ''] as const;
  return (
    <section aria-label={texts.breakEvenPrice}>
      <h2>{texts.breakEvenPrice}</h2>
      <p className="m-0">
        {flip.times === undefined ? (
          <>{texts.noPriceMakesBoth(flip.ingredient.name, money(flip.perKg))}</>
        ) : (
          <>
            {texts.at} <b className="fig">{money(flip.perKg * flip.times)}</b>{' '}
            {texts.perKiloBothCost(flip.ingredient.name, money(flip.perKg))}
          </>
        )}
      </p>
      <FlipChart flip={flip} names={names} />
    </section>
  );
}

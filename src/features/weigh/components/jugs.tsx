'use client';

import { useFormatters } from '@/ui/formatters-context';
import { LitreJug, strataOf } from '@/ui/drawings/litre-jug';
import type { QuestionPage } from '../queries';
import * as texts from './texts';

/** Two litres side by side, and where the money of each came from. */
export function Jugs({ page, of }: { readonly page: QuestionPage; readonly of: readonly [number, number] }) {
  const { money } = useFormatters();
  return (
    <section aria-label={texts.twoLitresSideSide} className="two-jugs">
      {of.map((i, n) => {
        const way = page.ways[i];
        if (!way) return null;
        return (
          <figure key={n} className="m-0">
            <figcaption className="drawing-title">
              {way.name}
              <br />
              <b className="fig-large">{money(page.perL[i])}</b> {texts.perLitre}
            </figcaption>
            {way.paid.length > 0 ? (
              <LitreJug
                strata={strataOf(way.paid.map((p) => ({ name: p.name, money: p.perL, estimate: false })))}
              />
            ) : (
              <p className="quiet">{way.figures.trouble ?? texts.priceNotKnownYet}</p>
            )}
          </figure>
        );
      })}
    </section>
  );
}

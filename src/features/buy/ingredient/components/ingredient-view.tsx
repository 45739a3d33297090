'use client';

import { Panel } from '@/ui/panels/panel';
import Stack from 'react-bootstrap/Stack';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useMissing } from '@/ui/forms/missing';
import { useFormatters } from '@/ui/formatters-context';
import { MovementChart } from '@/ui/drawings/movement-chart';
import { WhyFigure } from '@/ui/panels/why';
import { UsedBy } from '@/ui/tables/used-by';
import { IngredientTools } from '../../own/components/ingredient-tools';
import { containsText, LabelForm } from '../../own/components/label-form';
import type { IngredientPage } from '../queries';
import { SubstituteForm } from './substitute-form';
import { Sellers } from './sellers';
import { WhichPrice } from './which-price';
import * as texts from './texts';

/** One ingredient: who sells it at what per usable kilo, how that moved, and which price counts. */
export function IngredientView({ page }: { page: IngredientPage }) {
  const { money } = useFormatters();
  return (
    <>
      <Stack direction="horizontal" gap={3} className="page-head align-items-start">
        <div>
          <h1>{page.name}</h1>
          <p className="lead-line">
            {texts.costed(page.basisWords)}
            {page.note && <span className="dearer"> · {page.note}</span>}
            <UsedBy by={page.usedBy} lead={texts.used} />
          </p>
          {page.mayEdit && <IngredientTools of={page} users={page.usedBy} />}
        </div>
        <ThreeFigures page={page} />
      </Stack>
      <div className="beside">
        <div>
          <h2>{texts.whatKiloCostBought}</h2>
          {page.sellers.some((s) => s.movement.length > 0) ? (
            <MovementChart
              label={`Price of a kilo of ${page.name} over time, ${page.sellers.map((s) => `${s.supplier} now ${money(s.perKg)}`).join(', ')}`}
              lines={page.sellers.map((s) => ({ name: `${s.supplier}, ${s.pack}`, points: s.movement }))}
              until={page.today}
              height={230}
            />
          ) : (
            <NoMovement page={page} />
          )}
          <Sellers page={page} />
        </div>
        <Panel>
          <WhichPrice page={page} />
          <SubstituteForm page={page} />
          <Facts page={page} />
        </Panel>
      </div>
    </>
  );
}

function Facts({ page }: { page: IngredientPage }) {
  return (
    <section>
      <h2>{texts.whatKnown}</h2>
      <dl className="mb-0 small-line">
        <dt>{texts.carries}</dt>
        <dd>
          {containsText(page)} {page.mayEdit && <LabelForm of={page} />}
        </dd>
        {page.reference && (
          <>
            <dt>{texts.startingPoint}</dt>
            <dd>
              {texts.usableConfidenceHere(
                page.reference.name,
                page.reference.usable,
                page.reference.confidence,
                page.reference.own,
              )}
            </dd>
          </>
        )}
        {page.spellings.length > 0 && (
          <>
            <dt>{texts.alsoWritten}</dt>
            <dd>
              {page.spellings.map((s) => s.name).join(', ')} (
              <Link prefetch={false} href="/buy/larder">
                {texts.separate}
              </Link>
              )
            </dd>
          </>
        )}
      </dl>
    </section>
  );
}

/** What a kilo costs as bought, what is usable of it, and what a usable kilo costs. */
function ThreeFigures({ page }: { readonly page: IngredientPage }) {
  const { money } = useFormatters();
  return (
    <Stack direction="horizontal" gap={4} className="head-figures">
      <div>
        <span className="fig-large">{page.perKg === null ? '–' : money(page.perKg)}</span>
        <span className="fig-label">{page.comesOff ? texts.perKiloComesOff : texts.perKiloBought}</span>
      </div>
      <div>
        <span className={`fig-large${page.estimate ? ' estimate' : ''}`}>{page.usablePct} %</span>
        <Link prefetch={false} className="fig-label" href={`/trim/${page.id}`}>
          {page.estimate ? texts.usableEstimate : texts.usableTests}
        </Link>
      </div>
      <div>
        <span className="fig-large hot">
          {page.usablePerKg === null ? (
            <span className="incomplete">{page.trouble ?? texts.noPrice}</span>
          ) : (
            <WhyFigure of={`usable:${page.id}`} label={texts.usableKiloName(page.name)} className="hot">
              {money(page.usablePerKg)}
            </WhyFigure>
          )}
        </span>
        <span className="fig-label">{texts.usableKilo}</span>
      </div>
    </Stack>
  );
}

/** Why there is no price to draw yet. */
function NoMovement({ page }: { readonly page: IngredientPage }) {
  const missing = useMissing();
  const router = useRouter();
  if (!page.comesOff && page.mayEdit && page.sellers.length === 0 && missing)
    return <missing.NoPrice ingredient={page.id} name={page.name} there={() => router.refresh()} />;
  return (
    <p className="quiet">
      {page.comesOff ? (
        <>
          {texts.comesOff}{' '}
          <Link prefetch={false} href={`/trim/${page.comesOff.id}`}>
            {page.comesOff.name}
          </Link>
          {texts.costsWhatIngredientsTrim}
        </>
      ) : (
        <>
          {texts.notBoughtYetEnter}{' '}
          <Link prefetch={false} href="/buy/purchases/new">
            {texts.purchases}
          </Link>{' '}
          {texts.priceDrawnHere}
        </>
      )}
    </p>
  );
}

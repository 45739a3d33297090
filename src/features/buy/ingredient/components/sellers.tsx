'use client';

import Button from 'react-bootstrap/Button';
import { useState } from 'react';
import Form from 'react-bootstrap/Form';
import { useFormatters } from '@/ui/formatters-context';
import { TypedField } from '@/ui/forms/typed-field';
import { useSave } from '@/ui/forms/use-save';
import { TroubleText } from '@/ui/forms/trouble-text';
import { ArchivedList } from '@/ui/tables/archived-list';
import { saveSetting, saveWeighing, archiveArticle } from '../wire';
import { AnotherArticle, ArticleTools } from './article-panel';
import type { IngredientPage, SellerRow } from '../queries';
import { useWeighed } from './use-weighed';
import { SheetTable } from '@/ui/tables/sheet-table';
import * as texts from './texts';

/** Who sells it, the cheapest usable kilo first. */
export function Sellers({ page }: { page: IngredientPage }) {
  const { currencySign } = useFormatters();
  const [keep, state] = useSave();
  const cheapest = page.sellers.find((s) => s.usablePerKg !== null)?.id;
  const now = page.sellers.find((s) => s.costedFrom)?.id;
  const [chosen, choose] = useState(now);
  const costFrom = (boughtAs: string | null): void => {
    choose(boughtAs ?? now);
    void keep((seen) => saveSetting({ id: page.id, seen: seen ?? page.version, boughtAs })).then((ok) => {
      if (!ok) choose(now);
    });
  };
  const gone = (
    <ArchivedList rows={page.awayArticles} bringBack={(id) => archiveArticle({ id, away: false })} />
  );
  if (page.sellers.length === 0) return page.awayArticles.length === 0 ? null : gone;
  return (
    <section>
      <h2 id="sellers">{texts.suppliers}</h2>
      <SheetTable className="tall" aria-labelledby="sellers">
        <thead>
          <tr>
            <th scope="col">{texts.costedFrom}</th>
            <th scope="col" className="left">
              {texts.article}
            </th>
            <th scope="col" className="left">
              {texts.packHeading}
            </th>
            <th scope="col">{texts.packCurrencySign(currencySign)}</th>
            <th scope="col">{texts.perKilo(currencySign)}</th>
            <th scope="col">{texts.usableKiloIn(currencySign)}</th>
          </tr>
        </thead>
        <tbody>
          {page.sellers.map((s) => (
            <Seller
              key={s.id}
              page={page}
              seller={s}
              chosen={s.id === chosen}
              cheapest={s.id === cheapest && page.sellers.length > 1}
              onChoose={() => costFrom(s.id)}
            />
          ))}
        </tbody>
      </SheetTable>
      <Follows page={page} onFollow={() => costFrom(null)} />
      <TroubleText says={state.message} both={state.both} />
      <AnotherArticle page={page} />
      {gone}
    </section>
  );
}

function Money({ value }: { value: number | null }) {
  const { bare } = useFormatters();
  return <>{bare(value)}</>;
}

function Price({ seller: s }: { seller: SellerRow }) {
  const { bare, day } = useFormatters();
  return (
    <>
      {bare(s.packPrice)}
      {s.since && (
        <div className="quiet small-line">{s.invoice ? `${day(s.since)}, ${s.invoice}` : day(s.since)}</div>
      )}
    </>
  );
}

/** What a pack says it holds, and what one really held. */
function PackWeighing({ page, seller: s }: { page: IngredientPage; seller: SellerRow }) {
  const { kilos, said } = useFormatters();
  const [keep, state] = useSave();
  const [open, setOpen] = useState(false);
  const weighed = useWeighed(page);
  return (
    <>
      <span className="fig">{s.pack}</span>{' '}
      <span className="quiet small-line">
        {s.weighedOn
          ? said(texts.held(kilos(s.packG), s.weighedOn))
          : !s.byWeight && texts.calculated(kilos(s.packG))}
      </span>
      {page.mayEdit && !open && (
        <>
          {' '}
          <Button variant="link" size="sm" aria-label={texts.weighPack(s.name)} onClick={() => setOpen(true)}>
            {texts.weighOne}
          </Button>
        </>
      )}
      {open && (
        <div>
          <TypedField
            label={texts.whatPackHeld(s.name)}
            value=""
            understood={weighed.words}
            trouble={state.message}
            describedBy={`weigh-${s.id}`}
            onTyped={() => undefined}
            onDone={(typed) =>
              void keep((seen) =>
                saveWeighing({ id: page.id, seen: seen ?? page.version, article: s.id, typed }),
              ).then((ok) => ok && setOpen(false))
            }
          />
          <TroubleText id={`weigh-${s.id}`} as="div" says={state.message} both={state.both} />
        </div>
      )}
    </>
  );
}

/** One who sells it: the pack, its price, and what a usable kilo then comes to. */
function Seller({
  page,
  seller: s,
  chosen,
  cheapest,
  onChoose,
}: {
  readonly page: IngredientPage;
  readonly seller: SellerRow;
  readonly chosen: boolean;
  readonly cheapest: boolean;
  readonly onChoose: () => void;
}) {
  return (
    <tr className={s.costedFrom ? 'chosen' : ''}>
      <td>
        <Form.Check
          type="radio"
          name="costed-from"
          checked={chosen}
          disabled={!page.mayEdit || s.perKg === null}
          aria-label={texts.costFrom(page.name, s.name, s.supplier)}
          onChange={() => onChoose()}
        />
      </td>
      <td className="left">
        {s.name}
        <div className="quiet small-line">
          {s.supplier}
          {s.code ? ` · ${s.code}` : ''}
          {s.allergens ? texts.label(s.allergens.join(', ')) : ''}
        </div>
      </td>
      <td className="left">
        <PackWeighing page={page} seller={s} /> <ArticleTools page={page} seller={s} />
      </td>
      <td className="fig">
        <Price seller={s} />
      </td>
      <td className="fig">
        <Money value={s.perKg} />
      </td>
      <td className="fig strong">
        {cheapest && <span className="cheaper small-line">{texts.cheapest} </span>}
        <Money value={s.usablePerKg} />
      </td>
    </tr>
  );
}

/** Whether it stays with one article or goes after the last price. */
function Follows({ page, onFollow }: { readonly page: IngredientPage; readonly onFollow: () => void }) {
  return (
    <p className="small-line">
      {page.boughtAs ? (
        <>
          {texts.staysArticleChosen}{' '}
          {page.mayEdit && (
            <Button variant="plain" size="sm" onClick={onFollow}>
              {texts.followWhicheverPricedLast}
            </Button>
          )}
        </>
      ) : (
        <span className="quiet">{texts.followsWhicheverArticlePriced}</span>
      )}
    </p>
  );
}

'use client';

import { X } from 'lucide-react';
import dynamic from 'next/dynamic';
import Link from 'next/link';
import { useState, type CSSProperties } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import Stack from 'react-bootstrap/Stack';
import type { InMix } from '@/core/costing';
import { ArchivedList } from '@/ui/tables/archived-list';
import { Combo } from '@/ui/forms/combo';
import { layersText } from '@/ui/frame/counted-layers';
import { LayerSwitch } from '@/ui/frame/layer-switch';
import { useFormatters } from '@/ui/formatters-context';
import { Panel } from '@/ui/panels/panel';
import { SheetTable } from '@/ui/tables/sheet-table';
import { TroubleText } from '@/ui/forms/trouble-text';
import { TypedField } from '@/ui/forms/typed-field';
import { findMenuPlates } from '../actions';
import type { MenusPage, OnMenu } from '../queries';
import { archiveMenu } from '../send';
import { MenuTools } from './menu-tools';
import { useMenu } from './use-menu';
import * as texts from './texts';

const NewMenu = dynamic(() => import('./menu-forms').then((m) => m.NewMenu), { ssr: false });

/** Width of what stands beside a menu's plates. */
const SIDE = { '--side': '300px' } as CSSProperties;

/** Menus: what a mix of sales costs of what it brings, and which plates carry it. */
export function MenusView({ page }: { readonly page: MenusPage }) {
  const { menu, menus, mayEdit } = page;
  const [making, setMaking] = useState(false);
  return (
    <>
      <Stack direction="horizontal" gap={3} className="page-head">
        <div className="me-auto">
          <h1>{menu ? menu.typed.name : texts.menus}</h1>
          <p className="lead-line">
            {menus.length === 0 ? texts.dishesSoldTogetherHow : <Others page={page} />}
          </p>
        </div>
        {menus.length > 0 && <LayerSwitch />}
        {mayEdit && menus.length > 0 && (
          <Button variant="outline-primary" onClick={() => setMaking(true)}>
            {texts.newMenu}
          </Button>
        )}
      </Stack>
      {page.gone && <p className="warning">{texts.noLongerHere}</p>}
      {menus.length === 0 && (
        <div className="my-4" style={{ maxWidth: '38rem' }}>
          <p className="fs-5">{texts.noMenusYet}</p>
          {mayEdit ? (
            <Button onClick={() => setMaking(true)}>{texts.createFirstMenu}</Button>
          ) : (
            <p>{texts.managerCreatesFirstOne}</p>
          )}
        </div>
      )}
      {menu && <OneMenu key={menu.id} menu={menu} page={page} />}
      {mayEdit && <ArchivedList rows={page.away} bringBack={(id) => archiveMenu({ id, away: false })} />}
      {making && <NewMenu close={() => setMaking(false)} />}
    </>
  );
}

/** The menus there are, the one that is looked at among them. */
function Others({ page: { menus, menu } }: { readonly page: MenusPage }) {
  return (
    <>
      {menus.map((m, i) => (
        <span key={m.id}>
          {i > 0 && ' · '}
          {m.id === menu?.id ? (
            <b>{m.name}</b>
          ) : (
            <Link prefetch={false} href={`/pour/menus?of=${m.id}`}>
              {m.name}
            </Link>
          )}
        </span>
      ))}
    </>
  );
}

type Live = ReturnType<typeof useMenu>;

function OneMenu({
  menu,
  page,
}: {
  readonly menu: NonNullable<MenusPage['menu']>;
  readonly page: MenusPage;
}) {
  const live = useMenu(menu, page.mark);
  return (
    <>
      {page.mayEdit && (
        <MenuTools id={menu.id} typed={live.typed} version={live.version} kept={live.keptAs} />
      )}
      <div className="beside" style={SIDE}>
        <div>
          <Plates menu={menu} page={page} live={live} />
          {page.mayEdit && <AnotherPlate live={live} />}
        </div>
        <Answer live={live} page={page} />
      </div>
    </>
  );
}

function Plates({
  menu,
  page,
  live,
}: {
  readonly menu: NonNullable<MenusPage['menu']>;
  readonly page: MenusPage;
  readonly live: Live;
}) {
  if (menu.plates.length === 0) return <p className="quiet">{texts.nothingMenuYetAdd}</p>;
  return (
    <SheetTable className="list-table tall">
      <thead>
        <tr>
          <th scope="col">{texts.dish}</th>
          <th scope="col">{live.typed.mixIn === '%' ? texts.sales : texts.sold}</th>
          <th scope="col">{texts.all}</th>
          <th scope="col">{texts.foodCost}</th>
          <th scope="col">{texts.grossProfitHead}</th>
          <th scope="col">{texts.shareGrossProfit}</th>
          <th scope="col">{texts.effectMenuFoodCost}</th>
          <th scope="col">
            <span className="visually-hidden">{texts.remove}</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {menu.plates.map((plate, i) => (
          <PlateRow key={plate.id} plate={plate} is={live.mix.plates[i]} page={page} live={live} />
        ))}
      </tbody>
    </SheetTable>
  );
}

function PlateRow({
  plate,
  is,
  page,
  live,
}: {
  readonly plate: OnMenu;
  readonly is: InMix | undefined;
  readonly page: MenusPage;
  readonly live: Live;
}) {
  const { money, bare } = useFormatters();
  const pct = (x: number | null | undefined, digits = 1): string =>
    x === null || x === undefined ? '–' : `${bare(x, digits)} %`;
  const over = plate.target !== undefined && (is?.foodCostPct ?? 0) > plate.target;
  return (
    <tr>
      <td>
        <Link prefetch={false} href={`/pour/${plate.id}`}>
          {plate.name}
        </Link>
      </td>
      <td>
        <SoldField plate={plate} page={page} live={live} />
      </td>
      <td className="fig">{is && is.share > 0 ? pct(is.share * 100, 0) : '–'}</td>
      <td className={`fig ${over ? 'dearer' : ''}`}>
        {over && '▲ '}
        {pct(is?.foodCostPct)}
      </td>
      <td className="fig">
        {plate.net === null || plate.cost === null || plate.beside === null
          ? '–'
          : money(plate.net - plate.cost - plate.beside)}
      </td>
      <td className="fig">{is?.ofWhatIsLeft == null ? '–' : pct(is.ofWhatIsLeft * 100, 0)}</td>
      <td className="fig strong">
        <Moves by={is?.moves ?? null} />
      </td>
      <td>
        {page.mayEdit && (
          <Button
            variant="tool"
            size="sm"
            aria-label={texts.removeFromMenu(plate.name)}
            onClick={() => void live.remove(plate.id)}
          >
            <X size={16} aria-hidden="true" />
          </Button>
        )}
      </td>
    </tr>
  );
}

/** How many of a plate are sold, typed. */
function SoldField({
  plate,
  page,
  live,
}: {
  readonly plate: OnMenu;
  readonly page: MenusPage;
  readonly live: Live;
}) {
  const opened = live.opened.plates.find((p) => p.plate === plate.id)?.sold ?? '';
  return (
    <>
      <TypedField
        label={texts.soldName(plate.name)}
        value={opened}
        trouble={live.troubleOf(plate.id)}
        describedBy={`sold-${plate.id}`}
        disabled={!page.mayEdit}
        placeholder={texts.notSaid}
        onTyped={(t) => live.typeSold(plate.id, t)}
        onDone={(t) => live.keepSold(plate.id, t)}
      />
      <span id={`sold-${plate.id}`}>
        <TroubleText as="span" says={live.troubleOf(plate.id)} />
      </span>
    </>
  );
}

/** Whether a plate carries its menu or breaks it, in points of food cost. */
function Moves({ by }: { readonly by: number | null }) {
  const { bare } = useFormatters();
  if (by === null) return <>–</>;
  if (Math.abs(by) < 0.05) return <span className="quiet">0.0</span>;
  return by > 0 ? (
    <span className="dearer">▲ {bare(by, 1)}</span>
  ) : (
    <span className="cheaper">▼ {bare(-by, 1)}</span>
  );
}

function AnotherPlate({ live }: { readonly live: Live }) {
  const there = new Set(live.typed.plates.map((p) => p.plate));
  const [key, setKey] = useState(0);
  return (
    <div className="mt-2" style={{ maxWidth: '26rem' }}>
      <Combo
        key={key}
        label={texts.addDish}
        placeholder={texts.anotherDish}
        chosen={undefined}
        find={findMenuPlates}
        choose={(p) => {
          if (!p || there.has(p.id)) return;
          void live.add(p.id);
          setKey((n) => n + 1);
        }}
      />
    </div>
  );
}

/** What a plate of the mix costs in the layers counted beside the ingredients; null where that is not known of one that is sold. */
const besideMix = (plates: readonly OnMenu[], mix: readonly InMix[]): number | null =>
  plates.reduce<number | null>((sum, { beside }, i) => {
    const share = mix[i]?.share ?? 0;
    if (sum === null || share === 0) return sum;
    return beside === null ? null : sum + beside * share;
  }, 0);

/** What the menu costs of what it brings. */
function Answer({ live, page }: { readonly live: Live; readonly page: MenusPage }) {
  const { money, bare, counted } = useFormatters();
  const { mix, typed, state } = live;
  const beside = besideMix(page.menu?.plates ?? [], mix.plates);
  return (
    <Panel aria-label={texts.menusFoodCost}>
      <span className="fig-large hot">
        {mix.foodCostPct === null ? (
          <span className="incomplete">{texts.incomplete}</span>
        ) : (
          `${bare(mix.foodCostPct, 1)} %`
        )}
      </span>
      <span className="fig-label">{texts.foodCostMenuIngredients}</span>
      <dl className="facts">
        <dt>{texts.averageDishBrings}</dt>
        <dd className="fig">{money(mix.net)}</dd>
        <dt>{texts.cost}</dt>
        <dd className="fig">{money(mix.cost)}</dd>
        {counted.length > 1 && (
          <>
            <dt>{texts.andIn(layersText(counted.slice(1)))}</dt>
            <dd className="fig">{money(beside)}</dd>
          </>
        )}
        <dt>{texts.grossProfit}</dt>
        <dd className="fig strong">
          {money(mix.left === null || beside === null ? null : mix.left - beside)}
        </dd>
        <dt>{texts.salesEntered}</dt>
        <dd>
          <Form.Select
            size="sm"
            aria-label={texts.salesEntered}
            value={typed.mixIn}
            disabled={!page.mayEdit}
            onChange={(event) => void live.put({ mixIn: event.target.value === '%' ? '%' : 'portions' })}
          >
            <option value="portions">{texts.portions}</option>
            <option value="%">{texts.sales}</option>
          </Form.Select>
        </dd>
      </dl>
      {mix.troubles.map((t) => (
        <p key={t.code} className="warning small-line">
          {t.message}
        </p>
      ))}
      <TroubleText says={state.message} both={state.both} />
      <p role="status" className="m-0 small-line">
        {state.kept && <span className="cheaper">{texts.saved}</span>}
      </p>
    </Panel>
  );
}

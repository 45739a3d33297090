'use client';

import dynamic from 'next/dynamic';
import Link from 'next/link';
import { memo, useState, type CSSProperties } from 'react';
import Button from 'react-bootstrap/Button';
import Stack from 'react-bootstrap/Stack';
import { layerName } from '@/core/layers';
import { ArchivedList } from '@/ui/tables/archived-list';
import { useFormatters } from '@/ui/formatters-context';
import { SheetTable } from '@/ui/tables/sheet-table';
import { DEBOUNCE_MS, useDebounced } from '@/ui/hooks/use-debounced';
import type { TrayAnswer, TraysPage } from '../queries';
import { archiveTray } from '../send';
import { AddTrial } from './another-trial';
import { TrayTools } from './tray-tools';
import { TrialRow } from './trial-row';
import { useTray, type TrialsShown } from './use-tray';
import * as texts from './texts';

const NewTray = dynamic(() => import('./tray-forms').then((m) => m.NewWhatIf), { ssr: false });
const Movers = dynamic(() => import('./movers').then((m) => m.Movers), { ssr: false });

/** Width of what the trials do, beside them. */
const SIDE = { '--side': '760px' } as CSSProperties;

/** What if: trial changes that leave the book as it is, and what they would do to every plate. */
export function TraysView({ page }: { readonly page: TraysPage }) {
  const { tray, trays, mayEdit, answer } = page;
  const [making, setMaking] = useState(false);
  return (
    <>
      <Stack direction="horizontal" gap={3} className="page-head">
        <div className="me-auto">
          <h1>{tray ? tray.name : texts.whatIf}</h1>
          <p className="lead-line">
            {trays.length === 0
              ? texts.tryChangesOutEvery
              : trays.map((t, i) => (
                  <span key={t.id}>
                    {i > 0 && ' · '}
                    {t.id === tray?.id ? (
                      <b>{t.name}</b>
                    ) : (
                      <Link prefetch={false} href={`/pour/what-if?of=${t.id}`}>
                        {t.name}
                      </Link>
                    )}
                  </span>
                ))}
          </p>
        </div>
        {mayEdit && trays.length > 0 && (
          <Button variant="outline-primary" onClick={() => setMaking(true)}>
            {texts.newWhatIf}
          </Button>
        )}
      </Stack>
      {page.gone && <p className="warning">{texts.whatIfDeletedOr}</p>}
      {trays.length === 0 && (
        <div className="my-4" style={{ maxWidth: '38rem' }}>
          <p className="fs-5">{texts.noWhatIfsYet}</p>
          {mayEdit ? (
            <Button onClick={() => setMaking(true)}>{texts.startWhatIf}</Button>
          ) : (
            <p>{texts.managerCreatesFirstOne}</p>
          )}
        </div>
      )}
      {tray && answer && <OneTray key={tray.id} tray={tray} answer={answer} page={page} />}
      {mayEdit && <ArchivedList rows={page.away} bringBack={(id) => archiveTray({ id, away: false })} />}
      {making && <NewTray close={() => setMaking(false)} />}
    </>
  );
}

function OneTray({
  tray,
  answer,
  page,
}: {
  readonly tray: NonNullable<TraysPage['tray']>;
  readonly answer: TrayAnswer;
  readonly page: TraysPage;
}) {
  const live = useTray(tray, answer, page);
  return (
    <>
      {page.mayEdit && <TrayTools tray={tray} live={live} />}
      <div className="beside" style={SIDE}>
        <section aria-label={texts.whatTried}>
          {live.typed.trials.map((trial, i) => (
            <TrialRow
              key={i}
              i={i}
              trial={trial}
              said={live.working && live.said.length !== live.typed.trials.length ? undefined : live.said[i]}
              page={page}
              set={live.set}
              remove={live.remove}
            />
          ))}
          {live.typed.trials.length === 0 && <p className="quiet">{texts.nothingWhatIfYet}</p>}
          {page.mayEdit && <AddTrial page={page} add={live.add} />}
        </section>
        <Answer plates={live.plates} menus={live.menus} layers={live.answer.layers} working={live.working} />
      </div>
    </>
  );
}

type Live = ReturnType<typeof useTray>;

/** What the trials do: how many plates break their target, the menus, and every plate before and after. */
const Answer = memo(function Answer({
  plates,
  menus,
  layers,
  working,
}: Pick<Live, 'plates' | 'menus' | 'working'> & Pick<TrayAnswer, 'layers'>) {
  const { bare, money } = useFormatters();
  const breaks = plates.filter((p) => p.breaks).length;
  const over = plates.filter((p) => p.over).length;
  const resting = useDebounced(plates, DEBOUNCE_MS);
  return (
    <aside aria-label={texts.whatDoes}>
      <p className="m-0" role="status">
        <span className={`fig-large ${breaks > 0 ? 'hot' : ''}`}>{breaks}</span>{' '}
        <span className="fig-label">
          {breaks === 1 ? texts.dishWouldBreakTarget : texts.dishesWouldBreakTheir}
          {over > breaks && texts.breakAlready(over - breaks)}
          {working && texts.calculating}
        </span>
      </p>
      <dl className="facts">
        {menus
          .filter((m) => m.now !== null || m.then !== null)
          .flatMap((m) => [
            <dt key={`${m.id} dt`}>{texts.foodCostMenu(m.name)}</dt>,
            <dd key={m.id} className="fig">
              {m.now === null ? '–' : `${bare(m.now, 1)} %`} →{' '}
              <b>{m.then === null ? texts.notKnown : `${bare(m.then, 1)} %`}</b>
            </dd>,
          ])}
        {layers.flatMap((l) => [
          <dt key={`${l.layer} dt`}>{texts.oneEachDish(layerName(l.layer))}</dt>,
          <dd key={l.layer} className="fig">
            {money(l.before)} → <b>{money(l.then)}</b>
          </dd>,
        ])}
      </dl>
      <Movers plates={resting} />
      <Plates plates={plates} />
    </aside>
  );
});

/** A cost with what stands beside its ingredients. */
const whole = (cost: number | null, beside: number | null): number | null =>
  cost === null || beside === null ? null : cost + beside;

/** Plates that are told at once. */
const AT_ONCE = 40;

/** Every plate before and after, those that break their target first. */
const Plates = memo(function Plates({ plates }: { readonly plates: readonly TrialsShown[] }) {
  const [all, setAll] = useState(false);
  const shown = all ? plates : plates.slice(0, AT_ONCE);
  return (
    <>
      <SheetTable className="list-table">
        <thead>
          <tr>
            <th scope="col">{texts.dish}</th>
            <th scope="col">{texts.costsNow}</th>
            <th scope="col">{texts.wouldCost}</th>
            <th scope="col">{texts.moreOrLess}</th>
            <th scope="col">{texts.foodCost}</th>
            <th scope="col">{texts.target}</th>
          </tr>
        </thead>
        <tbody>
          {shown.map((p) => (
            <PlateRow key={p.id} plate={p} />
          ))}
        </tbody>
      </SheetTable>
      {!all && plates.length > shown.length && (
        <Button variant="link" size="sm" onClick={() => setAll(true)}>
          {texts.moreSmallerChanges(plates.length - shown.length)}
        </Button>
      )}
    </>
  );
});

/** Why a plate that has a cost would have none. */
const lostWords = ({ lost, now, then }: TrialsShown): string | undefined =>
  lost ?? (now !== null && then === null ? texts.wouldNoCostTrim : undefined);

function PlateRow({ plate: p }: { readonly plate: TrialsShown }) {
  const { money, bare } = useFormatters();
  const pct = (x: number | null): string => (x === null ? '–' : `${bare(x, 1)} %`);
  return (
    <tr>
      <td>
        <Link prefetch={false} className="fs-6" href={`/pour/${p.id}`}>
          {p.name}
        </Link>
        {lostWords(p) !== undefined && (
          <div className="trouble small-line" role="alert">
            {lostWords(p)}
          </div>
        )}
      </td>
      <td className="fig">{money(whole(p.now, p.besideNow))}</td>
      <td className="fig strong">{money(whole(p.then, p.besideThen))}</td>
      <td className="fig">
        <Moved now={whole(p.now, p.besideNow)} then={whole(p.then, p.besideThen)} />
      </td>
      <td className="fig text-nowrap">
        {pct(p.pctNow)}
        {p.pctThen !== p.pctNow && <> → {pct(p.pctThen)}</>}
      </td>
      <td>
        {p.target === undefined ? (
          <span className="quiet">{texts.noneSet}</span>
        ) : p.pctThen === null ? (
          <span className="quiet">{p.menuPrice === undefined ? texts.noPrice : texts.notKnown}</span>
        ) : p.over ? (
          <span className="dearer text-nowrap">
            {texts.over(bare(p.target, 0))}
            {p.breaks && texts.newText}
          </span>
        ) : (
          <span className="cheaper text-nowrap">{texts.keeps(bare(p.target, 0))}</span>
        )}
      </td>
    </tr>
  );
}

function Moved({ now, then }: { readonly now: number | null; readonly then: number | null }) {
  const { small } = useFormatters();
  if (now === null || then === null) return <>–</>;
  const by = then - now;
  if (Math.abs(by) < 0.0005) return <span className="quiet">0</span>;
  return by > 0 ? (
    <span className="dearer">▲ {small(by)}</span>
  ) : (
    <span className="cheaper">▼ {small(-by)}</span>
  );
}

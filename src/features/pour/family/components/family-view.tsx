'use client';

import dynamic from 'next/dynamic';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import Form from 'react-bootstrap/Form';
import { goesTo, sharesOf, type Family, type Relative } from '@/core/costing';
import { Combo } from '@/ui/forms/combo';
import { useFormatters } from '@/ui/formatters-context';
import { UsedBy } from '@/ui/tables/used-by';
import { findKin } from '../actions';
import type { FamilyPage } from '../queries';
import { hiddenBy } from '../layout';
import { costWords, hrefOf } from './kin-words';
import { Outline } from './outline';
import * as texts from './texts';

const FamilyMap = dynamic(() => import('./family-map').then((m) => m.FamilyMap), {
  ssr: false,
  loading: () => <div className="family-map" />,
});

const SHOWN = [
  ['plates', 'dishes'],
  ['bench', texts.whatBenchGives],
  ['last', texts.whatLastBatchLeft],
] as const;
type Shown = (typeof SHOWN)[number][0];

/** Of a family what somebody wants to see: without plates, without the bench, without last batches, without what is folded. */
function useSeen(family: Family) {
  const [off, setOff] = useState<ReadonlySet<Shown>>(new Set());
  const [folded, setFolded] = useState<ReadonlySet<string>>(new Set());
  const seen = useMemo(() => {
    const hidden = hiddenBy(family, folded);
    const is = { plate: 'plates', bench: 'bench', pot: undefined } as const;
    const relatives = family.relatives.filter(
      (r) => !hidden.has(r.id) && !off.has(is[r.is] ?? ('' as Shown)),
    );
    const there = new Set(relatives.map((r) => r.id));
    const ties = family.ties.filter(
      (t) => there.has(t.from) && there.has(t.to) && !(t.last && off.has('last')),
    );
    return { relatives, ties };
  }, [family, off, folded]);
  const turned = <T,>(set: ReadonlySet<T>, one: T): ReadonlySet<T> =>
    new Set(set.has(one) ? [...set].filter((x) => x !== one) : [...set, one]);
  return {
    seen,
    off,
    folded,
    show: (what: Shown) => setOff((was) => turned(was, what)),
    fold: (id: string) => setFolded((was) => turned(was, id)),
  };
}

/** Mothers, daughters and plates at a glance; one of them chosen shows only its kin. */
export function FamilyView({ page }: { readonly page: FamilyPage }) {
  const { of } = page;
  const { seen, off, folded, show, fold } = useSeen(page);
  const { tied, alone } = useMemo(() => withKin(seen, of), [seen, of]);
  const [told, setTold] = useState(false);
  const router = useRouter();
  const chosen = page.relatives.find((r) => r.id === of);
  const shares = useMemo(
    () => (of === undefined ? new Map<string, number | null>() : sharesOf(page, of)),
    [page, of],
  );
  const mothers = useMemo(() => new Set(page.ties.filter((t) => !t.last).map((t) => t.from)), [page]);
  return (
    <>
      <Head page={page} chosen={chosen} shares={shares} />
      <div className="d-flex flex-wrap gap-3 align-items-center my-2">
        <Combo
          label={texts.findRecipeOrDish}
          placeholder={texts.findRecipeOrDish}
          chosen={chosen && { id: chosen.id, name: chosen.name, says: '' }}
          find={findKin}
          choose={(k) => k && k.id !== of && router.push(`/pour/family?of=${encodeURIComponent(k.id)}`)}
        />
        {of !== undefined && !page.large && (
          <Link prefetch={false} href="/pour/family">
            {texts.showAll}
          </Link>
        )}
        {SHOWN.map(([what, words]) => (
          <Form.Check
            key={what}
            id={`shows-${what}`}
            label={words}
            checked={!off.has(what)}
            onChange={() => show(what)}
          />
        ))}
      </div>
      {tied.relatives.length > 0 && (
        <FamilyMap family={tied} of={of} folded={folded} mothers={mothers} fold={fold} shares={shares} />
      )}
      <Alone relatives={alone} />
      {chosen && <WhereItGoes page={page} of={chosen} />}
      <details className="mt-3" onToggle={(event) => setTold(event.currentTarget.open)}>
        <summary>{texts.sameOutline}</summary>
        {told && <Outline family={seen} label={texts.familyOutline} />}
      </details>
    </>
  );
}

/** What is connected to something or is looked at, and what is not connected. */
function withKin(family: Family, of: string | undefined) {
  const kin = new Set([of, ...family.ties.flatMap((t) => [t.from, t.to])]);
  return {
    tied: { ...family, relatives: family.relatives.filter((r) => kin.has(r.id)) },
    alone: family.relatives.filter((r) => !kin.has(r.id)),
  };
}

/** What is made from no pot, and nothing from it. */
function Alone({ relatives }: { readonly relatives: readonly Relative[] }) {
  if (relatives.length === 0) return null;
  const users = relatives.map((r) => ({ name: r.name, href: hrefOf(r) }));
  return (
    <p className="mt-2 mb-0 quiet">
      <UsedBy by={users} lead={users.length === 1 ? texts.notConnected : texts.notConnected} most={24} />
    </p>
  );
}

/** What is looked at, and what it is of the plates that are made from it. */
function Head({
  page,
  chosen,
  shares,
}: {
  readonly page: FamilyPage;
  readonly chosen: Relative | undefined;
  readonly shares: ReadonlyMap<string, number | null>;
}) {
  const figures = useFormatters();
  const plates = page.relatives.filter((r) => r.is === 'plate' && shares.has(r.id));
  const most = plates
    .map((p) => ({ ...p, money: (shares.get(p.id) ?? 0) * (p.cost ?? 0) }))
    .sort((a, b) => b.money - a.money)[0];
  return (
    <div className="page-head">
      <h1>{chosen ? texts.whatUses(chosen.name) : texts.familyTree}</h1>
      {chosen ? (
        <p className="lead-line">
          <Link prefetch={false} href={hrefOf(chosen)}>
            {costWords(chosen, figures)}
          </Link>
          {chosen.is !== 'plate' &&
            (plates.length === 0
              ? texts.notUsedAnyDish
              : `. ${plates.length === 1 ? 'One dish is' : `${plates.length} dishes are`} made with it${most && most.money > 0 ? `: ${figures.small(most.money)} of every ${most.name}` : ''}.`)}
        </p>
      ) : (
        <p className="lead-line">{texts.usualWeekOneEach}</p>
      )}
      {page.gone && <p className="warning">{texts.noLongerHere}</p>}
      {page.large && (
        <p className="quiet small-line mb-0">
          {texts.potsDishesTooMany(page.all)}
          {page.more > 0 && texts.moreFamilyNotDrawn(page.more)}
        </p>
      )}
    </div>
  );
}

/** Where a litre of the chosen pot goes in a usual week. */
function WhereItGoes({ page, of }: { readonly page: Family; readonly of: Relative }) {
  const { litres, bare } = useFormatters();
  const goes = goesTo(page, of.id);
  if (of.is !== 'pot' || goes.length === 0) return null;
  const names = new Map(page.relatives.map((r) => [r.id, r.name]));
  const sum = goes.reduce((n, g) => n + g.share, 0);
  return (
    <p className="mt-2 mb-0">
      {texts.usualWeekOneBatch(
        of.batches,
        bare(of.batches, of.batches % 1 ? 1 : 0),
        litres(of.ml * of.batches),
      )}{' '}
      {goes.map((g, i) => (
        <span key={g.to}>
          {i > 0 && ', '}
          <b>
            {litres(g.mlAWeek)} ({bare(g.share * 100, 0)} %)
          </b>{' '}
          {texts.into} {names.get(g.to)}
        </span>
      ))}
      {sum > 1.005 ? (
        <span className="dearer">{texts.moreThanGivesShort(litres((sum - 1) * of.ml * of.batches))}</span>
      ) : (
        <span className="quiet">{texts.leftDishesStore(litres((1 - sum) * of.ml * of.batches))}</span>
      )}
    </p>
  );
}

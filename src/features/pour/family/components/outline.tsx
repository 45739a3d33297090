'use client';

import Link from 'next/link';
import { useMemo } from 'react';
import { tiesBy, type Family, type Relative, type Tie } from '@/core/costing';
import { useFormatters } from '@/ui/formatters-context';
import { costWords } from './kin-words';
import * as texts from './texts';

interface Known {
  readonly by: ReadonlyMap<string, Relative>;
  readonly down: ReadonlyMap<string, readonly Tie[]>;
}

/** The family as a list: first what is made from nothing else, below each what is made from it. Each is shown in full once and named elsewhere. */
export function Outline({ family, label }: { readonly family: Family; readonly label: string }) {
  const known = useMemo(
    () => ({ by: new Map(family.relatives.map((r) => [r.id, r])), down: tiesBy(family, 'from') }),
    [family],
  );
  const { roots, first } = useMemo(() => firstPlaces(family, known), [family, known]);
  return (
    <ul className="outline" aria-label={label}>
      {roots.map((id) => (
        <Branch key={id} id={id} under={undefined} known={known} first={first} />
      ))}
    </ul>
  );
}

/** Who begins the list, and under whom each is told in full: the first that names her. */
function firstPlaces(family: Family, { down }: Known) {
  const daughters = new Set(family.ties.filter((t) => !t.last).map((t) => t.to));
  const roots = family.relatives.filter((r) => !daughters.has(r.id)).map((r) => r.id);
  const first = new Map<string, string | undefined>(roots.map((id) => [id, undefined]));
  const queue = [...roots];
  for (let at = queue.shift(); at !== undefined; at = queue.shift())
    for (const { to, last } of down.get(at) ?? [])
      if (!last && !first.has(to)) {
        first.set(to, at);
        queue.push(to);
      }
  return { roots, first };
}

function Branch({
  id,
  under,
  tie,
  known,
  first,
}: {
  readonly id: string;
  readonly under: string | undefined;
  readonly tie?: Tie | undefined;
  readonly known: Known;
  readonly first: ReadonlyMap<string, string | undefined>;
}) {
  const figures = useFormatters();
  const { litres, kilos, bare } = figures;
  const relative = known.by.get(id);
  if (!relative) return null;
  const told = first.get(id) === under && tie?.last !== true;
  const takes = tie && (tie.ml > 0 ? litres(tie.ml) : kilos(tie.g));
  const daughters = told ? (known.down.get(id) ?? []) : [];
  return (
    <li>
      <Link prefetch={false} href={`/pour/family?of=${encodeURIComponent(id)}`}>
        {relative.name}
      </Link>{' '}
      <span className="quiet">
        {costWords(relative, figures)}
        {takes && texts.takes(takes, relative.is, tie.last)}
        {tie?.share != null && texts.cost(bare(tie.share * 100, 0))}
        {!told && tie?.last !== true && (known.down.get(id)?.length ?? 0) > 0 && texts.listedAbove}
      </span>
      {daughters.length > 0 && (
        <ul>
          {daughters.map((t) => (
            <Branch key={`${t.to} ${t.last}`} id={t.to} under={id} tie={t} known={known} first={first} />
          ))}
        </ul>
      )}
    </li>
  );
}

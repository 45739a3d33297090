'use client';

import type { ReactNode } from 'react';
import Stack from 'react-bootstrap/Stack';
import { isInKilos } from '@/core/pot';
import { useFormatters } from '@/ui/formatters-context';
import { UsedBy } from '@/ui/tables/used-by';
import { WhyFigure } from '@/ui/panels/why';
import type { PotSheetData } from '../../queries';
import { figuresOfPot } from '../figures/evidence-list';
import type { LivePot } from '../figures/use-pot';
import * as texts from './texts';

/** Name, where it goes, and the four figures the sheet is opened for. */
export function SheetHead({
  data,
  pot,
  tools,
}: {
  readonly data: PotSheetData;
  readonly pot: LivePot;
  readonly tools: ReactNode;
}) {
  const { litres, bare, hours, small } = useFormatters();
  const { run } = pot;
  const last = run.rows[run.rows.length - 1];
  const perL = run.refused ? null : (pot.money[pot.money.length - 1]?.perL ?? null);
  const perKg = perL === null || !run.product ? null : (perL * run.product.ml) / run.product.g;
  const most = Math.max(run.product?.ml ?? 0, ...run.rows.map((r) => r.ml));
  const { guesses } = figuresOfPot(data, pot);
  const portions = last?.portions;
  return (
    <Stack direction="horizontal" gap={3} className="page-head align-items-start">
      <div>
        <h1>{data.recipe.name}</h1>
        <Lead data={data} estimates={guesses} />
        {data.recipe.note && <p className="lead-line">{data.recipe.note}</p>}
        {tools}
      </div>
      <Stack direction="horizontal" gap={4} className="head-figures">
        <Figure value={run.product ? litres(run.product.ml) : '–'} label={texts.peak(litres(most))} />
        <Figure value={last ? hours(last.hobHours) : '–'} label={texts.hob} />
        <Cost of={data.recipe} perL={perL} perKg={perKg} inKilos={isInKilos(last)} />
        {portions && (
          <Figure
            value={perL === null ? '–' : small((perL * portions.pouredMl) / 1000)}
            label={texts.portionMlThem(bare(portions.ml, 0), portions.whole)}
          />
        )}
      </Stack>
    </Stack>
  );
}

/** What it costs: a litre, or a kilo first where that is how it is thought of. */
function Cost({
  of,
  perL,
  perKg,
  inKilos,
}: {
  readonly of: PotSheetData['recipe'];
  readonly perL: number | null;
  readonly perKg: number | null;
  readonly inKilos: boolean;
}) {
  const { money } = useFormatters();
  const [first, each] = inKilos ? [perKg, texts.perKilo] : [perL, texts.perLitre];
  return (
    <div>
      <span className="fig-large hot">
        {first === null ? (
          <span className="incomplete">{texts.incomplete}</span>
        ) : (
          <WhyFigure of={`product:${of.id}`} label={`${of.name}, ${each}`} className="hot">
            {money(first)}
          </WhyFigure>
        )}
      </span>
      <span className="fig-label">
        {texts.ingredients(each)}
        {inKilos && perL !== null && texts.perLitreMoney(money(perL))}
      </span>
    </div>
  );
}

function Figure({ value, label }: { value: string; label: string }) {
  return (
    <div>
      <span className="fig-large">{value}</span>
      <span className="fig-label">{label}</span>
    </div>
  );
}

/** How sure its figures are, where it goes, and since when it stands as it does. */
function Lead({ data, estimates }: { readonly data: PotSheetData; readonly estimates: number }) {
  const { day } = useFormatters();
  return (
    <p className="lead-line">
      {estimates > 0 && (
        <span className="estimate">
          {estimates === 1 ? texts.estimateOneIngredient : texts.estimatesIngredients(estimates)}
        </span>
      )}
      {estimates > 0 && ' · '}
      {data.usedBy.length === 0 ? texts.notUsedYet : <UsedBy by={data.usedBy} lead={texts.goesInto} />}
      <span className="quiet">
        {' · '}
        {data.past.times > 1
          ? texts.editsLast(data.past.times, day(data.past.since))
          : texts.created(day(data.past.since))}
      </span>
    </p>
  );
}

'use client';

import Link from 'next/link';
import { useEffect, useMemo, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import Table from 'react-bootstrap/Table';
import { mannerOf } from '@/core/quantity';
import { scaledLine } from '@/core/verbs';
import { withRetry } from '@/ui/hooks/with-retry';
import { useFormatters, type Formatters } from '@/ui/formatters-context';
import { SidePanel } from '@/ui/panels/side-panel';
import { useToast } from '@/ui/frame/toasts';
import { TroubleText } from '@/ui/forms/trouble-text';
import { platesFrom } from '../../actions';
import { scaledSheet, type ScaledSheet, type ScaleRequest } from '../../scaling';
import { draftOf, type Draft } from './sheet-lines';
import { shelfFrom } from '../figures/use-pot';
import type { useSheet } from './use-sheet';
import * as texts from './texts';

type Sheet = ReturnType<typeof useSheet>;
type Plates = Awaited<ReturnType<typeof platesFrom>>;

const KINDS = {
  litres: { label: texts.manyLitres, placeholder: '12 l' },
  portions: { label: texts.manyPortions, placeholder: '80' },
  covers: { label: texts.manyCoversDish, placeholder: '120' },
  'what came in': { label: texts.whatCame, placeholder: '6.4 kg' },
} as const;

/** The same sheet for another amount: in which vessel, in how many batches, at what cost, and what plain multiplication would have got wrong. */
export function ScalePanel({ sheet, close }: { readonly sheet: Sheet; readonly close: () => void }) {
  const { known } = sheet;
  const tell = useToast();
  const [wanted, setWanted] = useState<ScaleRequest>({ kind: 'litres', amount: '', of: '', vessel: '' });
  const plates = usePlates(known.recipe.id);
  const shelf = useMemo(() => shelfFrom(known), [known]);
  const found = useMemo(
    () =>
      wanted.amount.trim() === '' ? undefined : scaledSheet({ sheet, wanted, shelf, plates: plates ?? [] }),
    [sheet, wanted, shelf, plates],
  );
  const keep = (next: Draft): void => {
    const before = sheet.asItStands();
    sheet.done(next);
    close();
    tell(texts.sheetSizeNow, () => sheet.done(before));
  };
  return (
    <SidePanel title={texts.scale} open close={close}>
      <div className="stacked">
        <Asked
          sheet={sheet}
          wanted={wanted}
          plates={plates ?? []}
          wrong={found !== undefined && !found.ok}
          set={(part) => setWanted({ ...wanted, ...part })}
        />
        {found && !found.ok && <TroubleText says={found.trouble.message} />}
        {found?.ok && (
          <Found
            of={found.value}
            keep={
              known.mayEdit
                ? () => keep(scaledDraft(sheet, found.value.factor, found.value.vessel.id))
                : undefined
            }
            wall={wallAt(known.recipe.id, found.value)}
          />
        )}
      </div>
    </SidePanel>
  );
}

/** Where a sheet hangs on the wall at a size. */
const wallAt = (id: string, { factor, vessel, batches }: ScaledSheet): string =>
  `/pot/${id}/wall?${new URLSearchParams({ by: String(factor), in: vessel.id, batches: String(batches) }).toString()}`;

/** One of a few, chosen from a list. */
function Pick({
  label,
  value,
  options,
  set,
}: {
  readonly label: string;
  readonly value: string | undefined;
  readonly options: readonly (readonly [string, string])[];
  readonly set: (value: string) => void;
}) {
  return (
    <Form.Select aria-label={label} value={value} onChange={(event) => set(event.target.value)}>
      {options.map(([id, words]) => (
        <option key={id} value={id}>
          {words}
        </option>
      ))}
    </Form.Select>
  );
}

/** What goes in and is bought, each once. */
const inputsOf = ({ pot }: Sheet): (readonly [string, string])[] => [
  ...new Map(pot.run.inputs.filter((i) => i.supply !== 'free').map((i) => [i.supply as string, i.name])),
];

/** What it is scaled to: litres, portions, covers or what came in, and in which vessel. */
function Asked({
  sheet,
  wanted,
  plates,
  wrong,
  set,
}: {
  readonly sheet: Sheet;
  readonly wanted: ScaleRequest;
  readonly plates: NonNullable<Plates>;
  readonly wrong: boolean;
  readonly set: (part: Partial<ScaleRequest>) => void;
}) {
  const { kind, of } = wanted;
  const inputs = inputsOf(sheet);
  return (
    <>
      <Pick
        label={texts.scaleHeading}
        value={kind}
        options={Object.entries(KINDS).map(([id, { label }]) => [id, label])}
        set={(next) => set({ kind: next as ScaleRequest['kind'], of: '' })}
      />
      {kind === 'what came in' && (
        <Pick
          label={texts.whatCameHeading}
          value={of || inputs[0]?.[0]}
          options={inputs}
          set={(next) => set({ of: next })}
        />
      )}
      {kind === 'covers' && (
        <Pick
          label={texts.whichDish}
          value={of || plates[0]?.id}
          options={plates.map((p) => [p.id, p.name])}
          set={(next) => set({ of: next })}
        />
      )}
      <Form.Control
        autoFocus
        aria-label={texts.howMuch}
        autoComplete="off"
        placeholder={KINDS[kind].placeholder}
        value={wanted.amount}
        isInvalid={wrong}
        onChange={(event) => set({ amount: event.target.value })}
      />
      <Pick
        label={texts.whichVessel}
        value={wanted.vessel}
        options={[
          ['', texts.vesselSuitsBest],
          ...sheet.known.vessels.map((v) => [v.id, texts.inThe(v.name)] as const),
        ]}
        set={(next) => set({ vessel: next })}
      />
    </>
  );
}

/** The lines of a sheet written for another batch, in another vessel. */
function scaledDraft({ asItStands, pot, known }: Sheet, factor: number, vessel: string): Draft {
  const now = asItStands();
  const manner = mannerOf(known.mark, known.measures);
  const steps = pot.steps.map((step) => scaledLine(step, factor, manner));
  return { ...draftOf({ ...now, steps }, known.names), choices: now.choices, vessel };
}

/** Plates that take this product, and how much of it each does; undefined until somebody has answered. */
function usePlates(id: string): Plates {
  const [plates, setPlates] = useState<Plates>();
  useEffect(() => {
    let here = true;
    void withRetry(() => platesFrom(id)).then((found) => here && setPlates(found));
    return () => {
      here = false;
    };
  }, [id]);
  return plates;
}

/** What plain multiplication of the list would have got wrong, in litres and money. */
function plainWords({ batches, eachMl, multiplied }: ScaledSheet, { litres, money }: Formatters): string {
  const all = eachMl * batches;
  if (multiplied.ml === undefined) return texts.multiplyingListWouldFail;
  const off = multiplied.ml - all;
  if (Math.abs(off) < all * 0.002) return texts.multiplyingListGivesSame;
  const spent = multiplied.money;
  const cost = spent === undefined ? '' : texts.spent(money(Math.abs(spent)), spent);
  return texts.multiplyingListWouldGiven(litres(multiplied.ml), litres(Math.abs(off)), off, cost);
}

function Found({
  of,
  keep,
  wall,
}: {
  readonly of: ScaledSheet;
  readonly keep: (() => void) | undefined;
  readonly wall: string;
}) {
  const figures = useFormatters();
  const { litres, hours, money, bare } = figures;
  const { batches, eachMl, hobHours, perL, sheetPerL } = of;
  const rows: readonly (readonly [string, string])[] = [
    [texts.hobBatches(batches), hours(hobHours)],
    [texts.perLitreIngredients, perL === null ? 'incomplete' : money(perL)],
    [texts.sheetStands, sheetPerL === null ? 'incomplete' : money(sheetPerL)],
    ...(of.portions === undefined ? [] : [['portions', bare(of.portions * batches, 0)] as const]),
  ];
  return (
    <div role="status">
      <p className="fig-large mb-0">{batches === 1 ? litres(eachMl) : `${batches} × ${litres(eachMl)}`}</p>
      <p className="mb-2">
        {texts.inTheVessel} <b>{of.vessel.name}</b>
        {texts.listTimes} <b>{bare(of.factor, 3)}</b>
        {batches > 1 && texts.eachBatch}
      </p>
      <Table size="sm">
        <tbody>
          {rows.map(([name, value]) => (
            <tr key={name}>
              <th scope="row">{name}</th>
              <td className="fig">{value}</td>
            </tr>
          ))}
        </tbody>
      </Table>
      <p>{plainWords(of, figures)}</p>
      <p className="quiet small-line">{texts.sharesLevelsTimesStay}</p>
      <div className="d-flex flex-wrap gap-2">
        <Link prefetch={false} className="btn btn-primary btn-sm" href={wall}>
          {texts.cookOrPrint}
        </Link>
        {keep && (
          <Button variant="plain" size="sm" onClick={keep}>
            {texts.saveSheetSize}
          </Button>
        )}
      </div>
    </div>
  );
}

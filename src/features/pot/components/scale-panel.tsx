'use client';

import Link from 'next/link';
import { useEffect, useMemo, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import Table from 'react-bootstrap/Table';
import { mannerOf } from '@/core/quantity';
import { scaledLine } from '@/core/verbs';
import { askAgain } from '@/ui/ask-again';
import { useFigures } from '@/ui/figures';
import { SidePanel } from '@/ui/side-panel';
import { useTell } from '@/ui/toasts';
import { Trouble } from '@/ui/trouble';
import { platesFrom } from '../actions';
import { scaledSheet, type Wanted } from '../scaling';
import { draftOf, type Draft } from './sheet-lines';
import { shelfFrom } from './use-pot';
import type { useSheet } from './use-sheet';

type Sheet = ReturnType<typeof useSheet>;
type Plates = Awaited<ReturnType<typeof platesFrom>>;

const KINDS = {
  litres: { label: 'so many litres', placeholder: '12 l' },
  portions: { label: 'so many portions', placeholder: '80' },
  covers: { label: 'so many covers of a plate', placeholder: '120' },
  'what came in': { label: 'what came in', placeholder: '6.4 kg' },
} as const;

/** The same sheet for another amount: in which vessel, in how many batches, at what cost, and what plain multiplication would have got wrong. */
export function ScalePanel({ sheet, close }: { readonly sheet: Sheet; readonly close: () => void }) {
  const { known, draft } = sheet;
  const tell = useTell();
  const [wanted, setWanted] = useState<Wanted>({ kind: 'litres', amount: '', of: '', vessel: '' });
  const plates = usePlates(known.recipe.id);
  const shelf = useMemo(() => shelfFrom(known), [known]);
  const found = useMemo(
    () =>
      wanted.amount.trim() === '' ? undefined : scaledSheet({ sheet, wanted, shelf, plates: plates ?? [] }),
    [sheet, wanted, shelf, plates],
  );
  const set = (part: Partial<Wanted>): void => setWanted({ ...wanted, ...part });
  const inputs = useMemo(
    () => [
      ...new Map(
        sheet.pot.run.inputs.filter((i) => i.supply !== 'free').map((i) => [i.supply, i.name]),
      ).entries(),
    ],
    [sheet.pot.run.inputs],
  );
  const keep = (next: Draft): void => {
    const before = sheet.asItStands();
    sheet.done(next);
    close();
    tell('The sheet stands at that size now.', () => sheet.done(before));
  };
  return (
    <SidePanel title="Another size" open close={close}>
      <div className="stacked">
        <Form.Select
          aria-label="Scale to"
          value={wanted.kind}
          onChange={(e) => set({ kind: e.target.value as Wanted['kind'], of: '' })}
        >
          {Object.entries(KINDS).map(([kind, { label }]) => (
            <option key={kind} value={kind}>
              {label}
            </option>
          ))}
        </Form.Select>
        {wanted.kind === 'what came in' && (
          <Form.Select
            aria-label="What came in"
            value={wanted.of || inputs[0]?.[0]}
            onChange={(e) => set({ of: e.target.value })}
          >
            {inputs.map(([supply, name]) => (
              <option key={supply} value={supply}>
                {name}
              </option>
            ))}
          </Form.Select>
        )}
        {wanted.kind === 'covers' && (
          <Form.Select
            aria-label="Of which plate"
            value={wanted.of || plates?.[0]?.id}
            onChange={(e) => set({ of: e.target.value })}
          >
            {(plates ?? []).map((p) => (
              <option key={p.id} value={p.id}>
                {p.name}
              </option>
            ))}
          </Form.Select>
        )}
        <Form.Control
          autoFocus
          aria-label="How much"
          autoComplete="off"
          placeholder={KINDS[wanted.kind].placeholder}
          value={wanted.amount}
          isInvalid={found !== undefined && !found.ok}
          onChange={(e) => set({ amount: e.target.value })}
        />
        <Form.Select
          aria-label="In which vessel"
          value={wanted.vessel}
          onChange={(e) => set({ vessel: e.target.value })}
        >
          <option value="">in whichever vessel suits it best</option>
          {known.vessels.map((v) => (
            <option key={v.id} value={v.id}>
              in the {v.name}
            </option>
          ))}
        </Form.Select>
        {found && !found.ok && <Trouble says={found.trouble.message} />}
        {found?.ok && (
          <Found
            of={found.value}
            keep={
              known.mayEdit
                ? () => keep(scaledDraft(sheet, found.value.factor, found.value.vessel.id))
                : undefined
            }
            wall={`/pot/${known.recipe.id}/wall?${new URLSearchParams({
              by: String(found.value.factor),
              in: found.value.vessel.id,
              batches: String(found.value.batches),
            }).toString()}`}
          />
        )}
        {found?.ok && (
          <p className="quiet small-line mb-0">
            {draft.lines.length} lines, each grown by what it is: shares, levels and times stay.
          </p>
        )}
      </div>
    </SidePanel>
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
    void askAgain(() => platesFrom(id)).then((found) => here && setPlates(found));
    return () => {
      here = false;
    };
  }, [id]);
  return plates;
}

function Found({
  of,
  keep,
  wall,
}: {
  readonly of: Extract<ReturnType<typeof scaledSheet>, { ok: true }>['value'];
  readonly keep: (() => void) | undefined;
  readonly wall: string;
}) {
  const { litres, hours, money, bare } = useFigures();
  const { batches, eachMl, hobHours, perL, sheetPerL, multiplied } = of;
  const all = eachMl * batches;
  const off = multiplied.ml === undefined ? undefined : multiplied.ml - all;
  const wrong =
    off === undefined
      ? 'Plain multiplication of the list cannot be done in it: it would run over, boil dry, or never get there.'
      : Math.abs(off) < all * 0.002
        ? 'Plain multiplication gives the same here.'
        : `Plain multiplication would have given ${litres(multiplied.ml ?? 0)}: ${litres(Math.abs(off))} too ${off > 0 ? 'much' : 'little'}${
            multiplied.money === undefined
              ? ''
              : `, ${money(Math.abs(multiplied.money))} ${multiplied.money > 0 ? 'more' : 'less'} spent`
          }.`;
  return (
    <div role="status">
      <p className="fig-large mb-0">{batches === 1 ? litres(all) : `${batches} × ${litres(eachMl)}`}</p>
      <p className="mb-2">
        in the <b>{of.vessel.name}</b>, the list times <b>{bare(of.factor, 3)}</b>
        {batches > 1 && ' for each batch'}
      </p>
      <Table size="sm">
        <tbody>
          <tr>
            <td>on the hob{batches > 1 && ', each batch'}</td>
            <td className="fig">{hours(hobHours)}</td>
          </tr>
          <tr>
            <td>a litre, ingredients</td>
            <td className="fig strong">{perL === null ? 'incomplete' : money(perL)}</td>
          </tr>
          <tr>
            <td>as the sheet stands</td>
            <td className="fig">{sheetPerL === null ? 'incomplete' : money(sheetPerL)}</td>
          </tr>
          {of.portions !== undefined && (
            <tr>
              <td>portions</td>
              <td className="fig">{bare(of.portions * batches, 0)}</td>
            </tr>
          )}
        </tbody>
      </Table>
      <p>{wrong}</p>
      <div className="d-flex flex-wrap gap-2">
        <Link prefetch={false} className="btn btn-primary btn-sm" href={wall}>
          Cook it, or print it for the wall
        </Link>
        {keep && (
          <Button variant="plain" size="sm" onClick={keep}>
            Keep the sheet at this size
          </Button>
        )}
      </div>
    </div>
  );
}

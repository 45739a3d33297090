'use client';

import { useRouter } from 'next/navigation';
import { useCallback, useMemo, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { v7 } from 'uuid';
import { readNumber } from '@/core/quantity';
import { searcher } from '@/search';
import { Combo, type ComboOption } from '@/ui/forms/combo';
import { useFormatters } from '@/ui/formatters-context';
import { SidePanel } from '@/ui/panels/side-panel';
import { TroubleText } from '@/ui/forms/trouble-text';
import { useSave } from '@/ui/forms/use-save';
import type { BoardPage, SheetChoice } from '../../queries';
import { takeCameIn } from '../../actions';
import { startBatch } from '../../wire';
import { figureText } from '../batch/batch-words';
import * as texts from './texts';

/** Minutes that can be said of a pot that has been on for a while. */
const SINCE = [0, 5, 10, 15, 30, 45, 60, 90, 120, 180, 240, 360, 480, 720] as const;

/** Puts a pot on: which sheet, how much of it, in which vessel on which hob, and since when. */
export function StartBatch({
  page,
  first,
  close,
}: {
  readonly page: BoardPage;
  readonly first: string | undefined;
  readonly close: () => void;
}) {
  const find = useMemo(() => searcher(page.sheets), [page.sheets]);
  const look = useCallback((wanted: string): readonly ComboOption[] => find(wanted).slice(0, 12), [find]);
  const [sheet, setSheet] = useState(() => page.sheets.find((s) => s.id === first));
  return (
    <SidePanel title={texts.startBatch} open close={close}>
      <div className="stacked">
        <Combo<ComboOption>
          label={texts.whichSheet}
          placeholder={texts.whichSheetInline}
          chosen={sheet}
          choose={(chosen) => setSheet(page.sheets.find((s) => s.id === chosen?.id))}
          find={look}
        />
        {sheet && <Standing key={sheet.id} sheet={sheet} page={page} close={close} />}
      </div>
    </SidePanel>
  );
}

/** A vessel that is free, the sheet’s own where it is. */
const freeFor = ({ vessel }: SheetChoice, { vessels }: BoardPage): string =>
  (
    vessels.find((v) => v.id === vessel && v.holds === undefined) ??
    vessels.find((v) => v.holds === undefined)
  )?.id ?? vessel;

/** Vessels to choose from; one that holds a batch says which, and is not to be had. */
const vesselsIn = ({ vessels }: BoardPage) =>
  vessels.map((v) => ({
    id: v.id,
    name: v.holds === undefined ? v.name : texts.holds(v.name, v.holds),
    taken: v.holds !== undefined,
  }));

function Standing({
  sheet,
  page,
  close,
}: {
  readonly sheet: SheetChoice;
  readonly page: BoardPage;
  readonly close: () => void;
}) {
  const router = useRouter();
  const { bare, hours } = useFormatters();
  const [keep, state] = useSave(false);
  const [litres, setLitres] = useState(() => bare(sheet.litres, 2));
  const [vessel, setVessel] = useState(() => freeFor(sheet, page));
  const [hob, setHob] = useState(sheet.hob);
  const [since, setSince] = useState<number>(0);
  const wanted = figureText(litres, page.mark);
  // As the sheet has it where nothing else was typed: a rounded figure would scale it by a hair.
  const times = litres === bare(sheet.litres, 2) ? 1 : wanted / sheet.litres;
  const go = (): void => {
    const id = v7();
    const startedAt = since === 0 ? null : new Date(Date.now() - since * 60_000).toISOString();
    void keep(() => startBatch({ id, recipe: sheet.id, vessel, hob, times, startedAt })).then((ok) => {
      if (!ok) return;
      close();
      router.push(`/stove/${id}`);
    });
  };
  return (
    <>
      <Litres value={litres} set={setLitres} wrong={!(wanted > 0)} of={bare(sheet.litres, 2)} />
      {sheet.main && (
        <WhatCameIn
          main={sheet.main}
          mark={page.mark}
          set={(kg) => setLitres(bare((kg / (sheet.main?.kg ?? kg)) * sheet.litres, 2))}
        />
      )}
      <OneOf label={texts.whichVessel} value={vessel} set={setVessel} of={vesselsIn(page)} />
      <OneOf label={texts.whichHob} value={hob} set={setHob} of={page.hobs} />
      <OneOf
        label={texts.sinceWhen}
        value={String(since)}
        set={(minutes) => setSince(Number(minutes))}
        of={SINCE.map((m) => ({ id: String(m), name: m === 0 ? 'now' : `${hours(m / 60)} ago` }))}
      />
      <Button size="lg" disabled={state.busy || !(wanted > 0)} onClick={go}>
        {texts.start}
      </Button>
      <TroubleText says={state.message} />
    </>
  );
}

const Litres = ({
  value,
  set,
  wrong,
  of,
}: {
  readonly value: string;
  readonly set: (typed: string) => void;
  readonly wrong: boolean;
  readonly of: string;
}) => (
  <Form.Group controlId="batch-litres">
    <Form.Label>{texts.litresMade}</Form.Label>
    <Form.Control
      inputMode="decimal"
      value={value}
      isInvalid={wrong}
      onChange={(event) => set(event.target.value)}
    />
    <Form.Text>{texts.sheetMakesLEvery(of)}</Form.Text>
  </Form.Group>
);

/** The batch is as large as what came in: its kilos are typed, or taken from the scale. */
function WhatCameIn({
  main,
  mark,
  set,
}: {
  readonly main: NonNullable<SheetChoice['main']>;
  readonly mark: '.' | ',';
  readonly set: (kg: number) => void;
}) {
  const { bare } = useFormatters();
  const [typed, setTyped] = useState('');
  const [says, setSays] = useState<string>();
  const came = (text: string): void => {
    setTyped(text);
    const read = readNumber(text, mark);
    setSays(read.ok || text.trim() === '' ? undefined : read.trouble.message);
    const kg = read.ok ? read.value.toNumber() : 0;
    if (kg > 0) set(kg);
  };
  const take = (): void =>
    void takeCameIn()
      .catch(() => ({
        ok: false as const,
        message: texts.serverDoesNotAnswer,
      }))
      .then((taken) => {
        setSays(taken.ok ? undefined : taken.message);
        if (!taken.ok) return;
        // Three digits behind the mark could be thousands: a weight is written with two.
        setTyped(bare(taken.value, 2));
        if (taken.value > 0) set(taken.value);
      });
  return (
    <Form.Group controlId="batch-came-in">
      <Form.Label>{texts.cameKg(main.name)}</Form.Label>
      <div className="d-flex gap-2">
        <Form.Control
          inputMode="decimal"
          value={typed}
          placeholder={texts.sheet(bare(main.kg, 2))}
          onChange={(event) => came(event.target.value)}
        />
        <Button variant="outline-primary" className="flex-shrink-0" onClick={take}>
          {texts.useScale}
        </Button>
      </div>
      <TroubleText says={says} />
    </Form.Group>
  );
}

function OneOf({
  label,
  value,
  set,
  of,
}: {
  readonly label: string;
  readonly value: string;
  readonly set: (id: string) => void;
  readonly of: readonly { readonly id: string; readonly name: string; readonly taken?: boolean }[];
}) {
  return (
    <Form.Group controlId={`batch ${label}`}>
      <Form.Label>{label}</Form.Label>
      <Form.Select value={value} onChange={(event) => set(event.target.value)}>
        {of.map((o) => (
          <option key={o.id} value={o.id} disabled={o.taken === true}>
            {o.name}
          </option>
        ))}
      </Form.Select>
    </Form.Group>
  );
}

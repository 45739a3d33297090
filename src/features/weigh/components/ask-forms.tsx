'use client';

import { useRouter } from 'next/navigation';
import { useCallback, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import Stack from 'react-bootstrap/Stack';
import { z } from 'zod';
import { MOST_LAID, type WrittenAsks } from '@/core/kitchen-file';
import { readNumber } from '@/core/quantity';
import { Combo } from '@/ui/forms/combo';
import { FormField } from '@/ui/forms/form-field';
import { SaveButton } from '@/ui/forms/save-button';
import { SaveForm } from '@/ui/forms/save-form';
import { SidePanel } from '@/ui/panels/side-panel';
import { useSaveForm } from '@/ui/forms/use-save-form';
import { findOther, type Other } from '../actions';
import type { QuestionPage } from '../queries';
import { saveQuestion } from '../send';
import * as texts from './texts';

const Named = z.object({ name: z.string().trim().min(1, texts.whatQuestionCalled) });

interface Of {
  readonly page: QuestionPage;
  readonly close: () => void;
}

/** Keeps a question under a name: it is asked again as prices move. */
export function SaveQuestion({ page, close }: Of) {
  const router = useRouter();
  const { kept, asks, beside, title } = page;
  const keeping = useSaveForm(
    Named,
    { name: kept?.name ?? title.slice(0, 120) },
    async ({ name }, _form, seen) => {
      const answer = await saveQuestion({
        id: kept?.id ?? null,
        name,
        asks,
        beside: [...beside],
        ...(kept ? { seen: Math.max(seen ?? 0, kept.version) } : {}),
      });
      if (answer.ok) {
        close();
        router.push(`/weigh/${answer.value.id}`);
      }
      return answer.ok || !answer.theirs ? answer : { ...answer, theirs: { name: answer.theirs.name } };
    },
  );
  return (
    <SidePanel title={kept ? texts.saveAnswer : texts.saveQuestion} open close={close}>
      <SaveForm className="stacked" of={keeping}>
        <FormField
          {...{ form: keeping.form, name: 'name', label: texts.whatQuestionCalledHeading }}
          autoFocus
        />
        <p className="quiet small-line m-0">{texts.calculatedAgainWheneverSomebody}</p>
        <SaveButton of={keeping} />
      </SaveForm>
    </SidePanel>
  );
}

type Listed = Extract<WrittenAsks, { of: 'base' | 'instead' | 'thicken' }>;

const listOf = (asks: WrittenAsks): readonly Base[] | undefined => {
  if (asks.of === 'base') return asks.bases;
  if (asks.of === 'instead') return asks.with;
  return asks.of === 'thicken' ? asks.with.map((of) => ({ of })) : undefined;
};
type Base = Extract<WrittenAsks, { of: 'base' }>['bases'][number];

const withList = (asks: Listed, list: readonly Base[]): WrittenAsks => {
  if (asks.of === 'base') return { ...asks, bases: [...list] };
  if (asks.of === 'instead') return { ...asks, with: [...list] };
  return { ...asks, with: list.map(({ of }) => of) as Extract<WrittenAsks, { of: 'thicken' }>['with'] };
};

const idIn = (of: Base['of']): string =>
  'ingredient' in of
    ? of.ingredient
    : 'product' in of
      ? of.product
      : 'stockTrimOf' in of
        ? of.stockTrimOf
        : of.lastBatchOf;

const isListed = (asks: WrittenAsks): asks is Listed => listOf(asks) !== undefined;

/** What is compared with what stands in the line: left out, added, or stirred into water. */
function LaidBeside({
  asks,
  set,
  page,
}: {
  readonly asks: Listed;
  readonly set: (asks: WrittenAsks) => void;
  readonly page: QuestionPage;
}) {
  const [names, setNames] = useState(() => new Map(page.names));
  const list = listOf(asks) ?? [];
  const put = (i: number, next: Base | undefined): void =>
    set(withList(asks, next ? list.map((b, k) => (k === i ? next : b)) : list.filter((_, k) => k !== i)));
  return (
    <>
      <h3 className="fs-6 m-0">{texts.compared}</h3>
      {list.map((base, i) => (
        <LaidOne
          key={idIn(base.of)}
          name={names.get(idIn(base.of)) ?? ''}
          base={base}
          concentrates={asks.of === 'base'}
          mark={page.decimalMark}
          set={(next) => put(i, next)}
        />
      ))}
      {list.length < MOST_LAID - 1 && (
        <AddOther
          add={(other) => {
            setNames(new Map(names).set(other.id, other.name));
            const of = other.is === 'ingredient' ? { ingredient: other.id } : { product: other.id };
            if (!list.some((b) => idIn(b.of) === other.id)) set(withList(asks, [...list, { of }]));
          }}
        />
      )}
    </>
  );
}

/** Asks the same question with other limits, or other things compared. Nothing of the book is touched. */
export function EditQuestion({ page, close }: Of) {
  const router = useRouter();
  const [asks, setAsks] = useState(page.asks);
  const [wrong, setWrong] = useState<string | undefined>();
  const few = tooFew(asks);
  const go = (): void => {
    if (few !== undefined) return setWrong(few);
    const asked = new URLSearchParams({
      q: JSON.stringify(asks),
      ...(page.kept ? { of: page.kept.id } : {}),
    });
    close();
    router.push(`/weigh/ask?${asked}`);
  };
  return (
    <SidePanel title={texts.editQuestion} open close={close}>
      <div className="stacked">
        {asks.of === 'base' && <Limits asks={asks} set={setAsks} mark={page.decimalMark} />}
        {asks.of === 'instead' && (
          <Figure
            label={texts.minutesBenchKiloTakes}
            value={asks.benchMinPerKg ?? 0}
            least={0}
            most={120}
            mark={page.decimalMark}
            set={(benchMinPerKg) => setAsks({ ...asks, benchMinPerKg })}
          />
        )}
        {isListed(asks) && <LaidBeside asks={asks} set={setAsks} page={page} />}
        {asks.of === 'pot' && <InPots asks={asks} set={setAsks} page={page} />}
        {asks.of === 'sheets' && <OtherSheets asks={asks} set={setAsks} page={page} />}
        {wrong !== undefined && <p className="trouble m-0">{wrong}</p>}
        <Button onClick={go}>{texts.ask}</Button>
      </div>
    </SidePanel>
  );
}

/** What a question lacks before it can be asked. */
function tooFew(asks: WrittenAsks): string | undefined {
  if (asks.of === 'pot') return asks.vessels.length < 2 ? texts.chooseTwoPotsCompare : undefined;
  const list = asks.of === 'sheets' ? asks.with : listOf(asks);
  return list?.length === 0 ? texts.chooseSomethingCompare : undefined;
}

type Ask<K extends WrittenAsks['of']> = Extract<WrittenAsks, { of: K }>;

interface Asking<K extends WrittenAsks['of']> {
  readonly asks: Ask<K>;
  readonly set: (asks: WrittenAsks) => void;
  readonly page: QuestionPage;
}

/** In which pots it is tried. */
function InPots({ asks, set, page }: Asking<'pot'>) {
  const { vessels } = asks;
  const others = page.vessels.filter((v) => !vessels.includes(v.id));
  return (
    <>
      <h3 className="fs-6 m-0">{texts.besideEachOther}</h3>
      {vessels.map((id) => (
        <LeftOut
          key={id}
          name={page.vessels.find((v) => v.id === id)?.name ?? 'a pot put away'}
          leave={() => set({ ...asks, vessels: vessels.filter((v) => v !== id) })}
        />
      ))}
      {vessels.length < MOST_LAID && others.length > 0 && (
        <Form.Select
          aria-label={texts.anotherPot}
          value=""
          onChange={(event) => set({ ...asks, vessels: [...vessels, event.target.value] })}
        >
          <option value="" disabled>
            {texts.anotherPotInline}
          </option>
          {others.map((v) => (
            <option key={v.id} value={v.id}>
              {v.name}
            </option>
          ))}
        </Form.Select>
      )}
    </>
  );
}

/** Which other sheets it is compared with. */
function OtherSheets({ asks, set, page }: Asking<'sheets'>) {
  const [names, setNames] = useState(() => new Map(page.names));
  const sheets = asks.with;
  const find = useCallback((wanted: string) => findOther(wanted, true), []);
  return (
    <>
      <h3 className="fs-6 m-0">{texts.compared}</h3>
      {sheets.map((id) => (
        <LeftOut
          key={id}
          name={names.get(id) ?? ''}
          leave={() => set({ ...asks, with: sheets.filter((r) => r !== id) })}
        />
      ))}
      {sheets.length < MOST_LAID - 1 && (
        <Combo<Other>
          label={texts.anotherPotBeside}
          placeholder={texts.anotherPotBesideInline}
          chosen={undefined}
          choose={(other) => {
            if (!other || other.id === asks.recipe || sheets.includes(other.id)) return;
            setNames(new Map(names).set(other.id, other.name));
            set({ ...asks, with: [...sheets, other.id] });
          }}
          find={find}
        />
      )}
    </>
  );
}

const LeftOut = ({ name, leave }: { readonly name: string; readonly leave: () => void }) => (
  <Stack direction="horizontal" gap={2}>
    <span className="me-auto">{name}</span>
    <Button variant="link" size="sm" aria-label={texts.leaveOutNamed(name)} onClick={leave}>
      {texts.leaveOut}
    </Button>
  </Stack>
);

/** What is wanted of the finished thing. */
function Limits({
  asks,
  set,
  mark,
}: {
  readonly asks: Extract<WrittenAsks, { of: 'base' }>;
  readonly set: (asks: WrittenAsks) => void;
  readonly mark: '.' | ',';
}) {
  return (
    <>
      <Figure
        label={texts.bodyLeast}
        value={asks.body}
        least={0.02}
        most={12}
        mark={mark}
        set={(body) => set({ ...asks, body })}
      />
      <Figure
        label={texts.saltMost}
        value={asks.saltPct}
        least={0}
        most={5}
        mark={mark}
        set={(saltPct) => set({ ...asks, saltPct })}
      />
    </>
  );
}

interface FigureProps {
  readonly label: string;
  readonly value: number;
  readonly least: number;
  readonly most: number;
  readonly mark: '.' | ',';
  readonly set: (value: number) => void;
}

/** A figure that is asked with: what cannot be read is told with its limits, and the last one that could be stands. */
function Figure({ label, value, least, most, mark, set }: FigureProps) {
  const [text, setText] = useState(() => String(value).replace('.', mark));
  const figure = figureOf(text, mark);
  const wrong =
    typeof figure === 'string'
      ? figure
      : figure < least || figure > most
        ? texts.cannotFrom(figure, least, most)
        : undefined;
  return (
    <Form.Group>
      <Form.Label>{label}</Form.Label>
      <Form.Control
        aria-label={label}
        inputMode="decimal"
        value={text}
        isInvalid={wrong !== undefined}
        onChange={(event) => {
          setText(event.target.value);
          const now = figureOf(event.target.value, mark);
          if (typeof now === 'number' && now >= least && now <= most) set(now);
        }}
      />
      {wrong !== undefined && <p className="trouble m-0">{wrong}</p>}
    </Form.Group>
  );
}

/** A figure as typed, or what is wrong with it. */
function figureOf(text: string, mark: '.' | ','): number | string {
  const read = readNumber(text, mark);
  return read.ok ? read.value.toNumber() : read.trouble.message;
}

function LaidOne({
  name,
  base,
  concentrates,
  mark,
  set,
}: {
  readonly name: string;
  readonly base: Base;
  readonly concentrates: boolean;
  readonly mark: '.' | ',';
  readonly set: (base: Base | undefined) => void;
}) {
  return (
    <div>
      <LeftOut name={name} leave={() => set(undefined)} />
      {concentrates && (
        <>
          <Form.Check
            id={`concentrate-${idIn(base.of)}`}
            label={texts.stirredIntoWaterPaste}
            checked={base.gPerL !== undefined}
            onChange={(event) => set({ of: base.of, ...(event.target.checked ? { gPerL: 20 } : {}) })}
          />
          {base.gPerL !== undefined && (
            <Figure
              label={texts.gLitreWater(name)}
              value={base.gPerL}
              least={0.1}
              most={1000}
              mark={mark}
              set={(gPerL) => set({ of: base.of, gPerL })}
            />
          )}
        </>
      )}
    </div>
  );
}

function AddOther({ add }: { readonly add: (other: Other) => void }) {
  const find = useCallback((wanted: string) => findOther(wanted, false), []);
  return (
    <Combo<Other>
      label={texts.compareSomethingElse}
      placeholder={texts.compareSomethingElseInline}
      chosen={undefined}
      choose={(other) => {
        if (other) add(other);
      }}
      find={find}
    />
  );
}

'use client';

import { memo, useCallback, useEffect, useMemo, useRef, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { readSupply } from '@/core/supply';
import { useFormatters } from '@/ui/formatters-context';
import { Combo } from '@/ui/forms/combo';
import { useMissing } from '@/ui/forms/missing';
import { useToast } from '@/ui/frame/toasts';
import { TroubleText } from '@/ui/forms/trouble-text';
import { useDebounced, DEBOUNCE_MS } from '@/ui/hooks/use-debounced';
import { useSearch } from '@/ui/tables/use-search';
import { SheetTable } from '@/ui/tables/sheet-table';
import type { PotSheetData } from '../../queries';
import { VIEWS, type LedgerColumn } from './columns';
import { WarningFixContext } from '../line/warning-fix';
import { MovableSteps } from '../sheet/movable-steps';
import { LineInput } from '../line/line-input';
import type { Draft } from '../sheet/sheet-lines';
import { DebouncedPotContext, PotContext } from './pot-context';
import { StepRow } from '../line/step-row';
import { useLineActions } from '../line/use-line-actions';
import {
  NO_SUGGESTIONS,
  SuggestionsProvider,
  useSuggestions,
  type TypedLine,
  type LineSuggestion,
} from '../line/use-suggestions';
import type { LivePot } from './use-pot';
import type { useSheet } from '../sheet/use-sheet';
import { useView } from '../sheet/use-view';
import * as texts from './texts';

interface Props {
  readonly sheet: ReturnType<typeof useSheet>;
  readonly onFields: (id: string | undefined) => void;
}

/** The line that is being typed in, with where it stands or will stand; what it says comes from the sheet. */
function useInHand(
  sheet: Props['sheet'],
  next: string,
): readonly [TypedLine | undefined, (id: string | undefined) => void] {
  const [typing, setTyping] = useState<string>();
  const { lines } = sheet.draft;
  const at = lines.findIndex((l) => l.id === typing);
  const text = typing === 'next' ? next : lines[at]?.text;
  const before = lines.length - (sheet.pot.steps.at(-1)?.do === 'portion' ? 1 : 0);
  const hand = useMemo(
    (): TypedLine | undefined =>
      text === undefined
        ? undefined
        : { text, at: typing === 'next' ? before : at, isNew: typing === 'next' },
    [text, at, typing, before],
  );
  return [hand, setTyping];
}

/** What the lines of a sheet are drawn with: what is offered for the one in hand, what is done to them, what cures are tried on. */
function useLedger({ sheet, onFields }: Props) {
  const { known: data, draft, pot, run, done } = sheet;
  const { currencySign } = useFormatters();
  const [view, setView] = useView();
  const columns = useMemo(() => (VIEWS[view] ?? VIEWS.usual)?.(currencySign) ?? [], [view, currencySign]);
  const [next, setNext] = useState('');
  const [inHand, setInHand] = useInHand(sheet, next);
  const offers = useSuggestions(data, draft, inHand);
  const acts = useLineActions({
    draft,
    pot,
    asItStands: sheet.asItStands,
    onDone: (d) => {
      setInHand(undefined);
      done(d);
    },
    onTyped: (i, text) => {
      setInHand(draft.lines[i]?.id);
      sheet.typed(i, text);
    },
    onChoose: sheet.choose,
    onSettle: sheet.settle,
    onLearned: sheet.learned,
    onFields,
  });
  const onCure = useRef(done);
  useEffect(() => {
    onCure.current = done;
  });
  const curer = useMemo(
    () => ({
      draft,
      names: data.names,
      pot,
      run,
      vessels: data.vessels,
      hobs: data.hobs,
      onCure: (cured: { readonly draft: Draft }) => onCure.current(cured.draft),
    }),
    [draft, data, pot, run],
  );
  const typeNext = (text: string): void => {
    // Anyone who writes may name anything there is.
    void sheet.names();
    setNext(text);
    setInHand('next');
  };
  return { view, setView, columns, next, setNext, typeNext, inHand, offers, ...acts, curer };
}

/** Steps as they are said, each with what the pot then holds and costs. */
export function Ledger({ sheet, onFields }: Props) {
  const { known: data, draft, pot } = sheet;
  const ledger = useLedger({ sheet, onFields });
  const { columns, inHand, offers, acts, setNext } = ledger;
  const offered = useMemo(
    () => (inHand && !inHand.isNew ? { at: inHand.at, offers } : undefined),
    [inHand, offers],
  );
  return (
    <WarningFixContext value={ledger.curer}>
      <div className="d-flex flex-wrap gap-2 align-items-center mb-1">
        <Standing sheet={sheet} />
        <ColumnsFor view={ledger.view} onView={ledger.setView} />
      </div>
      <SheetTable className="ledger folds">
        <LedgerHead columns={columns} />
        <MovableSteps lines={draft.lines} onMove={ledger.dropped}>
          <SuggestionsProvider value={offered}>
            <Rows sheet={sheet} columns={columns} acts={acts} />
          </SuggestionsProvider>
        </MovableSteps>
      </SheetTable>
      {draft.lines.length === 0 && <EmptyPot />}
      {data.mayEdit && (
        <NextStep
          next={ledger.next}
          offers={inHand?.isNew ? offers : NO_SUGGESTIONS}
          onTyped={ledger.typeNext}
          onAdd={(text) => {
            ledger.add(text);
            setNext('');
          }}
          onLines={(text) => {
            acts.pasted(undefined, text);
            setNext('');
          }}
          onUp={() => {
            const last = draft.lines.at(-1);
            if (last) document.getElementById(`step-${last.id}`)?.focus();
          }}
          onFields={() => onFields(undefined)}
        />
      )}
      {data.mayEdit && <NoPrices data={data} pot={pot} onPriced={sheet.priced} />}
      <TroubleText says={sheet.keeping.refusal?.message} />
    </WarningFixContext>
  );
}

/** Every line with what the pot then holds. */
function Rows({
  sheet,
  columns,
  acts,
}: Pick<Props, 'sheet'> & {
  readonly columns: readonly LedgerColumn[];
  readonly acts: ReturnType<typeof useLineActions>['acts'];
}) {
  const { known: data, draft, pot } = sheet;
  const shown = useMemo(
    () => ({ pot, columns, most: Math.max(1, ...pot.run.rows.map((r) => r.ml)) }),
    [pot, columns],
  );
  return (
    <PotContext value={shown}>
      <DebouncedPotContext value={useDebounced(shown, DEBOUNCE_MS)}>
        <EachRow
          draft={draft}
          pot={pot}
          chosen={Math.min(sheet.chosen, draft.lines.length)}
          mayEdit={data.mayEdit}
          arrived={sheet.arrived.ids}
          touched={sheet.touched}
          acts={acts}
        />
      </DebouncedPotContext>
    </PotContext>
  );
}

/** The rows by themselves: what is offered for one of them, and what follows when the fingers rest, is not the others' business. */
const EachRow = memo(function EachRow({
  draft,
  pot,
  chosen,
  mayEdit,
  arrived,
  touched,
  acts,
}: Pick<Props['sheet'], 'draft' | 'pot' | 'chosen' | 'touched'> & {
  readonly mayEdit: boolean;
  readonly arrived: ReadonlySet<string>;
  readonly acts: ReturnType<typeof useLineActions>['acts'];
}) {
  const both = new Map(touched.map((t) => [t.id, t]));
  return draft.lines.map((line, i) => (
    <StepRow
      key={line.id}
      index={i}
      line={line}
      choices={draft.choices}
      step={pot.steps[i]}
      done={pot.done[i] ?? true}
      trouble={pot.troubles.get(i)}
      chosen={i === chosen}
      mayEdit={mayEdit}
      arrived={arrived.has(line.id)}
      touched={both.get(line.id)}
      acts={acts}
    />
  ));
});

/** What goes in and has no price yet, asked for one after the other. */
function NoPrices({
  data,
  pot,
  onPriced,
}: {
  readonly data: PotSheetData;
  readonly pot: LivePot;
  readonly onPriced: () => void;
}) {
  const missing = useMissing();
  const names = new Map(data.standsOn.map((s) => [s.id, s.name]));
  const ids = pot.run.inputs.flatMap(({ supply }, i) => {
    const from = pot.inputMoney[i] === null ? readSupply(supply) : undefined;
    return from?.is === 'usable' && names.has(from.id) ? [from.id] : [];
  });
  const first = ids[0];
  if (!missing || first === undefined) return null;
  const more = new Set(ids).size - 1;
  return (
    <section className="mt-3" aria-label={texts.whatNoPriceYet}>
      <missing.NoPrice key={first} ingredient={first} name={names.get(first) ?? ''} there={onPriced} />
      {more > 0 && <p className="quiet small-line mb-0">{texts.moreAfter(more)}</p>}
    </section>
  );
}

const EmptyPot = () => <p className="quiet">{texts.nothingPotYetStart}</p>;

/** Where the pot starts, and what it stands on: another is taken when it is said, and can be put back. */
function Standing({ sheet }: Pick<Props, 'sheet'>) {
  const { known: data, draft, asItStands } = sheet;
  const { vessel, hob } = draft;
  const tell = useToast();
  const doneRef = useRef(sheet.done);
  useEffect(() => {
    doneRef.current = sheet.done;
  });
  const stand = useCallback(
    (v: string, h: string, words: string): void => {
      const before = asItStands();
      doneRef.current({ ...before, vessel: v, hob: h });
      tell(words, () => doneRef.current({ ...asItStands(), vessel: before.vessel, hob: before.hob }));
    },
    [asItStands, tell],
  );
  return (
    <StandingOn
      vessels={data.names.vessels}
      hobs={data.names.hobs}
      vessel={vessel}
      hob={hob}
      mayEdit={data.mayEdit}
      stand={stand}
    />
  );
}

/** The two choosers of it: no key in a line is theirs. */
const StandingOn = memo(function StandingOn({
  vessels,
  hobs,
  vessel,
  hob,
  mayEdit,
  stand,
}: Pick<PotSheetData['names'], 'vessels' | 'hobs'> & {
  readonly vessel: string;
  readonly hob: string;
  readonly mayEdit: boolean;
  readonly stand: (vessel: string, hob: string, words: string) => void;
}) {
  return (
    <>
      <Combo
        size="sm"
        label={texts.starts}
        disabled={!mayEdit}
        chosen={vessels.find((v) => v.id === vessel)}
        find={useSearch(vessels)}
        choose={(v) => v && v.id !== vessel && stand(v.id, hob, texts.startsNow(v.name))}
      />
      <Combo
        size="sm"
        label={texts.stands}
        disabled={!mayEdit}
        chosen={hobs.find((h) => h.id === hob)}
        find={useSearch(hobs)}
        choose={(h) => h && h.id !== hob && stand(vessel, h.id, texts.standsNow(h.name))}
      />
    </>
  );
});

/** The line under the others: said, and Enter puts it in; several pasted at once become as many. */
function NextStep({
  next,
  offers,
  onTyped,
  onAdd,
  onLines,
  onUp,
  onFields,
}: {
  readonly next: string;
  readonly offers: readonly LineSuggestion[];
  readonly onTyped: (text: string) => void;
  readonly onAdd: (text: string) => void;
  readonly onLines: (text: string) => void;
  readonly onUp: () => void;
  readonly onFields: () => void;
}) {
  const add = (): void => {
    if (next.trim() === '') return;
    onAdd(next);
    document.getElementById('next-step')?.focus();
  };
  return (
    <div className="next-step d-flex align-items-center gap-2 pt-2 ps-3">
      <LineInput
        id="next-step"
        name="Next step"
        settled={next === ''}
        placeholder={texts.nextStepSimmer20}
        value={next}
        offers={offers}
        onTyped={onTyped}
        onTake={onAdd}
        onLines={onLines}
        onKey={(event) => {
          if (event.key !== 'ArrowUp') return false;
          onUp();
          return true;
        }}
        onEnter={add}
        onEscape={() => onTyped('')}
      />
      <Button variant="plain" size="sm" onClick={add} disabled={next.trim() === ''}>
        {texts.add}
      </Button>
      <Button variant="link" size="sm" onClick={onFields}>
        {texts.useForm}
      </Button>
    </div>
  );
}

/** What is followed through the pot: a set of columns. */
const ColumnsFor = memo(function ColumnsFor({
  view,
  onView,
}: {
  readonly view: string;
  readonly onView: (view: string) => void;
}) {
  return (
    <Form.Select
      size="sm"
      className="w-auto no-print"
      aria-label={texts.whatColumnsShow}
      value={view}
      onChange={(event) => onView(event.target.value)}
    >
      {Object.keys(VIEWS).map((name) => (
        <option key={name} value={name}>
          {name === 'usual' ? texts.standardColumns : name}
        </option>
      ))}
    </Form.Select>
  );
});

function LedgerHead({ columns }: { readonly columns: readonly LedgerColumn[] }) {
  return (
    <thead>
      <tr>
        <th scope="col">{texts.stepHeading}</th>
        {columns.map((c) => (
          <th key={c.head} scope="col">
            {c.head}
          </th>
        ))}
      </tr>
    </thead>
  );
}

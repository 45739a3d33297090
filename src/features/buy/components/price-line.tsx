'use client';

import Button from 'react-bootstrap/Button';
import Link from 'next/link';
import { useId, useState } from 'react';
import { comesOffShare } from '@/core/knife';
import { outlierQuestion, checkShares, readPct, readPrice } from '@/core/larder';
import type { DecimalMark } from '@/core/quantity';
import { useFormatters } from '@/ui/formatters-context';
import { TypedField } from '@/ui/forms/typed-field';
import { useUnsavedChanges } from '@/ui/frame/unsaved-changes';
import { useQueuedWrite } from '@/ui/hooks/use-queued-write';
import { WhyFigure } from '@/ui/panels/why';
import { canWait, type Reply } from '@/wire';
import { moreRows } from '../actions';
import type { PriceRow } from '../queries';
import { editPrice, editYield, PRICE, YIELD } from '../wire';
import { knifeOf, type TypedPrice } from './use-answers';
import * as texts from './texts';

interface Props {
  readonly row: PriceRow;
  /** Columns that are not shown. */
  readonly hidden: readonly string[];
  readonly mark: DecimalMark;
  readonly mayEdit: boolean;
  readonly onTyped: (row: PriceRow, typed: TypedPrice) => void;
  readonly keep: (row: PriceRow) => void;
}

interface Said {
  readonly message: string;
  readonly theirs?: PriceRow | undefined;
  /** Kept here for now. */
  readonly here?: boolean;
}

const fromRow = (row: PriceRow) => ({ price: row.article?.packPrice ?? '', usable: String(row.usablePct) });

/** What was typed in a row as numbers, or what is wrong with it. */
function understand(
  row: PriceRow,
  text: { price: string; usable: string },
  mark: DecimalMark,
): { typed?: TypedPrice; price?: string; usable?: string } {
  const price = row.article ? readPrice(text.price, mark) : undefined;
  const pct = readPct(text.usable, mark);
  if (price && !price.ok) return { price: price.trouble.message };
  if (!pct.ok) return { usable: pct.trouble.message };
  const wrong = checkShares({
    usable: pct.value / 100,
    stockTrim: comesOffShare(row.stockTrimPct / 100, row.knife),
  });
  if (wrong) return { usable: wrong.trouble.message };
  const typed = { packPrice: price?.value.toNumber(), usablePct: pct.value };
  const knife = knifeOf(row, typed);
  return knife.trouble ? { price: knife.trouble.message } : { typed };
}

/** What arithmetic in a price comes to; nothing for a plain figure. */
function workedOut(text: string, mark: DecimalMark): string | undefined {
  const price = /[-+*/x×(]/.test(text.trim().slice(1)) ? readPrice(text, mark) : undefined;
  return price?.ok ? `= ${price.value.toFixed(2)}` : undefined;
}

const asItStands = (row: PriceRow): TypedPrice => ({
  packPrice: row.article ? Number(row.article.packPrice) : undefined,
  usablePct: row.usablePct,
});

const isGuess = (row: PriceRow): boolean => row.estimate && row.usablePct < 100;

/** A row as it is typed: understood at every stroke, kept on leaving it, and both sides where somebody else was first. */
function usePriceLine({ row, mark, onTyped, keep }: Props) {
  const [text, setText] = useState(fromRow(row));
  const [refused, setRefused] = useState<Said | null>(null);
  const [kept, setKept] = useState(false);
  const understood = understand(row, text, mark);
  // What was refused stands typed and is kept nowhere.
  useUnsavedChanges(refused !== null && refused.here !== true);
  const last = understood.typed ?? asItStands(row);
  const knife = knifeOf(row, last);

  const type = (field: 'price' | 'usable', value: string): void => {
    const next = { ...text, [field]: value };
    setText(next);
    setRefused(null);
    setKept(false);
    const read = understand(row, next, mark);
    onTyped(row, read.typed ?? asItStands(row));
  };
  const settle = async (answer: Reply<null, PriceRow>): Promise<void> => {
    if (!answer.ok) {
      setRefused({ message: answer.message, theirs: answer.theirs, here: canWait(answer) });
      return;
    }
    setKept(true);
    setRefused(null);
    // The row as it now stands: its version, since when its price holds, and what else follows.
    const now = (await moreRows([row.id], [], {}).catch(() => undefined))?.rows[0];
    if (!now) return;
    keep(now);
    onTyped(now, asItStands(now));
  };
  useQueuedWrite(PRICE.kind, row.article?.id, (answer: Reply<null, PriceRow>) => void settle(answer));
  useQueuedWrite(YIELD.kind, row.id, (answer: Reply<null, PriceRow>) => void settle(answer));
  const save = async (field: 'price' | 'usable', value: string, from: PriceRow): Promise<void> => {
    if (understood.price ?? understood.usable) return;
    await settle(
      field === 'price' && from.article
        ? await editPrice({ row: row.id, article: from.article.id, seen: from.article.version, typed: value })
        : await editYield({ ingredient: row.id, seen: from.version, typed: value }),
    );
  };
  const takeTheirs = (theirs: PriceRow): void => {
    keep(theirs);
    setText(fromRow(theirs));
    setRefused(null);
    onTyped(theirs, asItStands(theirs));
  };
  const keepMine = (theirs: PriceRow): void => {
    keep(theirs);
    setRefused(null);
    const mine = fromRow(theirs).price !== text.price ? 'price' : 'usable';
    void save(mine, text[mine], theirs);
  };
  return { text, understood, refused, kept, knife, type, save, takeTheirs, keepMine };
}
type Line = ReturnType<typeof usePriceLine>;

/** One ingredient: its pack price and yield can be typed over, everything else follows. */
export function PriceLine(props: Props) {
  const { row, hidden } = props;
  const line = usePriceLine(props);
  const { understood, refused, knife } = line;
  const troubleId = useId();
  const { bare } = useFormatters();
  const trouble = understood.price ?? understood.usable ?? refused?.message;
  const here = refused?.here === true;
  return (
    <>
      <tr id={row.id} className={trouble && !here ? 'row-trouble' : ''}>
        <th scope="row">
          <Link prefetch={false} href={`/buy/${row.id}`}>
            {row.name}
          </Link>
        </th>
        {!hidden.includes('bought') && <BoughtAs row={row} />}
        <PackPrice {...props} line={line} troubleId={troubleId} />
        {!hidden.includes('kilo') && (
          <td className="fig" title={row.basis?.words}>
            {bare(knife.perKg)}
            {row.basis && <div className="small-line quiet">{row.basis.by}</div>}
          </td>
        )}
        <YieldCell {...props} line={line} troubleId={troubleId} />
        {!hidden.includes('trim') && (
          <td className="fig">{row.stockTrimPct === 0 ? '' : bare(row.stockTrimPct, 0)}</td>
        )}
        {!hidden.includes('moved') && <MovedCell moved={row.moved} />}
        <UsableCell row={row} line={line} />
      </tr>
      {trouble && (
        <tr className="note-row">
          <td colSpan={8}>
            <span id={troubleId} role={here ? 'status' : 'alert'} className={here ? 'quiet' : 'trouble'}>
              {trouble}
            </span>
            {refused?.theirs && <BothSides theirs={refused.theirs} line={line} />}
          </td>
        </tr>
      )}
    </>
  );
}

function BoughtAs({ row }: Pick<Props, 'row'>) {
  const { said } = useFormatters();
  return (
    <td className="left d-none d-md-table-cell">
      <div
        className="text-truncate small-line quiet"
        style={{ maxWidth: 168 }}
        title={row.article ? said(texts.priceSince(row.article.words, row.article.since)) : undefined}
      >
        {row.comesOff
          ? texts.comesOff(row.comesOff.of)
          : row.article
            ? row.article.words
            : texts.notBoughtYet}
      </div>
    </td>
  );
}

/** Somebody else changed the row meanwhile: one of the two is kept. */
function BothSides({ theirs, line }: { readonly theirs: PriceRow; readonly line: Line }) {
  return (
    <span className="d-inline-flex flex-wrap gap-2 ms-2">
      <Button variant="plain" size="sm" onClick={() => line.keepMine(theirs)}>
        {texts.keepMine}
      </Button>
      <Button variant="plain" size="sm" onClick={() => line.takeTheirs(theirs)}>
        {texts.takeTheirs(theirs.article?.packPrice ?? '', theirs.usablePct)}
      </Button>
    </span>
  );
}

interface CellProps extends Props {
  readonly line: Line;
  readonly troubleId: string;
}

function PackPrice({ row, mark, mayEdit, line: { understood, refused, type, save }, troubleId }: CellProps) {
  const { money } = useFormatters();
  return (
    <td>
      {row.article && !row.comesOff && (
        <TypedField
          label={texts.pricePack(row.name)}
          value={row.article.packPrice}
          trouble={understood.price ?? (understood.usable ? undefined : refused?.message)}
          describedBy={troubleId}
          disabled={!mayEdit}
          understood={(t) => workedOut(t, mark)}
          asks={(t) => {
            const price = readPrice(t, mark);
            return price.ok
              ? outlierQuestion({
                  what: 'price',
                  before: Number(row.article?.packPrice),
                  after: price.value.toNumber(),
                  words: money,
                })
              : undefined;
          }}
          onTyped={(t) => type('price', t)}
          onDone={(t) => void save('price', t, row)}
        />
      )}
    </td>
  );
}

function YieldCell({ row, mark, mayEdit, line: { understood, type, save }, troubleId }: CellProps) {
  const { bare } = useFormatters();
  const guess = isGuess(row);
  return (
    <td>
      <span
        className={`yield-cell${guess ? ' estimate' : ''}`}
        title={guess ? texts.estimateNotMeasuredHere : texts.measuredHereOrNothing}
      >
        <TypedField
          narrow
          label={texts.usablePerCent(row.name, guess)}
          value={String(row.usablePct)}
          trouble={understood.usable}
          describedBy={troubleId}
          disabled={!mayEdit}
          asks={(t) => {
            const pct = readPct(t, mark);
            return pct.ok
              ? outlierQuestion({
                  what: 'yield',
                  before: row.usablePct,
                  after: pct.value,
                  words: (x) => `${bare(x, 0)} %`,
                })
              : undefined;
          }}
          onTyped={(t) => type('usable', t)}
          onDone={(t) => void save('usable', t, row)}
        />
      </span>
    </td>
  );
}

function MovedCell({ moved }: { readonly moved: number | undefined }) {
  const { bare } = useFormatters();
  return (
    <td className="moved fig">
      {moved !== undefined && Math.abs(moved) >= 0.005 && (
        <span className={moved > 0 ? 'dearer' : 'cheaper'}>
          <span aria-hidden="true">{moved > 0 ? '▲ ' : '▼ '}</span>
          <span className="visually-hidden">{moved > 0 ? texts.dearer : texts.cheaper}</span>
          {bare(Math.abs(moved) * 100, 0)} %
        </span>
      )}
    </td>
  );
}

function UsableCell({ row, line: { knife, kept } }: { readonly row: PriceRow; readonly line: Line }) {
  const { bare } = useFormatters();
  const guess = isGuess(row);
  return (
    <td className="fs-5 fw-bold">
      {knife.usablePerKg === undefined ? (
        <span className="incomplete">{texts.noPrice}</span>
      ) : (
        <WhyFigure
          of={`usable:${row.id}`}
          label={texts.usableKilo(row.name)}
          className={guess ? 'estimate' : ''}
        >
          {bare(knife.usablePerKg)}
        </WhyFigure>
      )}
      {kept && (
        <span className="visually-hidden" role="status">
          {texts.kept}
        </span>
      )}
    </td>
  );
}

'use client';

import {
  columnVisibilityFeature,
  createSortedRowModel,
  rowSortingFeature,
  tableFeatures,
  useTable,
  type ColumnDef,
} from '@tanstack/react-table';
import { useWindowVirtualizer } from '@tanstack/react-virtual';
import { Fragment, useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import Button from 'react-bootstrap/Button';
import { SheetTable } from './sheet-table';
import { useOrder, type SortOrder } from './use-order';

/** One column: what its cells show, and what it is ordered by. */
export interface Column<R> {
  readonly id: string;
  readonly head: ReactNode;
  /** What a cell shows; a table whose rows draw themselves needs none. */
  readonly cell?: (row: R) => ReactNode;
  /** What rows are ordered by; a column without it cannot order. Where it is not known it comes last. */
  readonly by?: (row: R) => string | number | null | undefined;
  /** The largest first when it is first asked for. */
  readonly largestFirst?: boolean;
  readonly left?: boolean;
  readonly className?: string;
  readonly headClass?: string;
}

interface Props<R> {
  readonly columns: readonly Column<R>[];
  readonly rows: readonly R[];
  readonly rowKey: (row: R) => string;
  readonly className?: string;
  readonly label?: string;
  /** Columns that are not shown. */
  readonly hidden?: readonly string[];
  /** The order is the server's: what is here is only the first of many rows. */
  readonly ordered?: 'here' | 'by the server';
  /** A row that draws itself, of one table row or more. */
  readonly draw?: (row: R) => ReactNode;
  readonly rowClass?: (row: R) => string;
}

const features = tableFeatures({
  rowSortingFeature,
  columnVisibilityFeature,
  sortedRowModel: createSortedRowModel(),
});

/** Above so many rows only those near the screen are drawn. */
const MANY = 120;
const ROW_PX = 48;

/** A table whose rows can be ordered by its heads, the order kept in the address; of a long one only what is near the screen is drawn. */
export function DataTable<R extends object>(props: Props<R>) {
  const { columns, rows, rowKey, className, label, ordered = 'here', hidden = [] } = props;
  const order = useOrder(ordered === 'by the server');
  const defs = useMemo(
    () =>
      columns.map((c): ColumnDef<typeof features, R> => {
        const { id, by } = c;
        return {
          id,
          accessorFn: (row: R) => by?.(row) ?? undefined,
          enableSorting: by !== undefined,
          sortUndefined: 'last',
          sortFn: (a, b) => compared(by?.(a.original), by?.(b.original)),
        };
      }),
    [columns],
  );
  const data = useMemo(() => [...rows], [rows]);
  const sorting = order.order ? [{ id: order.order.id, desc: order.order.down }] : [];
  const table = useTable({
    features,
    columns: defs,
    data,
    getRowId: rowKey,
    manualSorting: ordered === 'by the server',
    state: { sorting, columnVisibility: Object.fromEntries(hidden.map((id) => [id, false])) },
  });
  const shown = columns.filter((c) => !hidden.includes(c.id));
  return (
    <SheetTable className={className ?? ''} aria-label={label}>
      <thead>
        <tr>
          {shown.map((c) => (
            <Head key={c.id} column={c} order={order.order} onOrder={order.by} />
          ))}
        </tr>
      </thead>
      <Body {...props} rows={table.getRowModel().rows.map((r) => r.original)} columns={shown} />
    </SheetTable>
  );
}

/** Words as a reader looks them up, figures by size. */
function compared(a: string | number | null | undefined, b: string | number | null | undefined): number {
  if (typeof a === 'number' && typeof b === 'number') return a - b;
  return NAMES.compare(String(a ?? ''), String(b ?? ''));
}
const NAMES = new Intl.Collator('en');

function Head<R>({
  column: c,
  order,
  onOrder,
}: {
  readonly column: Column<R>;
  readonly order: SortOrder | null;
  readonly onOrder: (order: SortOrder) => void;
}) {
  const here = order?.id === c.id ? order : undefined;
  const sorted = here ? (here.down ? 'descending' : 'ascending') : 'none';
  return (
    <th
      scope="col"
      className={`${c.left ? 'left ' : ''}${c.headClass ?? ''}`}
      aria-sort={c.by ? sorted : undefined}
    >
      {c.by ? (
        <Button
          variant="link"
          className="p-0 lh-1 fw-medium"
          size="sm"
          onClick={() => onOrder({ id: c.id, down: here ? !here.down : (c.largestFirst ?? false) })}
        >
          {c.head}
          <span aria-hidden="true">{here ? (here.down ? ' ↓' : ' ↑') : ''}</span>
        </Button>
      ) : (
        c.head
      )}
    </th>
  );
}

type BodyProps<R> = Pick<Props<R>, 'columns' | 'rows' | 'rowKey' | 'draw' | 'rowClass'>;

const Row = <R,>({
  row,
  columns,
  draw,
  rowClass,
}: Omit<BodyProps<R>, 'rows' | 'rowKey'> & { readonly row: R }) =>
  draw ? (
    draw(row)
  ) : (
    <tr className={rowClass?.(row)}>
      {columns.map((c) => (
        <td key={c.id} className={`${c.left ? 'left ' : ''}${c.className ?? ''}`}>
          {c.cell?.(row)}
        </td>
      ))}
    </tr>
  );

function Body<R>(props: BodyProps<R>) {
  const { rows, rowKey, ...each } = props;
  const paper = useOnPaper();
  if (rows.length > MANY && !paper) return <LongBody {...props} />;
  return (
    <tbody>
      {rows.map((row) => (
        <Row key={rowKey(row)} row={row} {...each} />
      ))}
    </tbody>
  );
}

/** Rows near the screen, and room for the others: a body for each, so that a row may be several high. */
function LongBody<R>({ rows, rowKey, ...each }: BodyProps<R>) {
  const first = useRef<HTMLTableSectionElement>(null);
  const [margin, setMargin] = useState(0);
  useEffect(() => {
    const top = first.current?.getBoundingClientRect().top;
    if (top !== undefined) setMargin(top + window.scrollY);
  }, []);
  const near = useWindowVirtualizer({
    count: rows.length,
    estimateSize: () => ROW_PX,
    overscan: 12,
    scrollMargin: margin,
    getItemKey: (i) => rowKey(rows[i] as R),
  });
  const items = near.getVirtualItems();
  const before = (items[0]?.start ?? margin) - margin;
  const after = near.getTotalSize() - ((items.at(-1)?.end ?? margin) - margin);
  return (
    <>
      <tbody ref={first} aria-hidden="true">
        <Room px={before} of={each.columns.length} />
      </tbody>
      {items.map((item) => (
        <tbody key={item.key} data-index={item.index} ref={near.measureElement}>
          <Row row={rows[item.index] as R} {...each} />
        </tbody>
      ))}
      <tbody aria-hidden="true">
        <Room px={after} of={each.columns.length} />
      </tbody>
    </>
  );
}

const Room = ({ px, of }: { readonly px: number; readonly of: number }) =>
  px > 0 ? (
    <tr>
      <td colSpan={of} style={{ height: px, padding: 0, border: 0 }} />
    </tr>
  ) : (
    <Fragment />
  );

/** Whether the page is being printed: then everything is drawn. */
function useOnPaper(): boolean {
  const [paper, setPaper] = useState(false);
  useEffect(() => {
    const begin = (): void => setPaper(true);
    const end = (): void => setPaper(false);
    window.addEventListener('beforeprint', begin);
    window.addEventListener('afterprint', end);
    return () => {
      window.removeEventListener('beforeprint', begin);
      window.removeEventListener('afterprint', end);
    };
  }, []);
  return paper;
}

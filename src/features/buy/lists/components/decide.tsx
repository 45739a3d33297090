'use client';

import Nav from 'react-bootstrap/Nav';
import Stack from 'react-bootstrap/Stack';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import Button from 'react-bootstrap/Button';
import type { Verdict } from '@/core/price-list';
import { useSave } from '@/ui/forms/use-save';
import { TroubleText } from '@/ui/forms/trouble-text';
import { accept, dropList, saveWanted } from '../wire';
import type { ListPage } from '../queries';
import { PriceListRow } from './list-row';
import { UndoImport } from './undo-import';
import { SheetTable } from '@/ui/tables/sheet-table';
import * as texts from './texts';

export const VERDICT_WORDS: Readonly<Record<Verdict, string>> = {
  moved: 'moved',
  odd: texts.unusualCheck,
  ask: texts.notKnownWhat,
  refused: texts.cannotRead,
  same: texts.before,
};

/** What would change, what is odd, what is asked and what is refused; then the decision. */
export function Decide({ page }: { page: ListPage }) {
  const [keep, state] = useSave();
  const { list } = page;
  const open = list.state === 'preview';
  const decidable = open && page.mayEdit && ['moved', 'odd'].includes(page.verdict);
  const at = (verdict: Verdict, from = 0): string =>
    `/buy/lists/${list.id}?verdict=${verdict}${from > 0 ? `&from=${from}` : ''}`;
  return (
    <>
      {list.state === 'undone' && <p className="warning">{texts.listUndonePricesNo}</p>}
      {list.state === 'accepted' && <UndoImport page={page} />}
      <Stack direction="horizontal" gap={3} className="flex-wrap my-3">
        <Nav as="nav" variant="pills" className="verdicts gap-2" aria-label={texts.rowsStatus}>
          {page.counts.map((c) => (
            <Nav.Link
              key={c.verdict}
              as={Link}
              prefetch={false}
              href={at(c.verdict)}
              active={c.verdict === page.verdict}
              aria-current={c.verdict === page.verdict ? 'page' : undefined}
            >
              <b>{c.rows}</b> {VERDICT_WORDS[c.verdict]}
            </Nav.Link>
          ))}
        </Nav>
        {open && page.mayEdit && <Ending page={page} busy={state.busy} keep={keep} />}
      </Stack>
      <TroubleText says={state.message} />
      {decidable && page.rows.length > 0 && <AllOfThem page={page} keep={keep} />}
      {page.rows.length === 0 ? (
        <p className="quiet">{texts.noRowsHere}</p>
      ) : (
        <Rows page={page} open={open} />
      )}
      <MoreRows page={page} at={at} />
    </>
  );
}

interface KeepingProps {
  readonly page: ListPage;
  readonly keep: ReturnType<typeof useSave>[0];
}

function Ending({ page: { list, counts }, busy, keep }: KeepingProps & { readonly busy: boolean }) {
  const router = useRouter();
  const wanted = counts.reduce((sum, c) => sum + c.wanted, 0);
  return (
    <span className="ms-auto d-flex gap-3">
      <Button
        variant="plain"
        size="sm"
        onClick={() =>
          void keep(() => dropList({ id: list.id })).then((ok) => ok && router.push('/buy/lists'))
        }
      >
        {texts.discardList}
      </Button>
      <Button disabled={busy || wanted === 0} onClick={() => void keep(() => accept({ id: list.id }))}>
        {texts.applyPricePrices(wanted)}
      </Button>
    </span>
  );
}

function AllOfThem({ page, keep }: KeepingProps) {
  const { list } = page;
  return (
    <p className="small-line">
      {page.verdict === 'odd' ? texts.oddRowsWrittenOnly : texts.theseWrittenUnlessYou}
      <Button
        variant="plain"
        size="sm"
        onClick={() =>
          void keep(() => saveWanted({ id: list.id, where: { verdict: page.verdict }, wanted: true }))
        }
      >
        {texts.takeAll}
      </Button>{' '}
      <Button
        variant="plain"
        size="sm"
        onClick={() =>
          void keep(() => saveWanted({ id: list.id, where: { verdict: page.verdict }, wanted: false }))
        }
      >
        {texts.leaveAllOut}
      </Button>
    </p>
  );
}

function Rows({ page, open }: { readonly page: ListPage; readonly open: boolean }) {
  return (
    <SheetTable className="roomy">
      <thead>
        <tr>
          <th scope="col">{texts.lineCodeWhat}</th>
          <th scope="col" className="left">
            {texts.packed}
          </th>
          <th scope="col">{texts.decideBefore}</th>
          <th scope="col">{texts.now}</th>
          <th scope="col" className="left">
            {page.verdict === 'ask' ? texts.whatHeading : texts.why}
          </th>
          <th scope="col">
            {open && page.verdict !== 'same' && page.verdict !== 'refused' ? texts.take : ''}
          </th>
        </tr>
      </thead>
      <tbody>
        {page.rows.map((row) => (
          <PriceListRow
            key={`${row.line} ${row.verdict} ${row.wanted ?? ''}`}
            row={row}
            page={page}
            open={open}
          />
        ))}
      </tbody>
    </SheetTable>
  );
}

function MoreRows({
  page,
  at,
}: {
  readonly page: ListPage;
  readonly at: (verdict: Verdict, from?: number) => string;
}) {
  return (
    <p className="my-3">
      {page.from > 0 && (
        <Link prefetch={false} href={at(page.verdict, Math.max(0, page.from - 50))}>
          {texts.earlierRows}
        </Link>
      )}{' '}
      {page.more && (
        <Link prefetch={false} href={at(page.verdict, page.from + page.rows.length)}>
          {texts.moreRows}
        </Link>
      )}
    </p>
  );
}

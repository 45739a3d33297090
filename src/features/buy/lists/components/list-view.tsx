'use client';

import Link from 'next/link';
import type { ListPage } from '../queries';
import { ChooseColumns } from './choose-columns';
import { Decide } from './decide';
import { JobProgress } from './job-progress';
import { useFormatters } from '@/ui/formatters-context';
import * as texts from './texts';

/** One price list on its way into the book, or what became of it. */
export function ListView({ page }: { page: ListPage }) {
  const { day } = useFormatters();
  const { list } = page;
  return (
    <>
      <h1>{list.fileName}</h1>
      <p className="lead-line">
        {texts.read(list.supplierName, day(list.startedAt))}
        {list.on && texts.pricesFromDay(day(list.on))}
        {page.columns && texts.rows(page.columns.rows, page.columns.how)}
        {list.state === 'preview' && !page.columns && (
          <>
            {' · '}
            <Link prefetch={false} href={`/buy/lists/${list.id}?columns=1`}>
              {texts.columnsDay}
            </Link>
          </>
        )}
      </p>
      <JobProgress id={list.id} working={page.working} mayStop={page.mayEdit} />
      {page.columns && <ChooseColumns page={page} asked={page.columns} />}
      {!page.columns && !page.working && <Decide page={page} />}
    </>
  );
}

'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import { useDropzone } from 'react-dropzone';
import Button from 'react-bootstrap/Button';
import Spinner from 'react-bootstrap/Spinner';
import Stack from 'react-bootstrap/Stack';
import { noAnswer, type Reply } from '@/wire';
import { TroubleText } from '@/ui/forms/trouble-text';
import type { ListsPage } from '../queries';
import { LARGEST_MB, takeFetched, takeFile } from '../wire';
import { Combo } from '@/ui/forms/combo';
import { DataTable, type Column } from '@/ui/tables/data-table';
import { useFormatters } from '@/ui/formatters-context';
import { useSearch } from '@/ui/tables/use-search';
import * as texts from './texts';

const STATE_WORDS = {
  columns: texts.waitsColumns,
  preview: texts.waitsAccepted,
  accepted: texts.priceBook,
  undone: texts.undone,
  dropped: 'discarded',
} as const;

/** Price lists: a file dropped or chosen, or the supplier's own address; and what became of earlier ones. */
export function ListsView({ page }: { page: ListsPage }) {
  return (
    <>
      <h1>{texts.priceLists}</h1>
      <p className="lead-line">{texts.suppliersListCheckedRow}</p>
      {page.mayEdit && <DropPlace suppliers={page.suppliers} />}
      {page.imports.length === 0 ? (
        <p className="quiet">{texts.noListReadHere}</p>
      ) : (
        <Imports imports={page.imports} />
      )}
    </>
  );
}

/** Takes a list in: what is being done, and why it could not be. */
function useTaking(supplier: string) {
  const router = useRouter();
  const [busy, setBusy] = useState<string | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const take = async (words: string, act: () => Promise<Reply<{ id: string }>>): Promise<void> => {
    setBusy(words);
    setTrouble(null);
    const answer = await act();
    setBusy(null);
    if (answer.ok) router.push(`/buy/lists/${answer.value.id}`);
    else setTrouble(answer.code === 'no-answer' ? noAnswer(texts.listDidNotArrive) : answer.message);
  };
  const send = (file: File | undefined): void => {
    if (!file) return;
    if (supplier === '') {
      setTrouble(texts.whoseListChooseSupplier);
      return;
    }
    if (file.size > LARGEST_MB * 1024 * 1024) {
      setTrouble(texts.holdsMbListMost(file.name, (file.size / 1024 / 1024).toFixed(1), LARGEST_MB));
      return;
    }
    void take(texts.reading(file.name), async () =>
      takeFile({ supplier, name: file.name, base64: await base64Of(file) }),
    );
  };
  return { busy, trouble, take, send };
}

function DropPlace({ suppliers }: Pick<ListsPage, 'suppliers'>) {
  const [supplier, setSupplier] = useState(suppliers.length === 1 ? suppliers[0] : undefined);
  const { busy, trouble, take, send } = useTaking(supplier?.id ?? '');
  const { getRootProps, getInputProps, open, isDragActive } = useDropzone({
    noClick: true,
    noKeyboard: true,
    multiple: false,
    onDrop: ([file]) => send(file),
  });
  return (
    <div {...getRootProps({ className: `drop text-center my-3${isDragActive ? ' over' : ''}` })}>
      <Stack direction="horizontal" gap={3} className="flex-wrap justify-content-center">
        <Combo
          label={texts.whoseList}
          placeholder={texts.whoseListHeading}
          className="which-thing"
          chosen={supplier}
          find={useSearch(suppliers)}
          choose={setSupplier}
        />
        <input {...getInputProps({ 'aria-label': texts.priceListFile, accept: '.csv,.txt,.tsv,.xlsx' })} />
        <Button disabled={busy !== null} onClick={open}>
          {texts.chooseFile}
        </Button>
        {supplier?.priceList && (
          <Button
            variant="outline-primary"
            disabled={busy !== null}
            onClick={() =>
              void take(texts.asking(supplier.name), () => takeFetched({ supplier: supplier.id }))
            }
          >
            {texts.fetchTodaysFrom(supplier.name)}
          </Button>
        )}
      </Stack>
      <p className="quiet mt-3 mb-0" role="status">
        {busy && <Spinner size="sm" className="me-2" aria-hidden="true" />}
        {busy ?? (supplier ? texts.orDropHereCsv : texts.sayWhoseListThen)}
      </p>
      <TroubleText says={trouble} />
    </div>
  );
}

type Import = ListsPage['imports'][number];

function Imports({ imports }: Pick<ListsPage, 'imports'>) {
  const { day } = useFormatters();
  const columns = useMemo(
    (): Column<Import>[] => [
      {
        id: 'list',
        head: texts.list,
        by: (i) => i.fileName,
        cell: (i) => (
          <Link prefetch={false} href={`/buy/lists/${i.id}`}>
            {i.fileName}
          </Link>
        ),
      },
      {
        id: 'supplier',
        head: texts.supplier,
        left: true,
        by: (i) => i.supplierName,
        cell: (i) => i.supplierName,
      },
      {
        id: 'read',
        head: texts.readOn,
        left: true,
        largestFirst: true,
        className: 'fig',
        by: (i) => i.startedAt,
        cell: (i) => day(i.startedAt),
      },
      {
        id: 'from',
        head: texts.pricesFrom,
        left: true,
        largestFirst: true,
        className: 'fig',
        by: (i) => i.on,
        cell: (i) => (i.on ? day(i.on) : ''),
      },
      {
        id: 'state',
        head: texts.status,
        left: true,
        by: (i) => STATE_WORDS[i.state],
        cell: (i) => (
          <span
            className={i.state === 'accepted' ? 'cheaper' : i.state === 'undone' ? 'quiet' : 'fw-semibold'}
          >
            {STATE_WORDS[i.state]}
          </span>
        ),
      },
    ],
    [day],
  );
  return <DataTable className="list-table tall" columns={columns} rows={imports} rowKey={(i) => i.id} />;
}

/** A file's bytes as letters. */
const base64Of = (file: File): Promise<string> =>
  new Promise((done, failed) => {
    const reader = new FileReader();
    reader.onload = () => done(String(reader.result).replace(/^[^,]*,/, ''));
    reader.onerror = () => failed(new Error('the file could not be read'));
    reader.readAsDataURL(file);
  });

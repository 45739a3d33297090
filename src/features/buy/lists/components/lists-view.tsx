'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import Form from 'react-bootstrap/Form';
import { noAnswer, type Reply } from '@/wire';
import { Trouble } from '@/ui/trouble';
import type { ListsPage } from '../queries';
import { LARGEST_MB, takeFetched, takeFile } from '../wire';
import { useFigures } from '@/ui/figures';
import { SheetTable } from '@/ui/sheet-table';

const STATE_WORDS = {
  columns: 'waits for its columns',
  preview: 'waits to be accepted',
  accepted: 'in the price book',
  undone: 'taken back',
  dropped: 'put away',
} as const;

/** Price lists: a file dropped or chosen, or the supplier's own address; and what became of earlier ones. */
export function ListsView({ page }: { page: ListsPage }) {
  return (
    <>
      <h1>Price lists</h1>
      <p className="lead-line">
        A supplier’s list is looked through row by row; nothing is written until you have seen what would
        change.
      </p>
      {page.mayEdit && <DropPlace suppliers={page.suppliers} />}
      {page.imports.length === 0 ? (
        <p className="quiet">No list has been read here yet.</p>
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
    else setTrouble(answer.code === 'no-answer' ? noAnswer('the list did not arrive') : answer.message);
  };
  const send = (file: File | undefined): void => {
    if (!file) return;
    if (file.size > LARGEST_MB * 1024 * 1024) {
      setTrouble(
        `${file.name} holds ${(file.size / 1024 / 1024).toFixed(1)} MB: a list of at most ${LARGEST_MB} MB is taken.`,
      );
      return;
    }
    void take(`Reading ${file.name} …`, async () =>
      takeFile({ supplier, name: file.name, base64: await base64Of(file) }),
    );
  };
  return { busy, trouble, take, send };
}

function DropPlace({ suppliers }: Pick<ListsPage, 'suppliers'>) {
  const [supplier, setSupplier] = useState(suppliers[0]?.id ?? '');
  const [over, setOver] = useState(false);
  const { busy, trouble, take, send } = useTaking(supplier);
  const known = suppliers.find((s) => s.id === supplier);
  return (
    <div
      className={`drop${over ? ' over' : ''}`}
      onDragOver={(event) => {
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(event) => {
        event.preventDefault();
        setOver(false);
        send(event.dataTransfer.files[0]);
      }}
    >
      <div className="invoice-head" style={{ justifyContent: 'center' }}>
        <Form.Select
          aria-label="Whose list"
          value={supplier}
          style={{ width: 'auto' }}
          onChange={(event) => setSupplier(event.target.value)}
        >
          {suppliers.map((s) => (
            <option key={s.id} value={s.id}>
              {s.name}
            </option>
          ))}
        </Form.Select>
        <ChooseFile disabled={busy !== null} send={send} />
        {known?.priceList && (
          <button
            type="button"
            className="btn btn-outline-primary"
            disabled={busy !== null}
            onClick={() => void take(`Asking ${known.name} …`, () => takeFetched({ supplier }))}
          >
            Fetch today’s from {known.name}
          </button>
        )}
      </div>
      <p className="quiet" role="status">
        {busy ?? 'or drop it here: CSV or Excel, columns in any order, comma or point, up to 100,000 rows'}
      </p>
      <Trouble says={trouble} />
    </div>
  );
}

function ChooseFile({
  disabled,
  send,
}: {
  readonly disabled: boolean;
  readonly send: (file: File | undefined) => void;
}) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <input
        ref={input}
        type="file"
        className="visually-hidden"
        aria-label="Price list file"
        tabIndex={-1}
        accept=".csv,.txt,.tsv,.xlsx"
        onChange={(event) => {
          send(event.target.files?.[0]);
          event.target.value = '';
        }}
      />
      <button
        type="button"
        className="btn btn-primary"
        disabled={disabled}
        onClick={() => input.current?.click()}
      >
        Choose its file
      </button>
    </>
  );
}

function Imports({ imports }: Pick<ListsPage, 'imports'>) {
  const { day } = useFigures();
  return (
    <SheetTable className="list-table">
      <thead>
        <tr>
          <th scope="col">List</th>
          <th scope="col" className="left">
            Supplier
          </th>
          <th scope="col" className="left">
            Read
          </th>
          <th scope="col" className="left">
            Prices from
          </th>
          <th scope="col" className="left">
            What became of it
          </th>
        </tr>
      </thead>
      <tbody>
        {imports.map((i) => (
          <tr key={i.id}>
            <td>
              <Link prefetch={false} href={`/buy/lists/${i.id}`}>
                {i.fileName}
              </Link>
            </td>
            <td className="left">{i.supplierName}</td>
            <td className="left fig">{i.startedAt.slice(0, 10)}</td>
            <td className="left fig">{i.on ? day(i.on) : ''}</td>
            <td className="left">
              <span
                className={i.state === 'accepted' ? 'cheaper' : i.state === 'undone' ? 'quiet' : 'state-word'}
              >
                {STATE_WORDS[i.state]}
              </span>
            </td>
          </tr>
        ))}
      </tbody>
    </SheetTable>
  );
}

/** A file's bytes as letters. */
const base64Of = (file: File): Promise<string> =>
  new Promise((done, failed) => {
    const reader = new FileReader();
    reader.onload = () => done(String(reader.result).replace(/^[^,]*,/, ''));
    reader.onerror = () => failed(new Error('the file could not be read'));
    reader.readAsDataURL(file);
  });

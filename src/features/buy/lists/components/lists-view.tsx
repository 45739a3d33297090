'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import Form from 'react-bootstrap/Form';
import { takeFetched, takeFile, type ListAnswer } from '../actions';
import type { ListsPage } from '../queries';

const STATE_WORDS = {
  columns: 'waits for its columns',
  preview: 'waits to be accepted',
  accepted: 'in the price book',
  undone: 'taken back',
  dropped: 'put away',
} as const;

/** Price lists: a file dropped or chosen, or the supplier's own address; and what became of earlier ones. */
export function ListsView({ page }: { page: ListsPage }) {
  const router = useRouter();
  const [supplier, setSupplier] = useState(page.suppliers[0]?.id ?? '');
  const [over, setOver] = useState(false);
  const [busy, setBusy] = useState<string | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const input = useRef<HTMLInputElement>(null);
  const known = page.suppliers.find((s) => s.id === supplier);
  const take = async (words: string, act: () => Promise<ListAnswer>): Promise<void> => {
    setBusy(words);
    setTrouble(null);
    const answer = await act().catch(() => ({
      ok: false as const,
      message:
        'The list did not arrive: it may be larger than 16 MB, or the kitchen’s computer does not answer.',
    }));
    setBusy(null);
    if (answer.ok) router.push(`/buy/lists/${answer.id}`);
    else setTrouble(answer.message);
  };
  const send = (file: File | undefined): void => {
    if (!file) return;
    const form = new FormData();
    form.set('supplier', supplier);
    form.set('list', file);
    void take(`Reading ${file.name} …`, () => takeFile(form));
  };
  return (
    <>
      <h1>Price lists</h1>
      <p className="lead-line">
        A supplier’s list is looked through row by row; nothing is written until you have seen what would
        change.
      </p>
      {page.mayEdit && (
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
              {page.suppliers.map((s) => (
                <option key={s.id} value={s.id}>
                  {s.name}
                </option>
              ))}
            </Form.Select>
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
              disabled={busy !== null}
              onClick={() => input.current?.click()}
            >
              Choose its file
            </button>
            {known?.priceList && (
              <button
                type="button"
                className="btn btn-outline-primary"
                disabled={busy !== null}
                onClick={() => void take(`Asking ${known.name} …`, () => takeFetched(supplier))}
              >
                Fetch today’s from {known.name}
              </button>
            )}
          </div>
          <p className="quiet" role="status">
            {busy ??
              'or drop it here: CSV or Excel, columns in any order, comma or point, up to 100,000 rows'}
          </p>
          {trouble && (
            <p role="alert" className="trouble">
              {trouble}
            </p>
          )}
        </div>
      )}
      {page.imports.length === 0 ? (
        <p className="quiet">No list has been read here yet.</p>
      ) : (
        <table className="sheet-table list-table">
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
            {page.imports.map((i) => (
              <tr key={i.id}>
                <td>
                  <Link prefetch={false} href={`/buy/lists/${i.id}`}>
                    {i.fileName}
                  </Link>
                </td>
                <td className="left">{i.supplierName}</td>
                <td className="left fig">{i.startedAt.slice(0, 10)}</td>
                <td className="left fig">{i.on ?? ''}</td>
                <td className="left">
                  <span
                    className={
                      i.state === 'accepted' ? 'cheaper' : i.state === 'undone' ? 'quiet' : 'state-word'
                    }
                  >
                    {STATE_WORDS[i.state]}
                  </span>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </>
  );
}

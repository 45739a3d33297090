import 'server-only';
import { createHash } from 'node:crypto';
import { dayIn } from '@/core/day';
import type { ListColumns } from '@/core/price-list';
import { Refused, declare, type Looking, type Writing, refused } from '@/server/door';
import { newId } from '@/db/mapping/ids';
import { acceptedTwin, insertImport, setImport } from '@/db/buying/price-lists';
import { database } from '@/server/database';
import { fetchList } from './fetch-list';
import { readTable } from './file';
import { isSettled, USUAL_ODD_SHARE } from './lists';
import { previewRequest, startPreview, type ListPreview } from './preview-list';
import { FETCH, TAKE } from './wire';
import * as texts from './texts';

interface Ready {
  readonly id: string;
  readonly supplier: string;
  readonly name: string;
  readonly bytes: Buffer;
  readonly sha256: string;
  /** Columns that need no asking: it is looked through at once. */
  readonly columns: ListColumns | undefined;
  readonly looking: ListPreview | undefined;
}

async function readyToTake(
  { state, who, today }: Looking,
  supplier: string,
  name: string,
  bytes: Buffer,
): Promise<Ready> {
  const known = (await state()).suppliers.find((s) => s.id === supplier);
  if (!known) throw refused('no-supplier', '', texts.whoseListChooseSupplier);
  const table = await readTable(bytes);
  if (!table.ok) throw new Refused(table.trouble);
  const sha256 = createHash('sha256').update(bytes).digest('hex');
  const twin = await acceptedTwin(database(), who.kitchenId, supplier, sha256);
  if (twin)
    throw refused('list-twice', '', texts.listAcceptedNothingNew(dayIn(who.zone, new Date(twin.acceptedAt))));
  const id = newId();
  const columns = known.columns && isSettled(table.value, known.columns);
  const looking =
    columns &&
    previewRequest({ id, supplier, on: today, columns, oddShare: USUAL_ODD_SHARE, table: table.value });
  return { id, supplier, name: name.slice(0, 200), bytes, sha256, columns, looking };
}

/** Keeps the file, so that its columns can be chosen and chosen again. Nothing is written to the price book. */
async function keepFile({ sql, kitchenId, who, at, today }: Writing, ready: Ready) {
  const { id, supplier, name: fileName, sha256, bytes: body, columns } = ready;
  await insertImport(sql, kitchenId, {
    id,
    supplier,
    fileName,
    sha256,
    body,
    at,
    personId: who.person.id,
    oddShare: USUAL_ODD_SHARE,
  });
  if (columns) await setImport(sql, kitchenId, id, { on: today, columns, oddShare: USUAL_ODD_SHARE });
  return {
    value: { id },
    what: 'price list taken',
    subject: id,
    before: null,
    after: { supplier, fileName, sha256 },
  };
}

/** Takes a list's file in. Where its supplier's columns are known it is looked through at once, else they are asked for. */
export const takeFile = declare({
  wire: TAKE,
  role: 'manager',
  moves: 'nothing that is costed',
  look: ({ supplier, name, base64 }, looking) =>
    readyToTake(looking, supplier, name, Buffer.from(base64, 'base64')),
  write: (writing, _body, ready) => keepFile(writing, ready),
  then: (_body, { looking }, who) => void (looking && startPreview(who.kitchenId, looking)),
});

/** Fetches a supplier's list from its own address, and takes it in. */
export const takeFetched = declare({
  wire: FETCH,
  role: 'manager',
  moves: 'nothing that is costed',
  async look({ supplier }, looking) {
    const known = (await looking.state()).suppliers.find((s) => s.id === supplier);
    if (!known?.priceList) throw refused('no-address', '', texts.supplierNoAddressList);
    const got = await fetchList(known.priceList);
    if (!got.ok) throw new Refused(got.trouble);
    return readyToTake(looking, supplier, got.value.name, got.value.bytes);
  },
  write: (writing, _body, ready) => keepFile(writing, ready),
  then: (_body, { looking }, who) => void (looking && startPreview(who.kitchenId, looking)),
});

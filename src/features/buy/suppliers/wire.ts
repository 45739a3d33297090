import { z } from 'zod';
import { sender, wire } from '@/wire';
import { ID } from '@/wire/fields';
import * as texts from './texts';

const NAME = z.string().max(5000);

/** A supplier: new where there is no id. */
export const SUPPLIER = wire<
  { readonly id: string },
  { readonly name: string; readonly priceList: string }
>()({
  kind: 'supplier.keep',
  version: 1,
  body: z.object({
    id: ID.nullable(),
    name: NAME,
    priceList: z.string().max(300, texts.addressMost300Characters),
  }),
});
export const SUPPLIER_AWAY = wire()({
  kind: 'supplier.away',
  version: 1,
  body: z.object({ id: ID, away: z.boolean() }),
});

export const saveSupplier = sender(SUPPLIER);
export const archiveSupplier = sender(SUPPLIER_AWAY);

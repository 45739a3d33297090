import { z } from 'zod';

/** Fields that many writes have. */
export const ID = z.uuid();
/** An amount, a price, a share: as typed. */
export const TYPED = z.string().max(80, 'At most 80 characters are kept.');

import 'server-only';
import { toDataURL } from 'qrcode';
import { env, lan } from '@/server/env';

/** How tablets and phones of the kitchen reach it. */
export interface TabletsPage {
  /** By which address; undefined where this computer alone does. */
  readonly address: string | undefined;
  /** Where a tablet is made to trust this computer, the same as a picture, and how its certificate is known. */
  readonly welcome?:
    { readonly at: string; readonly picture: string; readonly fingerprint: string } | undefined;
}

export async function tabletsPage(): Promise<TabletsPage> {
  const open = lan();
  const { address = env().HALFPOT_ORIGIN, welcomeAt, fingerprint = '' } = open ?? {};
  if (welcomeAt === undefined) return { address };
  const picture = await toDataURL(welcomeAt, { margin: 1, width: 168 });
  return { address, welcome: { at: welcomeAt, picture, fingerprint } };
}

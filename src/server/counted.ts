import 'server-only';
import { cookies } from 'next/headers';
import { COUNTED_COOKIE } from '@/ui/counted';
import { countedIn, type Layer } from '@/core/layers';

/** Which layers whoever asks has counted in costs: the ingredients, unless another choice was made on this device. */
export const counted = async (): Promise<readonly Layer[]> =>
  countedIn((await cookies()).get(COUNTED_COOKIE)?.value);

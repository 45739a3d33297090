import 'server-only';
import { cookies } from 'next/headers';
import { COUNTED_COOKIE, countedIn, type Layer } from '@/core/layers';

/** Which layers the person asking has counted in costs: the ingredients, unless another choice was made on this device. */
export async function countedLayers(): Promise<readonly Layer[]> {
  try {
    return countedIn((await cookies()).get(COUNTED_COOKIE)?.value);
  } catch (error) {
    // Outside a request (a benchmark, a test) nobody has chosen anything.
    if (error instanceof Error && error.message.includes('outside a request scope'))
      return countedIn(undefined);
    throw error;
  }
}

import 'server-only';
import { refuse, type Outcome } from '@/core/trouble';
import { outboundFetch } from '@/server/outbound-fetch';
import { MOST_BYTES } from './file';
import * as texts from './texts';

const PATIENCE_MS = 10_000;

/**
 * Fetches a supplier's price list from its address.
 * @returns trouble `no-answer`, `too-slow`, `answered-otherwise`, `file-too-large`
 */
export async function fetchList(
  address: string,
  patienceMs = PATIENCE_MS,
): Promise<Outcome<{ bytes: Buffer; name: string }>> {
  try {
    const answer = await outboundFetch(address, {
      signal: AbortSignal.timeout(patienceMs),
    });
    if (!answer.ok)
      return refuse('answered-otherwise', '', texts.suppliersServerAnsweredInstead(answer.status), {
        value: answer.status,
        limit: 200,
      });
    const parts: Uint8Array[] = [];
    let size = 0;
    for await (const part of answer.body ?? []) {
      size += part.length;
      if (size > MOST_BYTES)
        return refuse('file-too-large', '', texts.listLongerThanMb(MOST_BYTES / 1024 / 1024));
      parts.push(part);
    }
    return {
      ok: true,
      value: { bytes: Buffer.concat(parts), name: new URL(address).pathname.split('/').pop() || 'list' },
    };
  } catch (error) {
    const { name } = (error ?? {}) as { name?: string };
    const slow = name === 'TimeoutError' || name === 'AbortError';
    return slow
      ? refuse('too-slow', '', texts.suppliersServerDidNot(patienceMs / 1000))
      : refuse('no-answer', '', texts.suppliersServerDoesNot);
  }
}

import 'server-only';
import { z } from 'zod';
import type { ScaleReading } from '@/core/learning';
import { refuse, type Outcome } from '@/core/trouble';
import { outboundFetch } from '@/server/outbound-fetch';
import * as texts from './texts';

const Weight = z.union([
  z.object({ overload: z.literal(true) }),
  z.object({ grams: z.number().finite(), overload: z.literal(false).optional() }),
]);

const Degrees = z.object({ celsius: z.number().min(-60).max(400) });

/** A scale answers at once or not at all. */
const PATIENCE_MS = 1500;

const gone = () => refuse('no-scale', '', texts.scaleDoesNotAnswer);

/**
 * One reading of the bench scale.
 * @returns trouble `no-scale` where it does not answer, `odd-scale` where it answers something else than a weight
 */
export async function readScale(address: string): Promise<Outcome<Omit<ScaleReading, 'atMs'>>> {
  try {
    const answer = await outboundFetch(new URL('/weight', address), {
      signal: AbortSignal.timeout(PATIENCE_MS),
    });
    const read = Weight.safeParse(answer.ok ? await answer.json() : undefined);
    if (!read.success) return refuse('odd-scale', '', texts.whatAnswersScalesAddress);
    return read.data.overload
      ? { ok: true, value: { overload: true } }
      : { ok: true, value: { g: (read.data as { grams: number }).grams } };
  } catch {
    return gone();
  }
}

/** Makes what lies on the scale nothing. */
export async function tareScale(address: string): Promise<Outcome<true>> {
  try {
    const answer = await outboundFetch(new URL('/tare', address), {
      method: 'POST',
      signal: AbortSignal.timeout(PATIENCE_MS),
    });
    return answer.ok ? { ok: true, value: true } : gone();
  } catch {
    return gone();
  }
}

/**
 * One reading of the probe, °C.
 * @returns trouble `no-probe` where it does not answer, `odd-probe` where it answers something else than degrees
 */
export async function readProbe(address: string): Promise<Outcome<number>> {
  try {
    const answer = await outboundFetch(new URL('/degrees', address), {
      signal: AbortSignal.timeout(PATIENCE_MS),
    });
    const read = Degrees.safeParse(answer.ok ? await answer.json() : undefined);
    return read.success
      ? { ok: true, value: read.data.celsius }
      : refuse('odd-probe', '', texts.whatAnswersProbesAddress);
  } catch {
    return refuse('no-probe', '', texts.probeDoesNotAnswer);
  }
}

import 'server-only';
import type { ScaleReading } from '@/core/learning';
import { readScale } from '@/server/instruments';

const EVERY_MS = 120;
/** Nobody stands at a scale for longer; anyone who does asks again. */
const LONGEST_MS = 15_000;

/** What the stream sends, one line of JSON each. */
export type ScaleLine = ScaleReading | { readonly gone: string };

/** Readings of the scale as they come, a line of JSON each, until somebody has seen enough. */
export function scaleStream(address: string, signal: AbortSignal): ReadableStream<Uint8Array> {
  const text = new TextEncoder();
  const began = Date.now();
  return new ReadableStream({
    async pull(controller) {
      const atMs = Date.now() - began;
      if (signal.aborted || atMs > LONGEST_MS) {
        controller.close();
        return;
      }
      const read = await readScale(address);
      const line: ScaleLine = read.ok ? { ...read.value, atMs } : { gone: read.trouble.message };
      controller.enqueue(text.encode(`${JSON.stringify(line)}\n`));
      if (!read.ok) {
        controller.close();
        return;
      }
      await new Promise((done) => setTimeout(done, EVERY_MS));
    },
  });
}

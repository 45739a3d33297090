import { useCallback, useEffect, useRef, useState } from 'react';
import { scaleState, type ScaleReading } from '@/core/learning';
import { noAnswer } from '@/wire';

/** How taking a weight goes: reading, with what it shows; or why it took none, with what could be taken all the same. */
export interface Taking {
  /** Which field waits for it. */
  readonly field: string;
  readonly reading: boolean;
  readonly g?: number | undefined;
  readonly trouble?: string | undefined;
  readonly asItStands?: number | undefined;
}

const NOT_STEADY = 'The scale did not stand still: take what it shows, or type the weight.';

const speed = (gPerMin: number): string => `${Math.abs(Math.round(gPerMin))} g a minute`;

/** Reads the bench scale until it is steady. Whatever it does, the field can be typed into. */
export function useScale() {
  const [taking, setTaking] = useState<Taking | null>(null);
  const stop = useRef<AbortController | null>(null);
  useEffect(() => () => stop.current?.abort(), []);

  const give = useCallback((): void => {
    stop.current?.abort();
    setTaking(null);
  }, []);

  const take = useCallback(async (field: string, onWeight: (g: number) => void): Promise<void> => {
    stop.current?.abort();
    const own = new AbortController();
    stop.current = own;
    setTaking({ field, reading: true });
    const fail = (trouble: string, asItStands?: number): void => {
      own.abort();
      setTaking({ field, reading: false, trouble, asItStands });
    };
    const readings: ScaleReading[] = [];
    try {
      for await (const line of linesOf(own.signal)) {
        if ('gone' in line) return fail(line.gone);
        readings.push(line);
        const said = scaleState(readings);
        if (said.is === 'overload')
          return fail('That is more than the scale can bear: weigh it in two parts.');
        if (said.is === 'drifting')
          return fail(`The scale drifts by ${speed(said.gPerMin)}: is something touching it?`, said.g);
        if (said.is === 'noisy')
          return fail(`The scale swings by ${Math.round(said.spreadG)} g and will not settle.`, said.g);
        if (said.is === 'waiting') {
          setTaking({ field, reading: true, g: said.g });
          continue;
        }
        if (said.g < 0.5)
          return fail(
            said.g <= -0.5
              ? `The scale shows ${Math.round(said.g)} g: tare it before something is put on it.`
              : 'There is nothing on the scale: put it on, then take the weight.',
          );
        own.abort();
        setTaking(null);
        onWeight(said.g);
        return;
      }
      if (!own.signal.aborted) fail(NOT_STEADY, readings.at(-1)?.g);
    } catch {
      // Somebody gave up waiting, or the kitchen's computer is gone: only the second is worth a word.
      if (!own.signal.aborted) fail(noAnswer('type the weight into the field'));
    }
  }, []);
  return { taking, take, give };
}

type Line = ScaleReading | { readonly gone: string };

/** The stream of readings, a line of JSON at a time. */
async function* linesOf(signal: AbortSignal): AsyncGenerator<Line> {
  const answer = await fetch('/trim/scale', { signal, cache: 'no-store' });
  if (!answer.ok || !answer.body) {
    yield { gone: 'This kitchen has no scale: type the weight.' };
    return;
  }
  const reader = answer.body.pipeThrough(new TextDecoderStream()).getReader();
  let rest = '';
  for (let part = await reader.read(); !part.done; part = await reader.read()) {
    const lines = (rest + part.value).split('\n');
    rest = lines.pop() ?? '';
    for (const line of lines) if (line !== '') yield JSON.parse(line) as Line;
  }
}

import { useCallback, useEffect, useRef, useState } from 'react';
import { scaleState, type ScaleReading } from '@/core/learning';
import { noAnswer } from '@/wire';
import * as texts from './texts';

/** How taking a weight goes: reading, with what it shows; or why it took none, with what could be taken all the same. */
export interface Taking {
  /** Which field waits for it. */
  readonly field: string;
  readonly reading: boolean;
  readonly g?: number | undefined;
  readonly trouble?: string | undefined;
  readonly asItStands?: number | undefined;
}

const NOT_STEADY = texts.scaleDidNotSettle;

const speed = (gPerMin: number): string => texts.gMinute(Math.abs(Math.round(gPerMin)));

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
        if (said.is === 'overload') return fail(texts.moreThanScaleCan);
        if (said.is === 'drifting')
          return fail(texts.scaleDriftsSomethingTouching(speed(said.gPerMin)), said.g);
        if (said.is === 'noisy') return fail(texts.scaleSwingsGWill(Math.round(said.spreadG)), said.g);
        if (said.is === 'waiting') {
          setTaking({ field, reading: true, g: said.g });
          continue;
        }
        if (said.g < 0.5)
          return fail(said.g <= -0.5 ? texts.scaleShowsGTare(Math.round(said.g)) : texts.nothingScalePutThen);
        own.abort();
        setTaking(null);
        onWeight(said.g);
        return;
      }
      if (!own.signal.aborted) fail(NOT_STEADY, readings.at(-1)?.g);
    } catch {
      // Somebody gave up waiting, or the kitchen's computer is gone: only the second is worth a word.
      if (!own.signal.aborted) fail(noAnswer(texts.typeWeightIntoField));
    }
  }, []);
  return { taking, take, give };
}

type Line = ScaleReading | { readonly gone: string };

/** The stream of readings, a line of JSON at a time. */
async function* linesOf(signal: AbortSignal): AsyncGenerator<Line> {
  const answer = await fetch('/trim/scale', { signal, cache: 'no-store' });
  if (!answer.ok || !answer.body) {
    yield { gone: texts.kitchenNoScaleType };
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

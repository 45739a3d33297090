import Button from 'react-bootstrap/Button';
import Stack from 'react-bootstrap/Stack';
import { useState } from 'react';
import { isDrained, type LiveTest } from '@/core/bench';
import { tare } from '../actions';
import type { TestTyped } from '../wire';
import type { useScale } from './use-scale';
import { WeightField } from './weight-field';
import * as texts from './texts';

interface Props {
  readonly typed: TestTyped;
  readonly live: LiveTest['start'];
  readonly troubleAt: (path: string) => string | undefined;
  readonly scale: ReturnType<typeof useScale> | undefined;
  readonly setTyped: (next: TestTyped) => void;
  readonly keep: (next: TestTyped) => void;
}

/** What went in: one weight; of spent solids also what went into the water, and for how long. */
export function StartWeight(props: Props) {
  const { typed, live, troubleAt, scale, setTyped, keep } = props;
  const drained = isDrained(typed.kind);
  return (
    <Stack direction="horizontal" gap={4} className="flex-wrap align-items-end my-3">
      <div>
        <span className="fig-label">{drained ? texts.raw : texts.startWeight}</span>
        <WeightField
          large
          label={drained ? texts.rawWeight : texts.startWeight}
          field="start"
          value={typed.start}
          live={live}
          trouble={troubleAt('start')}
          scale={scale}
          onTyped={(start) => setTyped({ ...typed, start })}
          onDone={(start) => keep({ ...typed, start })}
        />
      </div>
      {drained && <Cooked {...props} />}
      {scale && <Tare />}
    </Stack>
  );
}

function Cooked({ typed, troubleAt, scale, setTyped, keep }: Props) {
  return (
    <>
      <div>
        <span className="fig-label">{texts.wentIntoWaterIf}</span>
        <WeightField
          label={texts.weightWentIntoWater}
          field="intoWater"
          value={typed.intoWater ?? ''}
          live={{}}
          trouble={troubleAt('intoWater')}
          scale={scale}
          onTyped={(intoWater) => setTyped({ ...typed, intoWater })}
          onDone={(intoWater) => keep({ ...typed, intoWater })}
        />
      </div>
      <label>
        <span className="fig-label">{texts.cooked}</span>
        <input
          className="typed"
          aria-label={texts.howLongCooked}
          aria-invalid={troubleAt('time') ? true : undefined}
          placeholder="6 h"
          value={typed.time ?? ''}
          onChange={(event) => setTyped({ ...typed, time: event.target.value })}
          onBlur={() => keep(typed)}
        />
        {troubleAt('time') && (
          <span role="alert" className="trouble">
            {troubleAt('time')}
          </span>
        )}
      </label>
    </>
  );
}

function Tare() {
  const [tareSaid, setTareSaid] = useState<string>();
  return (
    <Stack direction="horizontal" gap={3} className="ms-auto">
      <Button
        variant="plain"
        size="sm"
        onClick={() => void tare().then((done) => setTareSaid(done.ok ? texts.scaleShows0 : done.message))}
      >
        {texts.tareScale}
      </Button>
      {tareSaid && (
        <span role="status" className={tareSaid.startsWith('✓') ? 'kept' : 'trouble'}>
          {tareSaid}
        </span>
      )}
    </Stack>
  );
}

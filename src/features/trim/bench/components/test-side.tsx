import Stack from 'react-bootstrap/Stack';
import { Panel } from '@/ui/panels/panel';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { TroubleText } from '@/ui/forms/trouble-text';
import type { TestPage } from '../queries';
import { TestResult } from './test-result';
import type { useTest } from './use-test';
import type { useWeighed } from './use-weighed';
import * as texts from './texts';

/** What the test comes to, a note, and how it ends: finished or dropped. */
export function TestSide({
  page,
  weighed,
  bench,
  missing,
  asks,
  finish,
  drop,
}: {
  readonly page: TestPage;
  readonly weighed: ReturnType<typeof useWeighed>;
  readonly bench: ReturnType<typeof useTest>;
  /** What it cannot be finished without, once somebody has tried to. */
  readonly missing: string | undefined;
  /** What is asked about its yield before it is kept. */
  readonly asks: string | undefined;
  readonly finish: () => void;
  readonly drop: () => void;
}) {
  const { typed, setTyped, keep, refusal } = bench;
  return (
    <Panel aria-label={texts.whatTestSays}>
      <TestResult page={page} weighed={weighed} />
      <label className="d-block my-2 quiet">
        {texts.note}
        <Form.Control
          as="textarea"
          rows={2}
          maxLength={400}
          value={typed.note ?? ''}
          disabled={!page.mayTest}
          onChange={(event) => setTyped({ ...typed, note: event.target.value || undefined })}
          onBlur={() => keep(typed)}
        />
      </label>
      {page.mayTest && (
        <Stack direction="horizontal" gap={3} className="flex-wrap">
          <Button onClick={finish} disabled={refusal?.theirs !== undefined}>
            {asks === undefined ? texts.finishTest : texts.rightFinish}
          </Button>
          <Button variant="plain" size="sm" onClick={drop}>
            {texts.discardTest}
          </Button>
          <span role="status" className="m-0 small-line">
            {bench.saved === 'keeping' && <span className="quiet">{texts.saving}</span>}
            {bench.saved === 'kept' && <span className="small-line cheaper">{texts.everyWeightSaved}</span>}
          </span>
        </Stack>
      )}
      {asks !== undefined && (
        <p role="alert" className="warning">
          {asks}
        </p>
      )}
      <TroubleText says={missing} />
    </Panel>
  );
}

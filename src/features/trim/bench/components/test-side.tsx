import Button from 'react-bootstrap/Button';
import type { TestPage } from '../queries';
import { TestResult } from './test-result';
import type { useTest } from './use-test';
import type { useWeighed } from './use-weighed';

/** What the test comes to, a note, and how it ends: finished or dropped. */
export function TestSide({
  page,
  weighed,
  bench,
  missing,
  finish,
  drop,
}: {
  readonly page: TestPage;
  readonly weighed: ReturnType<typeof useWeighed>;
  readonly bench: ReturnType<typeof useTest>;
  /** What it cannot be finished without, once somebody has tried to. */
  readonly missing: string | undefined;
  readonly finish: () => void;
  readonly drop: () => void;
}) {
  const { typed, setTyped, keep, refusal } = bench;
  return (
    <aside className="bench-answer" aria-label="What this test says">
      <TestResult page={page} weighed={weighed} />
      <label className="bench-note">
        Note
        <textarea
          className="form-control"
          rows={2}
          maxLength={400}
          value={typed.note ?? ''}
          disabled={!page.mayTest}
          onChange={(event) => setTyped({ ...typed, note: event.target.value || undefined })}
          onBlur={() => keep(typed)}
        />
      </label>
      {page.mayTest && (
        <div className="bench-finish">
          <Button onClick={finish} disabled={refusal?.theirs !== undefined}>
            Finish the test
          </Button>
          <button type="button" className="plain-button" onClick={drop}>
            Throw this test away
          </button>
          <span role="status" className="save-state">
            {bench.saved === 'keeping' && <span className="quiet">keeping …</span>}
            {bench.saved === 'kept' && <span className="kept">✓ every weight is kept</span>}
          </span>
        </div>
      )}
      {missing !== undefined && (
        <p role="alert" className="trouble">
          {missing}
        </p>
      )}
    </aside>
  );
}

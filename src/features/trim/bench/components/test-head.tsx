import { SEASONS, TEST_KINDS, type Season, type TestKind } from '@/core/learning';
import { FIRST_PARTS, KIND_WORDS } from '../../words';
import type { TestPage } from '../queries';
import type { TestTyped } from '../wire';

/** What is tested, of which delivery, in which season. */
export function TestHead({
  page,
  typed,
  change,
}: {
  readonly page: TestPage;
  readonly typed: TestTyped;
  readonly change: (next: TestTyped) => void;
}) {
  return (
    <>
      <div className="bench-head">
        <h1>{page.name}</h1>
        <label>
          <span className="visually-hidden">What is tested</span>
          <WhatIsTested typed={typed} change={change} />
        </label>
      </div>
      <div className="bench-head">
        <label>
          of
          <select
            className="form-select"
            aria-label="Delivery"
            value={typed.purchase ?? ''}
            onChange={(event) => {
              change({ ...typed, purchase: event.target.value || null });
            }}
          >
            <option value="">no delivery in particular</option>
            {page.deliveries.map((d) => (
              <option key={d.purchase} value={d.purchase}>
                {d.words}
              </option>
            ))}
          </select>
        </label>
        <label>
          season
          <select
            className="form-select"
            aria-label="Season"
            value={typed.season}
            onChange={(event) => {
              change({ ...typed, season: event.target.value as Season });
            }}
          >
            {SEASONS.map((s) => (
              <option key={s}>{s}</option>
            ))}
          </select>
        </label>
      </div>
    </>
  );
}

function WhatIsTested({
  typed,
  change,
}: {
  readonly typed: TestTyped;
  readonly change: (next: TestTyped) => void;
}) {
  return (
    <select
      className="form-select"
      aria-label="What is tested"
      value={typed.kind}
      onChange={(event) => {
        const kind = event.target.value as TestKind;
        const blank = typed.parts.every((p) => p.amount.trim() === '');
        // The other kinds are of what has been trimmed already: there is no second pass of its waste.
        change({
          ...typed,
          kind,
          parts: blank ? FIRST_PARTS[kind] : typed.parts,
          second: kind === 'trim' ? typed.second : undefined,
        });
      }}
    >
      {TEST_KINDS.map((kind) => (
        <option key={kind} value={kind}>
          {KIND_WORDS[kind]}
        </option>
      ))}
    </select>
  );
}

'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { isDrained } from '@/core/kitchen-file';
import { SEASONS, TEST_KINDS, type Season, type TestKind } from '@/core/learning';
import { FIRST_PARTS, KIND_WORDS } from '../../words';
import { dropIt, tare } from '../actions';
import type { TestPage } from '../queries';
import { BothTests } from './both-tests';
import { KeptTest } from './kept-test';
import { PartsTable } from './parts-table';
import { emptySecond, SecondPass } from './second-pass';
import { TestResult } from './test-result';
import { useScale } from './use-scale';
import { useTest } from './use-test';
import { useWeighed } from './use-weighed';
import { WeighBar } from './weigh-bar';
import { WeightField } from './weight-field';

/** One test on the bench: weighed in, weighed part by part, and what it comes to at every stroke. */
export function TestView({ page }: { readonly page: TestPage }) {
  const bench = useTest(page);
  const { typed, setTyped, keep, refusal, finished } = bench;
  const weighed = useWeighed(page, typed);
  const reader = useScale();
  const scale = page.scale && page.mayTest ? reader : undefined;
  const router = useRouter();
  const [tareSaid, setTareSaid] = useState<string>();
  const [tried, setTried] = useState(false);
  const drained = isDrained(typed.kind);
  // Before somebody says that it is finished, only what is plainly wrong is told; then all that is missing.
  const trouble = weighed.trouble;
  const told =
    trouble && (tried || !['no-weight', 'nothing-weighed', 'no-time', 'no-product'].includes(trouble.code))
      ? trouble
      : undefined;
  const troubleAt = (path: string): string | undefined => {
    if (told && (told.path === path || told.path.startsWith(`${path}.`))) return told.message;
    return refusal && !refusal.theirs && refusal.path !== '' && refusal.path.startsWith(path)
      ? refusal.message
      : undefined;
  };
  const finish = async (): Promise<void> => {
    setTried(true);
    if (trouble) return;
    if (await bench.finish()) router.push(`/trim/${page.test.ingredient}?after=${page.test.id}`);
  };
  const drop = async (): Promise<void> => {
    const answer = await dropIt({ id: page.test.id, seen: bench.version.current }).catch(() => undefined);
    if (answer?.ok) router.push('/trim');
  };
  // Once it is finished it is shown as it was kept; until that has been read, only that it is.
  if (finished && !refusal)
    return page.test.state === 'kept' ? (
      <KeptTest page={page} />
    ) : (
      <p role="status" className="kept">
        ✓ Finished: what it taught is being worked out.
      </p>
    );
  return (
    <div className="bench">
      <fieldset className="bench-work" disabled={!page.mayTest}>
        <div className="bench-head">
          <h1>{page.name}</h1>
          <label>
            <span className="visually-hidden">What is tested</span>
            <select
              className="form-select"
              aria-label="What is tested"
              value={typed.kind}
              onChange={(event) => {
                const kind = event.target.value as TestKind;
                const blank = typed.parts.every((p) => p.amount.trim() === '');
                // The other kinds are of what has been trimmed already: there is no second pass of its waste.
                const next = {
                  ...typed,
                  kind,
                  parts: blank ? FIRST_PARTS[kind] : typed.parts,
                  second: kind === 'trim' ? typed.second : undefined,
                };
                setTyped(next);
                keep(next);
              }}
            >
              {TEST_KINDS.map((kind) => (
                <option key={kind} value={kind}>
                  {KIND_WORDS[kind]}
                </option>
              ))}
            </select>
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
                const next = { ...typed, purchase: event.target.value || null };
                setTyped(next);
                keep(next);
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
                const next = { ...typed, season: event.target.value as Season };
                setTyped(next);
                keep(next);
              }}
            >
              {SEASONS.map((s) => (
                <option key={s}>{s}</option>
              ))}
            </select>
          </label>
        </div>
        {refusal?.theirs && (
          <div className="both-frame">
            <p role="alert" className="trouble">
              {refusal.message}
            </p>
            <BothTests
              mine={typed}
              theirs={refusal.theirs}
              testId={page.test.id}
              takeTheirs={(theirs) => {
                bench.takeTheirs(theirs);
                router.refresh();
              }}
              keepMine={bench.keepMine}
            />
          </div>
        )}
        {refusal && !refusal.theirs && refusal.path === '' && (
          <p role="alert" className="trouble">
            {refusal.message}
          </p>
        )}
        <div className="weigh-in">
          <div>
            <span className="weigh-word">{drained ? 'Raw' : 'Weighed in'}</span>
            <WeightField
              large
              label={drained ? 'Raw weight' : 'Weight that went in'}
              field="start"
              value={typed.start}
              live={weighed.live.start}
              trouble={troubleAt('start')}
              scale={scale}
              onTyped={(start) => setTyped({ ...typed, start })}
              onDone={(start) => keep({ ...typed, start })}
            />
          </div>
          {drained && (
            <>
              <div>
                <span className="weigh-word">went into the water, if browned</span>
                <WeightField
                  label="Weight that went into the water"
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
                <span className="weigh-word">cooked for</span>
                <input
                  className="typed"
                  aria-label="How long it cooked"
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
          )}
          {scale && (
            <div className="tare">
              <button
                type="button"
                className="plain-button"
                onClick={() =>
                  void tare().then((done) => setTareSaid(done.ok ? '✓ the scale shows 0' : done.message))
                }
              >
                Tare the scale
              </button>
              {tareSaid && (
                <span role="status" className={tareSaid.startsWith('✓') ? 'kept' : 'trouble'}>
                  {tareSaid}
                </span>
              )}
            </div>
          )}
        </div>
        {!drained && <WeighBar typed={typed} live={weighed.live} products={page.products} />}
        <PartsTable
          page={page}
          typed={typed}
          live={weighed.live}
          troubleAt={troubleAt}
          scale={scale}
          change={setTyped}
          keep={keep}
        />
        {typed.kind === 'trim' &&
          (typed.second ? (
            <SecondPass
              typed={typed}
              live={weighed.live}
              worth={weighed.worth}
              troubleAt={troubleAt}
              scale={scale}
              change={setTyped}
              keep={keep}
            />
          ) : (
            <button
              type="button"
              className="plain-button second-open"
              onClick={() => setTyped({ ...typed, second: emptySecond() })}
            >
              A second pass of the waste (mill, press)
            </button>
          ))}
      </fieldset>
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
            <Button onClick={() => void finish()} disabled={refusal?.theirs !== undefined}>
              Finish the test
            </Button>
            <button type="button" className="plain-button" onClick={() => void drop()}>
              Drop it
            </button>
            <span role="status" className="save-state">
              {bench.saved === 'keeping' && <span className="quiet">keeping …</span>}
              {bench.saved === 'kept' && <span className="kept">✓ every weight is kept</span>}
            </span>
          </div>
        )}
        {tried && trouble && (
          <p role="alert" className="trouble">
            {trouble.message}
          </p>
        )}
      </aside>
    </div>
  );
}

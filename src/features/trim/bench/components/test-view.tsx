'use client';

import Button from 'react-bootstrap/Button';
import Alert from 'react-bootstrap/Alert';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { isDrained } from '@/core/bench';
import { outlierQuestion } from '@/core/larder';
import { useFormatters } from '@/ui/formatters-context';
import { TroubleText } from '@/ui/forms/trouble-text';
import { discardTest, type TestTyped } from '../wire';
import type { TestPage } from '../queries';
import { BothTests } from './both-tests';
import { SavedTest } from './saved-test';
import { PartsTable } from './parts-table';
import { emptySecond, SecondPass } from './second-pass';
import { TestHead } from './test-head';
import { TestSide } from './test-side';
import { useScale } from './use-scale';
import { useTest } from './use-test';
import { useWeighed } from './use-weighed';
import { WeighBar } from './weigh-bar';
import { StartWeight } from './start-weight';
import * as texts from './texts';

/** One test on the bench: weighed in, weighed part by part, and what it comes to at every stroke. */
export function TestView({ page }: { readonly page: TestPage }) {
  const bench = useTest(page);
  const { typed, setTyped, keep, refusal, finished } = bench;
  const weighed = useWeighed(page, typed);
  const { troubleAt, ...ends } = useEnds(page, bench, weighed);
  const reader = useScale();
  const scale = page.scale && page.mayTest ? reader : undefined;
  const change = (next: TestTyped): void => {
    setTyped(next);
    keep(next);
  };
  if (finished && !refusal) return <Finished page={page} />;
  return (
    <div className="beside">
      <fieldset disabled={!page.mayTest}>
        <TestHead page={page} typed={typed} change={change} />
        <Refused page={page} bench={bench} />
        <StartWeight
          typed={typed}
          live={weighed.live.start}
          troubleAt={troubleAt}
          scale={scale}
          setTyped={setTyped}
          keep={keep}
        />
        {!isDrained(typed.kind) && <WeighBar typed={typed} live={weighed.live} products={page.products} />}
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
            <OpenSecond onOpen={() => setTyped({ ...typed, second: emptySecond() })} />
          ))}
      </fieldset>
      <TestSide {...{ page, weighed, bench, ...ends }} />
    </div>
  );
}

const NOT_YET = ['no-weight', 'nothing-weighed', 'no-time', 'no-product'];

/** How a test comes to its end, finished or dropped, and what stands in the way. */
function useEnds(
  page: TestPage,
  bench: ReturnType<typeof useTest>,
  { trouble, test }: ReturnType<typeof useWeighed>,
) {
  const { refusal } = bench;
  const { bare } = useFormatters();
  const router = useRouter();
  const [tried, setTried] = useState(false);
  // Before somebody says that it is finished, only what is plainly wrong is told; then all that is missing.
  const told = trouble && (tried || !NOT_YET.includes(trouble.code)) ? trouble : undefined;
  const troubleAt = (path: string): string | undefined => {
    if (told && (told.path === path || told.path.startsWith(`${path}.`))) return told.message;
    return refusal && !refusal.theirs && refusal.path !== '' && refusal.path.startsWith(path)
      ? refusal.message
      : undefined;
  };
  // A slip of the scale or of a finger: a yield that is far from what it was is asked about before it is kept.
  const odd =
    test &&
    outlierQuestion({
      what: 'yield',
      before: page.usable * 100,
      after: test.usable * 100,
      words: (pct) => `${bare(pct, 1)} %`,
    });
  const [meant, setMeant] = useState<string>();
  const asks = odd !== meant ? odd : undefined;
  const finish = async (): Promise<void> => {
    setTried(true);
    if (trouble) return;
    if (odd !== undefined && tried && asks !== undefined) setMeant(odd);
    else if (asks !== undefined) return;
    if (await bench.finish()) router.push(`/trim/${page.test.ingredient}?after=${page.test.id}`);
  };
  const drop = async (): Promise<void> => {
    const answer = await discardTest({ id: page.test.id, seen: bench.version.current });
    if (answer.ok) router.push('/trim');
  };
  return {
    troubleAt,
    finish: () => void finish(),
    drop: () => void drop(),
    missing: tried ? trouble?.message : undefined,
    asks: tried ? asks : undefined,
  };
}

/** Why the last weight was not kept; where somebody else weighed too, both. */
function Refused({ page, bench }: { readonly page: TestPage; readonly bench: ReturnType<typeof useTest> }) {
  const { refusal, typed } = bench;
  const router = useRouter();
  if (!refusal) return null;
  if (!refusal.theirs) return refusal.path === '' ? <TroubleText says={refusal.message} /> : null;
  return (
    <Alert variant="danger">
      <TroubleText says={refusal.message} />
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
    </Alert>
  );
}

function OpenSecond({ onOpen }: { readonly onOpen: () => void }) {
  return (
    <Button variant="plain" size="sm" className="ms-2" onClick={onOpen}>
      {texts.secondPassWasteMill}
    </Button>
  );
}

/** Once it is finished it is shown as it was kept; until that has been read, only that it is. */
function Finished({ page }: { readonly page: TestPage }) {
  return page.test.state === 'kept' ? (
    <SavedTest page={page} />
  ) : (
    <p role="status" className="small-line cheaper">
      {texts.finishedCalculatingResult}
    </p>
  );
}

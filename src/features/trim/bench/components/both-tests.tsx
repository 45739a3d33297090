'use client';

import Button from 'react-bootstrap/Button';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { TroubleText } from '@/ui/forms/trouble-text';
import { saveApart } from '../wire';
import type { TestTyped, TheirTest } from '../wire';
import { FATE_WORDS } from '../../words';
import { noAnswer } from '@/wire';
import * as texts from './texts';

const rowsOf = (t: Pick<TestTyped, 'start' | 'parts' | 'second'>): [string, string][] => [
  [texts.went, t.start],
  ...t.parts
    .filter((p) => p.amount !== '')
    .map((p): [string, string] => [p.name || FATE_WORDS[p.fate], p.amount]),
  ...(t.second?.start
    ? [
        [texts.wentThroughAgain, t.second.start] as [string, string],
        ...t.second.parts.map((p): [string, string] => [p.name, p.amount]),
      ]
    : []),
];

/** Two people at one test: what both say, and which of them is kept. Nothing is thrown away unasked. */
export function BothTests({
  mine,
  theirs,
  testId,
  takeTheirs,
  keepMine,
}: {
  readonly mine: TestTyped;
  readonly theirs: TheirTest;
  readonly testId: string;
  readonly takeTheirs: (theirs: TheirTest) => void;
  readonly keepMine: (theirs: TheirTest) => void;
}) {
  const router = useRouter();
  const [message, setMessage] = useState<string>();
  const finished = theirs.test.state === 'kept';
  const apart = async (): Promise<void> => {
    const answer = await saveApart({ of: testId, typed: mine }).catch(() => ({
      ok: false as const,
      message: noAnswer(texts.whatYouWeighedStill),
    }));
    if (answer.ok) router.push(`/trim/bench/${answer.value.id}`);
    else setMessage(answer.message);
  };
  return (
    <div className="both-tests d-flex flex-wrap gap-4">
      <Side title={texts.yoursNotSaved} rows={rowsOf(mine)} />
      <Side title={finished ? texts.theirsFinished : texts.theirs} rows={rowsOf(theirs.test)} />
      <div className="d-inline-flex flex-wrap gap-2 ms-2">
        {finished ? (
          <Button variant="plain" size="sm" onClick={() => void apart()}>
            {texts.saveMineSeparateTest}
          </Button>
        ) : (
          <Button variant="plain" size="sm" onClick={() => keepMine(theirs)}>
            {texts.keepMine}
          </Button>
        )}
        <Button variant="plain" size="sm" onClick={() => takeTheirs(theirs)}>
          {texts.takeTheirs}
        </Button>
      </div>
      <TroubleText says={message} />
    </div>
  );
}

function Side({ title, rows }: { readonly title: string; readonly rows: readonly [string, string][] }) {
  return (
    <div>
      <h3>{title}</h3>
      <table>
        <tbody>
          {rows.map(([what, weight], i) => (
            <tr key={i}>
              <th scope="row">{what}</th>
              <td className="fig">{weight || '–'}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

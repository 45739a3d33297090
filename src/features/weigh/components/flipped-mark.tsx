'use client';

import Link from 'next/link';
import { usePathname } from 'next/navigation';
import { useEffect, useState } from 'react';
import type { QuestionListed } from '../saved-questions';
import * as texts from './texts';

interface Props {
  /** Changes when a question does. */
  readonly at: number;
}

let last: { readonly key: string; readonly answer: Promise<readonly QuestionListed[]> } | undefined;

/** Asks once for a page, however many of its parts want to know. Without an answer it is asked again on the next page. */
function ask(key: string): Promise<readonly QuestionListed[]> {
  if (last?.key === key) return last.answer;
  const answer = fetch('/weigh/moved')
    .then(async (got) => (got.ok ? ((await got.json()) as QuestionListed[]) : []))
    .catch(() => []);
  last = { key, answer };
  return answer;
}

/** Kept questions whose answer is another than when somebody last looked. Asked when the page is there already: it may take draws. */
function useFlipped(at: number): readonly QuestionListed[] {
  const [questions, setQuestions] = useState<readonly QuestionListed[]>([]);
  const where = usePathname();
  useEffect(() => {
    let over = false;
    void ask(`${at} ${where}`).then((found) => {
      if (!over) setQuestions(found);
    });
    return () => {
      over = true;
    };
  }, [at, where]);
  // At the stove a cook has other things in hand.
  return where.startsWith('/stove') ? [] : questions;
}

/** How many answers have changed: a sign in the bar, so that nothing on the page moves for it. */
export function FlippedMark({ at }: Props) {
  const many = useFlipped(at).length;
  if (many === 0) return null;
  return (
    <span aria-live="polite" className="text-nowrap">
      <Link prefetch={false} href="/weigh">
        {texts.answerAnswersChanged(many)}
      </Link>
    </span>
  );
}

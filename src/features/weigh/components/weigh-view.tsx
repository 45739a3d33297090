'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useCallback, useMemo, useState, type CSSProperties } from 'react';
import Form from 'react-bootstrap/Form';
import Stack from 'react-bootstrap/Stack';
import type { WrittenAsks } from '@/core/kitchen-file';
import { searcher } from '@/search';
import { ArchivedList } from '@/ui/tables/archived-list';
import { Combo, type ComboOption } from '@/ui/forms/combo';
import { useFormatters } from '@/ui/formatters-context';
import { SheetTable } from '@/ui/tables/sheet-table';
import { findOther, type Other } from '../actions';
import type { QuestionListed } from '../saved-questions';
import type { WeighPage } from '../queries';
import { archiveQuestion } from '../send';
import { changeText } from './change-text';
import * as texts from './texts';

const SIDE = { '--side': '440px' } as CSSProperties;

/** Weigh up: kept questions with their answers, and what can be asked of a pot. */
export function WeighView({ page }: { readonly page: WeighPage }) {
  return (
    <>
      <Stack direction="horizontal" gap={3} className="page-head">
        <div className="me-auto">
          <h1>{texts.weighUp}</h1>
          <p className="lead-line">{texts.whichWayHowSure}</p>
        </div>
      </Stack>
      <div className="beside" style={SIDE}>
        <section aria-label={texts.savedQuestions}>
          {page.questions.length === 0 ? (
            <p className="fs-5">{texts.noSavedQuestionsYet}</p>
          ) : (
            <Questions questions={page.questions} />
          )}
          {page.mayEdit && (
            <ArchivedList rows={page.away} bringBack={(id) => archiveQuestion({ id, away: false })} />
          )}
        </section>
        <AskOf page={page} />
      </div>
    </>
  );
}

function Questions({ questions }: { readonly questions: readonly QuestionListed[] }) {
  const { money, day } = useFormatters();
  return (
    <SheetTable className="list-table">
      <thead>
        <tr>
          <th scope="col">{texts.question}</th>
          <th scope="col" className="left">
            {texts.answer}
          </th>
          <th scope="col">{texts.perLitre}</th>
          <th scope="col">{texts.lessThanNext}</th>
        </tr>
      </thead>
      <tbody>
        {questions.map((q) => (
          <tr key={q.id}>
            <td>
              <Link prefetch={false} className="fs-6" href={`/weigh/${q.id}`}>
                {q.name}
              </Link>
              {q.moved && <div className="hot small-line">{changeText(q.moved, money, day)}</div>}
            </td>
            <td className="left">{q.answer ?? <span className="incomplete">{q.trouble}</span>}</td>
            <td className="fig">{money(q.perL)}</td>
            <td className="fig">{money(q.nextBy)}</td>
          </tr>
        ))}
      </tbody>
    </SheetTable>
  );
}

const askedAt = (asks: WrittenAsks): string =>
  `/weigh/ask?${new URLSearchParams({ q: JSON.stringify(asks) })}`;

/** What does not arise by itself: another pot beside this one, or something else in the place of a line. */
function OrBeside({
  page,
  of,
  look,
}: {
  readonly page: WeighPage;
  readonly of: string;
  readonly look: (wanted: string) => readonly ComboOption[];
}) {
  const router = useRouter();
  const [line, setLine] = useState(page.takes[0]?.id ?? '');
  const find = useCallback((wanted: string) => findOther(wanted, false), []);
  return (
    <div className="stacked mt-3">
      <Combo<ComboOption>
        label={texts.anotherPotBeside}
        placeholder={texts.anotherPotBesideInline}
        chosen={undefined}
        choose={(pot) => {
          if (pot && pot.id !== of) router.push(askedAt({ of: 'sheets', recipe: of, with: [pot.id] }));
        }}
        find={look}
      />
      {page.takes.length > 0 && (
        <>
          <Form.Select
            aria-label={texts.placeWhichLine}
            value={line}
            onChange={(event) => setLine(event.target.value)}
          >
            {page.takes.map((t) => (
              <option key={t.id} value={t.id}>
                {texts.place(t.words)}
              </option>
            ))}
          </Form.Select>
          <Combo<Other>
            label={texts.replace}
            placeholder={texts.replaceSameAmount}
            chosen={undefined}
            choose={(other) => {
              if (!other) return;
              const thing = other.is === 'ingredient' ? { ingredient: other.id } : { product: other.id };
              router.push(askedAt({ of: 'instead', recipe: of, line, with: [{ of: thing }] }));
            }}
            find={find}
          />
        </>
      )}
    </div>
  );
}

/** A pot is chosen; what arises on each of its lines is one click away, already filled in. */
function AskOf({ page }: { readonly page: WeighPage }) {
  const router = useRouter();
  const find = useMemo(() => searcher(page.pots), [page.pots]);
  const look = useCallback((wanted: string): readonly ComboOption[] => find(wanted).slice(0, 12), [find]);
  const groups = useMemo(() => {
    const found = new Map<string, WeighPage['arising'][number][]>();
    for (const a of page.arising) found.set(a.at, [...(found.get(a.at) ?? []), a]);
    return [...found];
  }, [page.arising]);
  return (
    <section aria-label={texts.askAboutPot}>
      <h2>{texts.askAboutPot}</h2>
      <Combo<ComboOption>
        label={texts.whichPot}
        placeholder={texts.whichPotInline}
        chosen={page.of}
        choose={(pot) => router.push(pot ? `/weigh?of=${pot.id}` : '/weigh')}
        find={look}
      />
      {page.of && <OrBeside key={page.of.id} page={page} of={page.of.id} look={look} />}
      {groups.map(([at, list]) => (
        <div
          key={at}
          className="mt-3"
          aria-current={list.some((a) => a.line === page.line) && page.line ? 'true' : undefined}
        >
          <div className="quiet small-line">{at}</div>
          {list.map((a) => (
            <div key={a.words}>
              <Link prefetch={false} href={askedAt(a.asks)}>
                {a.words}
              </Link>
            </div>
          ))}
        </div>
      ))}
    </section>
  );
}

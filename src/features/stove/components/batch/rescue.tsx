'use client';

import { useCallback, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import type { PotFigures, Problem, RescueOption } from '@/core/batch';
import { CAME_IN, GONE, PROBLEMS } from '@/core/kitchen-file';
import type { Vessel } from '@/core/pot';
import { useFormatters } from '@/ui/formatters-context';
import { SidePanel } from '@/ui/panels/side-panel';
import { figureText } from './batch-words';
import { NOT_HERE, NOT_HERE_WORDS, useAnswer } from './use-answer';
import type { PotQuestions } from './batch-worker';
import { PartGone, SomethingCameIn, type ArrivalForm, type LossForm } from './mishaps';
import type { LiveBatch } from './use-batch-estimate';
import * as texts from './texts';

const GOALS: Readonly<Record<Problem, string>> = {
  'too thick': texts.targetBody,
  'too thin': texts.targetBody,
  'too salty': texts.targetSalt,
  'too little': texts.targetLitres,
};

/** What of the list is called otherwise on the screen. */
const SAID: Readonly<Partial<Record<string, string>>> = {
  scorched: texts.caught,
  'drawn off': texts.tooMuchPot,
  'into the wrong pot': texts.strainedIntoWrongPot,
  'wrong thing in': texts.wrongThingWent,
};

const isIn = <T extends string>(of: readonly T[], one: string): one is T =>
  (of as readonly string[]).includes(one);

/** Something is wrong with the pot: what can be done about it, each way with its amount. */
export function RescuePanel({
  ask,
  mark,
  pot,
  vessel,
  tell,
  close,
}: {
  readonly ask: PotQuestions;
  readonly mark: '.' | ',';
  readonly pot: PotFigures | undefined;
  readonly vessel: Vessel | undefined;
  readonly tell: LiveBatch['tell'];
  readonly close: () => void;
}) {
  const [problem, setProblem] = useState<Problem | LossForm | ArrivalForm>();
  const all = [...PROBLEMS, ...GONE, ...CAME_IN] as const;
  return (
    <SidePanel title={texts.whatWrong} open close={close}>
      <div className="stacked rescue">
        <div className="d-flex flex-wrap gap-2" role="group" aria-label={texts.whatWrongHeading}>
          {all.map((p) => (
            <Button
              key={p}
              size="lg"
              variant={p === problem ? 'primary' : 'outline-primary'}
              aria-pressed={p === problem}
              onClick={() => setProblem(p)}
            >
              {SAID[p] ?? p}
            </Button>
          ))}
        </div>
        {problem && isIn(PROBLEMS, problem) && (
          <Ways key={problem} ask={ask} mark={mark} problem={problem} tell={tell} close={close} />
        )}
        {problem && isIn(GONE, problem) && (
          <PartGone
            key={problem}
            why={problem}
            pot={pot}
            vessel={vessel}
            mark={mark}
            tell={tell}
            close={close}
          />
        )}
        {problem && isIn(CAME_IN, problem) && (
          <SomethingCameIn key={problem} problem={problem} ask={ask} tell={tell} close={close} />
        )}
      </div>
    </SidePanel>
  );
}

function Ways({
  ask,
  mark,
  problem,
  tell,
  close,
}: {
  readonly ask: PotQuestions;
  readonly mark: '.' | ',';
  readonly problem: Problem;
  readonly tell: LiveBatch['tell'];
  readonly close: () => void;
}) {
  const [goal, setGoal] = useState<string>();
  const wanted = goal === undefined ? null : figureText(goal, mark);
  const cannot = wanted !== null && !(wanted > 0);
  const find = useCallback(() => ask.putRight(problem, wanted), [ask, problem, wanted]);
  const answer = useAnswer(cannot ? undefined : find);
  // What was found last stands while something else is typed.
  const [found, setFound] = useState(answer);
  if (answer !== undefined && answer !== found) setFound(answer);
  const choose = (way: RescueOption): void =>
    void tell({ is: 'rescue', problem, steps: [...way.steps] }).then((ok) => {
      if (ok) close();
    });
  if (found === undefined) return <p className="quiet">{texts.calculating}</p>;
  if (found === NOT_HERE) return <p className="trouble">{NOT_HERE_WORDS}</p>;
  return (
    <>
      <Form.Group controlId="rescue-goal">
        <Form.Label>{GOALS[problem]}</Form.Label>
        <Form.Control
          size="lg"
          inputMode="decimal"
          value={goal ?? String(found.goal).replace('.', mark)}
          onChange={(event) => setGoal(event.target.value)}
        />
        <Form.Text>{texts.standsNow(found.now.toFixed(2))}</Form.Text>
      </Form.Group>
      {found.trouble !== undefined && <p className="trouble m-0">{found.trouble}</p>}
      {found.trouble === undefined && found.ways.length === 0 && (
        <p className="warning m-0">{texts.nothingKitchenGets}</p>
      )}
      {found.ways.map((way) => (
        <Way key={way.words} way={way} choose={way.hours === undefined ? () => choose(way) : undefined} />
      ))}
    </>
  );
}

/** How much less it tastes of itself, in words. */
const tasteWords = (thinner: number): string => {
  if (thinner < 0.02) return texts.tastesDoes;
  if (thinner < 0.12) return texts.tastesLittleThinner;
  return thinner < 0.3 ? texts.tastesThinner : texts.tastesLittle;
};

function Way({ way, choose }: { readonly way: RescueOption; readonly choose: (() => void) | undefined }) {
  const { litres, money, hours } = useFormatters();
  return (
    <section className="way-out" aria-label={way.words}>
      <p className="fs-5 m-0">
        <b>{way.words}</b>
      </p>
      <p className="m-0">
        {texts.saltBody(litres(way.ml), way.saltPct.toFixed(2), way.body.toFixed(2))}
        {way.hours !== undefined && texts.moreHeat(hours(way.hours))}; {tasteWords(way.thinner)};{' '}
        {way.cost === null ? texts.whatCostsNotKnown : texts.costs(money(way.cost))}
      </p>
      {choose ? (
        <Button size="lg" onClick={choose}>
          {texts.doText}
        </Button>
      ) : (
        <p className="quiet m-0">{texts.nothingAddedLeaveHeat}</p>
      )}
    </section>
  );
}

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

const GOALS: Readonly<Record<Problem, string>> = {
  'too thick': 'Body it is to have',
  'too thin': 'Body it is to have',
  'too salty': 'Salt it is to have, %',
  'too little': 'Litres there are to be',
};

/** What of the list is called otherwise on the screen. */
const SAID: Readonly<Partial<Record<string, string>>> = {
  scorched: 'it has caught',
  'drawn off': 'too much for this pot',
  'into the wrong pot': 'strained into the wrong pot',
  'wrong thing in': 'the wrong thing went in',
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
    <SidePanel title="What is wrong?" open close={close}>
      <div className="stacked rescue">
        <div className="d-flex flex-wrap gap-2" role="group" aria-label="What is wrong">
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
  if (found === undefined) return <p className="quiet">Calculating …</p>;
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
        <Form.Text>It stands at {found.now.toFixed(2)} now.</Form.Text>
      </Form.Group>
      {found.trouble !== undefined && <p className="trouble m-0">{found.trouble}</p>}
      {found.trouble === undefined && found.ways.length === 0 && (
        <p className="warning m-0">Nothing in the house gets it there.</p>
      )}
      {found.ways.map((way) => (
        <Way key={way.words} way={way} choose={way.hours === undefined ? () => choose(way) : undefined} />
      ))}
    </>
  );
}

/** How much less it tastes of itself, in words. */
const tasteWords = (thinner: number): string => {
  if (thinner < 0.02) return 'tastes as it does';
  if (thinner < 0.12) return 'tastes a little thinner';
  return thinner < 0.3 ? 'tastes thinner' : 'tastes of little';
};

function Way({ way, choose }: { readonly way: RescueOption; readonly choose: (() => void) | undefined }) {
  const { litres, money, hours } = useFormatters();
  return (
    <section className="way-out" aria-label={way.words}>
      <p className="fs-5 m-0">
        <b>{way.words}</b>
      </p>
      <p className="m-0">
        {litres(way.ml)}, salt {way.saltPct.toFixed(2)} %, body {way.body.toFixed(2)}
        {way.hours !== undefined && `, ${hours(way.hours)} more on the heat`}; {tasteWords(way.thinner)};{' '}
        {way.cost === null ? 'what it costs is not known' : `costs ${money(way.cost)}`}
      </p>
      {choose ? (
        <Button size="lg" onClick={choose}>
          Do this
        </Button>
      ) : (
        <p className="quiet m-0">Nothing is added: leave it on the heat, and read it again.</p>
      )}
    </section>
  );
}

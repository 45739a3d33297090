'use client';

import { useCallback, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { allergenWords } from '@/core/safety';
import type { ParsedArrival as Found, PotFigures } from '@/core/batch';
import type { CAME_IN, GONE } from '@/core/kitchen-file';
import { capacityMl, maxFillMl, type Vessel } from '@/core/pot';
import { useFormatters } from '@/ui/formatters-context';
import { TroubleText } from '@/ui/forms/trouble-text';
import { figureText } from './batch-words';
import type { PotQuestions } from './batch-worker';
import { NOT_HERE, NOT_HERE_WORDS, useAnswer } from './use-answer';
import type { LiveBatch } from './use-batch-estimate';
import * as texts from './texts';

export type LossForm = (typeof GONE)[number];
export type ArrivalForm = (typeof CAME_IN)[number];

/** What people do first, and what is then asked. */
const FIRST: Readonly<Record<LossForm, { readonly advice: string; readonly asks: string }>> = {
  scorched: {
    advice: texts.doNotStirDo,
    asks: texts.litresCleanPot,
  },
  'boiled over': {
    advice: texts.turnDownWipeBurner,
    asks: texts.litresLeft,
  },
  spilled: { advice: texts.whatLostTookShare, asks: texts.litresLeft },
  'drawn off': {
    advice: texts.drawSomeOffBefore,
    asks: texts.litresStayPot,
  },
};

/** The most that may stand in a vessel, less its pieces, l. */
function mostL(vessel: Vessel | undefined, pot: PotFigures | undefined): number | undefined {
  if (!vessel || !pot) return undefined;
  const over = pot.standingMl - maxFillMl(vessel);
  return over > 0 ? Math.max(0, pot.ml - over) / 1000 : undefined;
}

/** Why so many litres cannot be left; undefined where they can. */
function wrongLeft(
  typed: string,
  left: number,
  stood: readonly [l: number, words: string] | undefined,
): string | undefined {
  if (!(left >= 0)) return texts.litresOutOfRange(typed);
  return stood && left > stood[0] ? texts.lMoreThanL(typed, stood[1]) : undefined;
}

/** How full it stands, of what it should at most. */
const HowFull = ({ vessel, pot }: { readonly vessel: Vessel; readonly pot: PotFigures }) => (
  <p className="m-0">
    {texts.standsShouldStandMost(
      Math.round((pot.standingMl / capacityMl(vessel)) * 100),
      vessel.name,
      Math.round(vessel.maxFill * 100),
    )}
  </p>
);

/** How much that is, and of what. */
function Lost({
  lost,
  of,
  drawnOff,
}: {
  readonly lost: number;
  readonly of: number;
  readonly drawnOff: boolean;
}) {
  const { bare } = useFormatters();
  return (
    <p className="m-0">
      {texts.lDrawnOffGone(bare(lost, 2), drawnOff, Math.round((lost / Math.max(of, 1e-9)) * 100))}
    </p>
  );
}

/** A part of the pot is gone: how much is left, and what went with it. */
export function PartGone({
  why,
  pot,
  vessel,
  mark,
  tell,
  close,
}: {
  readonly why: LossForm;
  readonly pot: PotFigures | undefined;
  readonly vessel: Vessel | undefined;
  readonly mark: '.' | ',';
  readonly tell: LiveBatch['tell'];
  readonly close: () => void;
}) {
  const { bare } = useFormatters();
  const stood = pot ? pot.ml / 1000 : undefined;
  const most = why === 'drawn off' ? mostL(vessel, pot) : undefined;
  const [typed, setTyped] = useState(() => (most === undefined ? '' : bare(most, 2)));
  const left = figureText(typed, mark);
  const wrong =
    typed === ''
      ? undefined
      : wrongLeft(typed, left, stood === undefined ? undefined : [stood, bare(stood, 2)]);
  const lost =
    stood !== undefined && left >= 0 && wrong === undefined && typed !== '' ? stood - left : undefined;
  return (
    <>
      <p className="fs-5 m-0">{FIRST[why].advice}</p>
      {why === 'drawn off' && vessel && pot && <HowFull vessel={vessel} pot={pot} />}
      <Form.Group controlId="part-gone">
        <Form.Label>{FIRST[why].asks}</Form.Label>
        <Form.Control
          size="lg"
          inputMode="decimal"
          value={typed}
          isInvalid={wrong !== undefined}
          onChange={(event) => setTyped(event.target.value)}
        />
        {stood !== undefined && <Form.Text>{texts.readingsL(bare(stood, 2))}</Form.Text>}
      </Form.Group>
      <TroubleText says={wrong} />
      {lost !== undefined && <Lost lost={lost} of={stood ?? 0} drawnOff={why === 'drawn off'} />}
      <Button
        size="lg"
        disabled={typed === '' || wrong !== undefined}
        onClick={() =>
          void tell({ is: 'left', l: left, why }).then((ok) => {
            if (ok) close();
          })
        }
      >
        {texts.soItIs}
      </Button>
    </>
  );
}

/** Something came in that was not meant to: what, and what the pot then is. */
export function SomethingCameIn({
  problem,
  ask,
  tell,
  close,
}: {
  readonly problem: ArrivalForm;
  readonly ask: PotQuestions;
  readonly tell: LiveBatch['tell'];
  readonly close: () => void;
}) {
  const [typed, setTyped] = useState('');
  const text = typed.trim();
  const find = useCallback(() => ask.cameIn(text), [ask, text]);
  const found = useAnswer(text === '' ? undefined : find);
  return (
    <>
      <Form.Group controlId="came-in">
        <Form.Label>
          {problem === 'wrong thing in' ? texts.whatWentHowMuch : texts.whatPotAlreadyHow}
        </Form.Label>
        <Form.Control
          size="lg"
          value={typed}
          placeholder={problem === 'wrong thing in' ? texts.example200MlCream : texts.example15LFish}
          onChange={(event) => setTyped(event.target.value)}
        />
      </Form.Group>
      {found === NOT_HERE && <p className="trouble">{NOT_HERE_WORDS}</p>}
      {found && found !== NOT_HERE && !found.ok && <p className="warning m-0">{found.message}</p>}
      {found && found !== NOT_HERE && found.ok && (
        <Came
          found={found}
          choose={() =>
            void tell({ is: 'rescue', problem, steps: [found.as] }).then((ok) => {
              if (ok) close();
            })
          }
        />
      )}
    </>
  );
}

function Came({
  found,
  choose,
}: {
  readonly found: Extract<Found, { ok: true }>;
  readonly choose: () => void;
}) {
  const { litres, money } = useFormatters();
  const { after, before, allergens, cost, words } = found;
  return (
    <section className="way-out" aria-label={words}>
      <p className="fs-5 m-0">
        <b>{words}</b>
      </p>
      <p className="m-0">
        {texts.becomeSaltBodyWhat(
          litres(before.ml),
          litres(after.ml),
          before.saltPct.toFixed(2),
          after.saltPct.toFixed(2),
          before.body.toFixed(2),
          after.body.toFixed(2),
          cost,
          money(cost),
        )}
      </p>
      {allergens.length > 0 && <p className="trouble m-0">{allergenWords.nowContains(allergens)}</p>}
      <Button size="lg" onClick={choose}>
        {texts.itIsIn}
      </Button>
    </section>
  );
}

'use client';

import { useId, useState } from 'react';
import Button from 'react-bootstrap/Button';
import { ChooseIngredient } from '@/ui/choose';
import type { Found } from '@/ui/find';
import { useFigures } from '@/ui/figures';
import { useKept } from '@/ui/use-kept';
import { Trouble } from '@/ui/trouble';
import { keepWaste } from '../wire';
import type { FlowPage } from '../queries';

const REASONS = ['no pot took it', 'spoiled', 'past its day', 'cut too much', 'dropped', 'came off bad'];

/** What was thrown away and why: booked as a movement of stock. */
export function ThrownAway({ page }: { readonly page: FlowPage }) {
  const { money } = useFigures();
  const lost = page.wastes.reduce((sum, w) => sum + (w.money ?? 0), 0);
  return (
    <aside className="ingredient-side" aria-label="Thrown away">
      <section>
        <h2>Thrown away</h2>
        <p className="lead-line">
          <span className="fig-large">{money(lost)}</span>
          <span className="fig-label">
            in four weeks, at what it had cost; trim no pot takes is paid for already
          </span>
        </p>
        {page.mayWaste && <WasteForm />}
      </section>
      <Wastes page={page} />
    </aside>
  );
}

/** A waste as it is typed: what, which part, how much, why. */
function useWaste() {
  const [keep, state] = useKept();
  const [thing, setThing] = useState<Found>();
  const [part, setPart] = useState<'whole' | 'stock trim'>('stock trim');
  const [amount, setAmount] = useState('');
  const [reason, setReason] = useState('');
  const send = async (): Promise<void> => {
    const ok = await keep(() =>
      keepWaste({
        ingredient: thing?.id ?? '',
        part: thing?.trims === false ? 'whole' : part,
        amount,
        reason,
      }),
    );
    if (!ok) return;
    setThing(undefined);
    setAmount('');
  };
  const whole = thing?.trims === false;
  return {
    state,
    thing,
    setThing,
    part: whole ? 'whole' : part,
    setPart,
    whole,
    amount,
    setAmount,
    reason,
    setReason,
    send,
  };
}

function WasteForm() {
  const { state, thing, setThing, part, setPart, whole, amount, setAmount, reason, setReason, send } =
    useWaste();
  return (
    <form
      className="waste-form"
      onSubmit={(event) => {
        event.preventDefault();
        void send();
      }}
    >
      <ChooseIngredient
        id="thrown-away"
        label="What was thrown away"
        placeholder="What was it?"
        chosen={thing}
        choose={setThing}
      />
      <select
        className="form-select"
        aria-label="Which part of it"
        value={part}
        disabled={whole}
        onChange={(event) => setPart(event.target.value as 'whole' | 'stock trim')}
      >
        <option value="stock trim">its stock trim</option>
        <option value="whole">as bought</option>
      </select>
      <input
        className="form-control"
        aria-label="How much was thrown away"
        placeholder="800 g"
        value={amount}
        onChange={(event) => setAmount(event.target.value)}
      />
      <Why reason={reason} setReason={setReason} />
      <Button type="submit" variant="outline-primary" disabled={state.busy}>
        Write it down
      </Button>
      {state.kept && (
        <span role="status" className="kept">
          ✓ booked
        </span>
      )}
      <Trouble says={state.message} />
    </form>
  );
}

function Why({
  reason,
  setReason,
}: {
  readonly reason: string;
  readonly setReason: (reason: string) => void;
}) {
  const reasons = useId();
  return (
    <>
      <input
        className="form-control"
        aria-label="Why it was thrown away"
        placeholder="Why?"
        list={reasons}
        value={reason}
        onChange={(event) => setReason(event.target.value)}
      />
      <datalist id={reasons}>
        {REASONS.map((r) => (
          <option key={r} value={r} />
        ))}
      </datalist>
    </>
  );
}

function Wastes({ page }: { readonly page: FlowPage }) {
  const { money, day } = useFigures();
  return (
    <ul className="waste-list">
      {page.wastes.map((w) => (
        <li key={w.id}>
          <span>
            <b>{w.name}</b> <span className="fig">{w.amount}</span>
            <span className="quiet small-line">
              {day(w.on)}
              {w.who ? `, ${w.who}` : ''}: {w.reason}
            </span>
          </span>
          <span className="fig">{w.money === 0 ? '–' : money(w.money)}</span>
        </li>
      ))}
      {page.wastes.length === 0 && <li className="quiet">Nothing in four weeks.</li>}
    </ul>
  );
}

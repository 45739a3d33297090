'use client';

import { useCallback, useRef, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { Combo } from '@/ui/forms/combo';
import { useMissing } from '@/ui/forms/missing';
import { TroubleText } from '@/ui/forms/trouble-text';
import { findForPlate, type Platable } from '../actions';
import * as texts from './texts';

const LACKED: Platable = { id: 'lacked', name: texts.addNewIngredient, of: { ingredient: '' } };

type Add = (of: Platable['of'], amount: string) => Promise<boolean>;

/** What is being put on the plate, until it is there. */
function useAnother(add: Add) {
  const [chosen, setChosen] = useState<Platable>();
  const [amount, setAmount] = useState('');
  const [lacks, setLacks] = useState<string>();
  const [said, setSaid] = useState<string>();
  const asked = useRef('');
  const how = useRef<HTMLInputElement>(null);
  const find = useCallback((wanted: string): Promise<readonly Platable[]> => {
    asked.current = wanted;
    return findForPlate(wanted);
  }, []);
  const choose = (choice: Platable | undefined): void => {
    setSaid(undefined);
    setLacks(choice?.id === LACKED.id ? asked.current : undefined);
    setChosen(choice?.id === LACKED.id ? undefined : choice);
    if (choice && choice.id !== LACKED.id) how.current?.focus();
  };
  const there = (name: string): void => {
    setLacks(undefined);
    void findForPlate(name).then((found) => choose(found.find((f) => f.name === name) ?? found[0]));
  };
  const send = (): void => {
    if (!chosen) return setSaid(texts.whatDishChooseFrom);
    if (amount.trim() === '') return setSaid(texts.howMuchDishWrite);
    setSaid(undefined);
    void add(chosen.of, amount).then((ok) => {
      if (!ok) return;
      setChosen(undefined);
      setAmount('');
    });
  };
  return { chosen, choose, find, amount, setAmount, how, lacks, there, said, send };
}

/** One more thing on the plate: what it is, and how much of it. */
export function AddLine({ add, trouble }: { readonly add: Add; readonly trouble: string | undefined }) {
  const missing = useMissing();
  const { chosen, choose, find, amount, setAmount, how, lacks, there, said, send } = useAnother(add);
  return (
    <div className="next-step mt-2">
      <div className="d-flex flex-wrap gap-2 align-items-start">
        <Combo
          className="flex-grow-1"
          label={texts.whatElseDish}
          placeholder={texts.anotherThingSauceCut}
          chosen={chosen}
          choose={choose}
          find={find}
          also={[LACKED]}
        />
        <Form.Control
          ref={how}
          style={{ width: '7rem' }}
          aria-label={texts.howMuch}
          placeholder={texts.example60Ml}
          autoComplete="off"
          value={amount}
          onChange={(event) => setAmount(event.target.value)}
          onKeyDown={(event) => event.key === 'Enter' && send()}
        />
        <Button variant="plain" onClick={send}>
          {texts.add}
        </Button>
      </div>
      <TroubleText says={said ?? trouble} />
      {lacks !== undefined && missing && (
        <div className="mt-1">
          {lacks === '' ? texts.typeNameFirst : <missing.UnknownName said={lacks} there={there} />}
        </div>
      )}
    </div>
  );
}

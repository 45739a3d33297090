'use client';

import { useState } from 'react';
import { dipAt } from '@/core/pot';
import { writeStep } from '@/core/verbs';
import type { PotSheetData } from '../queries';
import type { TheirSheet } from '../wire';
import { Carries } from './carries';
import { Drawing } from './drawing';
import { Layers } from './layers';
import { Ledger } from './ledger';
import { MoneyWentTable } from './money-went';
import { OneLitre } from './one-litre';
import { Opens } from './opens';
import { SheetHead } from './sheet-head';
import { StandsOnList } from './stands-on';
import { linesOf, type SheetLine } from './sheet-lines';
import { useKeeping } from './use-keeping';
import { useLivePot } from './use-pot';

/** A recipe as steps and ledger side by side, the pot in section following the chosen step. */
export function PotSheet({ data }: { data: PotSheetData }) {
  const [lines, setLines] = useState(() => linesOf(data.recipe.steps, data.names));
  const [vessel, setVessel] = useState(data.recipe.vessel);
  const [hob, setHob] = useState(data.recipe.hob);
  const [chosen, setChosen] = useState(
    Math.max(
      0,
      data.recipe.steps.findLastIndex((s) => s.do !== 'portion'),
    ),
  );
  const pot = useLivePot(data, lines, vessel, hob);
  const keeping = useKeeping(data, lines, vessel, hob);

  const typed = (i: number, text: string): void =>
    setLines((all) => all.map((line, j) => (j === i ? { ...line, text } : line)));
  const done = (next: readonly SheetLine[]): void => {
    setLines([...next]);
    keeping.wish(next, vessel, hob);
  };
  const setDip = (levelCm: number): string => {
    const step = pot.steps[chosen];
    const row = pot.run.rows[chosen];
    if (step?.do !== 'reduce' || !row) return lines[chosen]?.text ?? '';
    return writeStep(
      { ...step, until: 'dip', to: `${dipAt(row.vessel, levelCm).toFixed(1)} cm` },
      data.names,
    );
  };
  const withLine = (text: string): SheetLine[] =>
    lines.map((line, j) => (j === chosen ? { ...line, text } : line));
  const takeTheirs = (theirs: TheirSheet): void => {
    keeping.settle(theirs);
    setLines(linesOf(theirs.steps, data.names));
    setVessel(theirs.vessel);
    setHob(theirs.hob);
  };
  const keepMine = (theirs: TheirSheet): void => {
    keeping.settle(theirs);
    keeping.wish(lines, vessel, hob);
  };

  return (
    <>
      <SheetHead data={data} pot={pot} />
      <div className="pot-sheet">
        <div>
          <Ledger
            data={data}
            lines={lines}
            pot={pot}
            chosen={Math.min(chosen, lines.length)}
            vessel={vessel}
            hob={hob}
            refusal={keeping.refusal}
            onStand={(v, h) => {
              setVessel(v);
              setHob(h);
              keeping.wish(lines, v, h);
            }}
            onChoose={setChosen}
            onTyped={typed}
            onDone={done}
            onTakeTheirs={takeTheirs}
            onKeepMine={keepMine}
          />
          <p className="save-state" role="status">
            {keeping.state === 'keeping' && <span className="quiet">keeping …</span>}
            {keeping.state === 'kept' && <span className="kept">✓ kept</span>}
            {keeping.state === 'held' && (
              <span className="quiet">not kept until the line marked above can be done</span>
            )}
          </p>
          {keeping.broken.map((b) => (
            <p key={b.name} role="alert" className="warning">
              This leaves {b.name} {b.undone ? 'undone' : 'without a cost'}. {b.why}
            </p>
          ))}
        </div>
        <div>
          <Drawing
            pot={pot}
            chosen={chosen}
            mayEdit={data.mayEdit}
            onDrag={(cm) => typed(chosen, setDip(cm))}
            onDrop={(cm) => done(withLine(setDip(cm)))}
          />
          <MoneyWentTable pot={pot} />
          <StandsOnList data={data} pot={pot} />
          <Opens pot={pot} />
        </div>
        <div>
          <OneLitre data={data} pot={pot} />
          <Layers pot={pot} />
          <Carries pot={pot} />
        </div>
      </div>
    </>
  );
}

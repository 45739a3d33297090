'use client';

import { useUnkept } from '@/ui/unkept';
import type { PotSheetData } from '../queries';
import { Carries } from './carries';
import { Drawing } from './drawing';
import { Layers } from './layers';
import { Ledger } from './ledger';
import { MoneyWentTable } from './money-went';
import { OneLitre } from './one-litre';
import { Opens } from './opens';
import { SheetHead } from './sheet-head';
import { SheetTools } from './sheet-tools';
import { StandsOnList } from './stands-on';
import type { useKeeping } from './use-keeping';
import { useSheet } from './use-sheet';

/** A recipe as steps and ledger side by side, the pot in section following the chosen step. */
export function PotSheet({ data }: { data: PotSheetData }) {
  const { known, pot, keeping, ...sheet } = useSheet(data);
  const { chosen, lines } = sheet;
  useUnkept(keeping.state === 'held');
  return (
    <>
      <SheetHead data={known} pot={pot} tools={<SheetTools data={data} version={keeping.seen} />} />
      <div className="pot-sheet">
        <div>
          <Ledger
            data={known}
            lines={lines}
            pot={pot}
            chosen={Math.min(chosen, lines.length)}
            vessel={sheet.vessel}
            hob={sheet.hob}
            refusal={keeping.refusal}
            onStand={sheet.stand}
            onChoose={sheet.choose}
            onTyped={sheet.typed}
            onDone={sheet.done}
            onTakeTheirs={sheet.takeTheirs}
            onKeepMine={sheet.keepMine}
            onLearned={sheet.learned}
            onPriced={sheet.priced}
          />
          <HowKept keeping={keeping} />
        </div>
        <div>
          <Drawing
            pot={pot}
            chosen={chosen}
            mayEdit={data.mayEdit}
            onDrag={(cm) => sheet.typed(chosen, sheet.setDip(cm))}
            onDrop={(cm) => sheet.done(sheet.withLine(sheet.setDip(cm)))}
          />
          <MoneyWentTable pot={pot} />
          <StandsOnList data={known} pot={pot} />
          <Opens pot={pot} />
        </div>
        <div>
          <OneLitre data={known} pot={pot} />
          <Layers pot={pot} layers={data.looksAt} />
          <Carries data={known} pot={pot} />
        </div>
      </div>
    </>
  );
}

/** Whether what stands here is kept, and what it leaves undone elsewhere. */
function HowKept({ keeping }: { readonly keeping: ReturnType<typeof useKeeping> }) {
  return (
    <>
      <p className="m-0 small-line" role="status">
        {keeping.state === 'keeping' && <span className="quiet">keeping …</span>}
        {keeping.state === 'kept' && <span className="small-line cheaper">✓ kept</span>}
        {keeping.state === 'waits' && (
          <span className="quiet">no connection: kept here for now and sent when it is back</span>
        )}
        {keeping.state === 'held' && (
          <span className="quiet">not kept until the line marked above can be done</span>
        )}
      </p>
      {keeping.broken.map((b) => (
        <p key={b.name} role="alert" className="warning">
          This leaves {b.name} {b.undone ? 'undone' : 'without a cost'}. {b.why}
        </p>
      ))}
    </>
  );
}

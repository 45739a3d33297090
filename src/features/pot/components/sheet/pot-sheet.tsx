'use client';

import dynamic from 'next/dynamic';
import { memo, useCallback, useMemo, useState } from 'react';
import Button from 'react-bootstrap/Button';
import { DEBOUNCE_MS, useDebounced } from '@/ui/hooks/use-debounced';
import { useUnsavedChanges } from '@/ui/frame/unsaved-changes';
import type { PotSheetData } from '../../queries';
import { TimeChart } from '../figures/time-chart';
import { AllergensOfPot } from '../figures/allergens-of-pot';
import { Drawing } from '../figures/drawing';
import { Layers } from '../figures/layers';
import { Ledger } from '../figures/ledger';
import { LossTable } from '../figures/loss-table';
import { LitreCost } from '../figures/litre-cost';
import { OpenedPacksList } from '../figures/opened-packs-list';
import { SheetHead } from './sheet-head';
import { SheetTools } from './sheet-tools';
import { EvidenceList } from '../figures/evidence-list';
import type { LivePot } from '../figures/use-pot';
import { useSheet } from './use-sheet';
import { ChoiceWays } from '../line/ways';
import * as labels from './texts';

/** What is opened now and then comes when it is. */
const ScalePanel = dynamic(() => import('./scale-panel').then((m) => m.ScalePanel), { ssr: false });
const StepForm = dynamic(() => import('../line/step-form').then((m) => m.StepForm), { ssr: false });

/** A recipe as steps and ledger side by side, the pot in section following the chosen step. */
export function PotSheet({ data }: { data: PotSheetData }) {
  const sheet = useSheet(data);
  const { known, pot, keeping, chosen } = sheet;
  const [fields, setFields] = useState<string | null>();
  const [scaling, setScaling] = useState(false);
  const onScale = useCallback(() => setScaling(true), []);
  const onFields = useCallback((id: string | undefined) => setFields(id ?? null), []);
  const later = useLater(sheet);
  useUnsavedChanges(keeping.state === 'held');
  return (
    <>
      <SheetHead
        data={known}
        pot={pot}
        tools={<SheetTools data={data} version={keeping.seen} onScale={onScale} />}
      />
      <div className="pot-sheet">
        <div>
          <Ledger sheet={sheet} onFields={onFields} />
          <HowKept sheet={sheet} />
          <ChoiceWays sheet={sheet} />
        </div>
        <div>
          <Drawing
            pot={pot}
            chosen={chosen}
            mayEdit={data.mayEdit}
            onDrag={(cm) => sheet.typed(chosen, sheet.dips.atLevel(cm))}
            onDrop={(cm) => sheet.lines(sheet.dips.linesAtLevel(cm))}
            onDip={(cm) => sheet.lines(sheet.dips.linesAtDip(cm))}
          />
          <Under data={known} later={later} />
        </div>
        <div>
          <Beside data={known} later={later} />
        </div>
      </div>
      {fields !== undefined && (
        <StepForm sheet={sheet} line={fields ?? undefined} close={() => setFields(undefined)} />
      )}
      {scaling && <ScalePanel sheet={sheet} close={() => setScaling(false)} />}
    </>
  );
}

/** The pot and the lines it is of, as they stood when the fingers rested last. */
function useLater({ pot, draft }: ReturnType<typeof useSheet>): Later {
  const now = useMemo(() => ({ pot, texts: draft.lines.map((l) => l.text) }), [pot, draft.lines]);
  return useDebounced(now, DEBOUNCE_MS);
}
interface Later {
  readonly pot: LivePot;
  readonly texts: readonly string[];
}
interface Explains {
  readonly data: PotSheetData;
  readonly later: Later;
}

// The lines and the price first; what explains them may come a moment after the key, and is not drawn by any before that.
const Under = memo(function Under({ data, later: { pot, texts } }: Explains) {
  return (
    <>
      <TimeChart pot={pot} texts={texts} />
      <LossTable pot={pot} />
      <EvidenceList data={data} pot={pot} />
      <OpenedPacksList pot={pot} />
    </>
  );
});

const Beside = memo(function Beside({ data, later: { pot, texts } }: Explains) {
  return (
    <>
      <LitreCost data={data} pot={pot} texts={texts} />
      <Layers pot={pot} layers={data.looksAt} />
      <AllergensOfPot data={data} pot={pot} />
    </>
  );
});

const FIELDS = { vessel: labels.vesselStarts, hob: labels.whatStands, choices: labels.ways } as const;

/** Whether what stands here is kept, and what it leaves undone elsewhere. */
function HowKept({ sheet }: { readonly sheet: ReturnType<typeof useSheet> }) {
  const { keeping, touched, both, arrived } = sheet;
  const open = touched.length + both.length > 0;
  return (
    <>
      <p className="m-0 small-line" role="status">
        {keeping.state === 'keeping' && <span className="quiet">{labels.saving}</span>}
        {keeping.state === 'kept' && <span className="small-line cheaper">{labels.saved}</span>}
        {keeping.state === 'waits' && <span className="quiet">{labels.noConnectionSavedDevice}</span>}
        {keeping.state === 'held' && (
          <span className="quiet">{open ? labels.notSavedChooseWhich : labels.notSavedFixLine}</span>
        )}
        {arrived.ids.size > 0 && (
          <span className="quiet">
            {' '}
            {labels.oneLineLinesCome(arrived.ids.size)}
            {arrived.by && labels.from(arrived.by)}
          </span>
        )}
      </p>
      {both.length > 0 && (
        <p role="alert" className="trouble">
          {labels.somebodyElseChanged} {both.map((f) => FIELDS[f]).join(' and ')} {labels.tooYoursShownHere}{' '}
          <Button variant="plain" size="sm" onClick={sheet.settleBoth}>
            {labels.keepMine}
          </Button>
        </p>
      )}
      {keeping.broken.map((b) => (
        <p key={b.name} role="alert" className="warning">
          {labels.leavesUndoneWithoutCost(b.name, b.undone, b.why)}
        </p>
      ))}
    </>
  );
}

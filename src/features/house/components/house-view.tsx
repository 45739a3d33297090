'use client';

import type { ReactNode } from 'react';
import type { HousePage } from '../queries';
import { Settings } from '../settings/components/settings-form';
import { CupChoice } from './cups-choice';
import { LabourTable } from './labour-table';
import { ModelChangeTable } from './model-change';
import { StartingValues } from './starting-values';
import * as texts from './texts';

/** What belongs to the whole house; beside it what other stations keep for all of it. */
export function HouseView({ page, also }: { readonly page: HousePage; readonly also?: ReactNode }) {
  return (
    <>
      <h1>{texts.kitchen}</h1>
      <p className="lead-line">{texts.whatHoldsEveryPot}</p>
      <div className="beside mt-3">
        <div>
          {page.moved.map((m) => (
            <ModelChangeTable key={m.id} move={m} mayEdit={page.mayEdit} />
          ))}
          <StartingValues page={page} />
          <Settings page={page} />
          <LabourTable page={page} />
          <CupChoice page={page} />
        </div>
        <aside>{also}</aside>
      </div>
    </>
  );
}

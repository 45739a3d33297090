'use client';

import type { HousePage } from '../queries';
import { Cups } from './cups-choice';
import { Hands } from './hands-table';
import { ModelMoved } from './model-moved';
import { StartingValues } from './starting-values';

/** What belongs to the whole house: what the model moved, better starting values, its hands, its cups. */
export function HouseView({ page }: { readonly page: HousePage }) {
  return (
    <>
      <h1>This kitchen</h1>
      <p className="lead-line">
        What holds for every pot here: how long hands take, and which cups are meant.
      </p>
      <div className="mt-4" style={{ maxWidth: '62rem' }}>
        {page.moved.map((m) => (
          <ModelMoved key={m.id} move={m} mayEdit={page.mayEdit} />
        ))}
        <StartingValues page={page} />
        <Hands page={page} />
        <Cups page={page} />
      </div>
    </>
  );
}

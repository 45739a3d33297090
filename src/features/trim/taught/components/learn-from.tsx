'use client';

import Form from 'react-bootstrap/Form';
import { SEASONS } from '@/core/learning';
import { useSave } from '@/ui/forms/use-save';
import { TroubleText } from '@/ui/forms/trouble-text';
import { learnFrom } from '../send';
import type { TaughtPage } from '../queries';
import * as texts from './texts';

/** Which own tests are listened to: all of them, one season's, one supplier's. */
export function LearnFrom({ page }: { readonly page: TaughtPage }) {
  const [keep, state] = useSave();
  const { season, supplier } = page.learnFrom;
  const send = (next: Partial<TaughtPage['learnFrom']>): void => {
    const wanted = { season, supplier, ...next };
    void keep((seen) =>
      learnFrom({
        id: page.id,
        seen: seen ?? page.version,
        season: wanted.season ?? null,
        supplier: wanted.supplier ?? null,
      }),
    );
  };
  return (
    <section>
      <h2>{texts.whichTestsCount}</h2>
      <div className="stacked">
        <label>
          {texts.season}
          <Form.Select
            aria-label={texts.learnFromTestsWhich}
            value={season ?? ''}
            disabled={!page.mayEdit}
            onChange={(event) =>
              send({ season: (event.target.value || undefined) as TaughtPage['learnFrom']['season'] })
            }
          >
            <option value="">{texts.allSeasons}</option>
            <option value="now">{texts.seasonNow}</option>
            {SEASONS.map((s) => (
              <option key={s} value={s}>
                {texts.only(s)}
              </option>
            ))}
          </Form.Select>
        </label>
        <label>
          {texts.supplier}
          <Form.Select
            aria-label={texts.learnFromTestsWhichSupplier}
            value={supplier ?? ''}
            disabled={!page.mayEdit}
            onChange={(event) => send({ supplier: event.target.value || undefined })}
          >
            <option value="">{texts.allSuppliers}</option>
            {page.suppliers.map((s) => (
              <option key={s.id} value={s.id}>
                {texts.only(s.name)}
              </option>
            ))}
          </Form.Select>
        </label>
      </div>
      <TroubleText says={state.message} both={state.both} />
    </section>
  );
}

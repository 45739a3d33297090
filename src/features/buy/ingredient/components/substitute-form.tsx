'use client';

import { useState, useTransition } from 'react';
import { IngredientCombo } from '@/ui/forms/ingredient-combo';
import type { FoundIngredient } from '@/ui/forms/ingredient-search';
import { useFormatters } from '@/ui/formatters-context';
import { compareSubstitute } from '../actions';
import type { IngredientPage, SubstituteComparison } from '../queries';
import * as texts from './texts';

/** Another ingredient in this one's place: what changes in allergens, salt, gelatin and cost. */
export function SubstituteForm({ page }: { page: IngredientPage }) {
  const { money } = useFormatters();
  const [chosen, setChosen] = useState<FoundIngredient>();
  const [instead, setInstead] = useState<SubstituteComparison | null>(null);
  const [asking, ask] = useTransition();
  return (
    <section>
      <h2>{texts.replaceAnother}</h2>
      <IngredientCombo
        label={texts.usePlace(page.name)}
        placeholder={texts.whatWouldUsedInstead}
        except={page.id}
        chosen={chosen}
        choose={(other) => {
          setChosen(other);
          ask(async () => setInstead(other ? await compareSubstitute(page.id, other.id) : null));
        }}
      />
      {asking && <p role="status">{texts.searching}</p>}
      {instead && !asking && (
        <div role="status" className="instead">
          {instead.differences.length === 0 ? (
            <p className="cheaper">{texts.nothingYouEnteredChanges}</p>
          ) : (
            <ul>
              {instead.differences.map((d) => (
                <li key={d.message} className={d.grave ? 'warning' : ''}>
                  {d.message}
                </li>
              ))}
            </ul>
          )}
          {instead.moved.length > 0 && (
            <table>
              <tbody>
                {instead.moved.map((m) => (
                  <tr key={m.name + m.per}>
                    <th scope="row">
                      {m.name}, <span className="quiet">{m.per}</span>
                    </th>
                    <td className="fig">
                      {money(m.before)} → <b>{money(m.after)}</b>
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          )}
        </div>
      )}
    </section>
  );
}

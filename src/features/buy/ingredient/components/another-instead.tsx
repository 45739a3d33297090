'use client';

import { useState, useTransition } from 'react';
import Form from 'react-bootstrap/Form';
import { useFigures } from '@/ui/figures';
import { askInstead } from '../actions';
import type { IngredientPage, Instead } from '../queries';

/** Another ingredient in this one's place: what changes in allergens, salt, gelatin and cost. */
export function AnotherInstead({ page }: { page: IngredientPage }) {
  const { money } = useFigures();
  const [instead, setInstead] = useState<Instead | null>(null);
  const [asking, ask] = useTransition();
  return (
    <section>
      <h2>Another in its place</h2>
      <Form.Select
        aria-label={`Use in place of ${page.name}`}
        defaultValue=""
        onChange={(event) => {
          const other = event.target.value;
          ask(async () => setInstead(other === '' ? null : await askInstead(page.id, other)));
        }}
      >
        <option value="">Choose what would be used instead</option>
        {page.others.map((o) => (
          <option key={o.id} value={o.id}>
            {o.name}
          </option>
        ))}
      </Form.Select>
      {asking && <p role="status">Looking it up …</p>}
      {instead && !asking && (
        <div role="status" className="instead">
          {instead.differences.length === 0 ? (
            <p className="cheaper">
              Nothing that is written down changes: the same allergens, salt, gelatin and cost. The label
              decides.
            </p>
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

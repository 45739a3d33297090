'use client';

import Form from 'react-bootstrap/Form';
import * as texts from './texts';

/** Which columns of a table are shown. */
export const ChooseColumns = ({
  columns,
  hidden,
  toggle,
}: {
  readonly columns: readonly (readonly [id: string, name: string])[];
  readonly hidden: readonly string[];
  readonly toggle: (id: string) => void;
}) => (
  <details className="no-print ms-auto">
    <summary>{texts.columns}</summary>
    <div className="d-flex flex-wrap gap-3">
      {columns.map(([id, name]) => (
        <Form.Check
          key={id}
          id={`column-${id}`}
          label={name}
          checked={!hidden.includes(id)}
          onChange={() => toggle(id)}
        />
      ))}
    </div>
  </details>
);

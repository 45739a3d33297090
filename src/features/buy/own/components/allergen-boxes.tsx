'use client';

import { useId } from 'react';
import Col from 'react-bootstrap/Col';
import Form from 'react-bootstrap/Form';
import Row from 'react-bootstrap/Row';

/** Those that labels here have to name; what else a kitchen has written down stands beside them. */
const USUAL = [
  'celery',
  'crustaceans',
  'egg',
  'fish',
  'gluten',
  'lupin',
  'milk',
  'molluscs',
  'mustard',
  'nuts',
  'peanuts',
  'sesame',
  'soya',
  'sulphites',
];

/** What something carries, each ticked. */
export function AllergenBoxes({
  chosen,
  set,
}: {
  readonly chosen: readonly string[];
  readonly set: (chosen: readonly string[]) => void;
}) {
  const id = useId();
  const names = [...USUAL, ...chosen.filter((a) => !USUAL.includes(a))];
  return (
    <fieldset>
      <legend className="fs-6">Carries</legend>
      <Row className="g-1">
        {names.map((name) => (
          <Col xs={4} key={name}>
            <Form.Check
              id={`${id}-${name}`}
              label={name}
              checked={chosen.includes(name)}
              onChange={(event) =>
                set(event.target.checked ? [...chosen, name] : chosen.filter((a) => a !== name))
              }
            />
          </Col>
        ))}
      </Row>
    </fieldset>
  );
}

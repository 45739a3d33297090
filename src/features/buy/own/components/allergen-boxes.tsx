'use client';

import { useId } from 'react';
import Col from 'react-bootstrap/Col';
import Form from 'react-bootstrap/Form';
import Row from 'react-bootstrap/Row';
import { LABEL_ALLERGENS } from '@/core/safety';
import * as texts from './texts';

/** Allergens to tick. */
export function AllergenBoxes({
  chosen,
  set,
}: {
  readonly chosen: readonly string[];
  readonly set: (chosen: readonly string[]) => void;
}) {
  const id = useId();
  const usual: readonly string[] = LABEL_ALLERGENS;
  const names = [...usual, ...chosen.filter((a) => !usual.includes(a))];
  return (
    <fieldset>
      <legend className="fs-6">{texts.contains}</legend>
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

'use client';

import { useActionState } from 'react';
import Button from 'react-bootstrap/Button';
import Col from 'react-bootstrap/Col';
import Form from 'react-bootstrap/Form';
import Row from 'react-bootstrap/Row';
import { PotMark } from '@/ui/drawings/pot-mark';
import { signIn } from '../actions';
import * as texts from './texts';

interface Props {
  readonly kitchen: string;
  readonly people: readonly { readonly id: string; readonly name: string; readonly role: string }[];
  readonly demo: boolean;
}

/** The sign-in page: choose a name, then a password, or the short PIN on the shared tablet. */
export function SignInForm({ kitchen, people, demo }: Props) {
  const [trouble, act, waiting] = useActionState(signIn, null);
  return (
    <main className="mt-5" style={{ maxWidth: 760 }}>
      <h1 className="fs-1">
        <PotMark /> {texts.halfPot}
      </h1>
      <p className="lead-line">{texts.whoWork(kitchen)}</p>
      <form action={act}>
        <fieldset className="my-4">
          <legend className="visually-hidden">{texts.yourName}</legend>
          <Row className="g-3" sm={2} lg={3}>
            {people.map((p, i) => (
              <Col key={p.id} as="label" className="d-grid">
                <input
                  type="radio"
                  name="person"
                  value={p.id}
                  className="btn-check"
                  defaultChecked={i === 0}
                />
                <span className="btn btn-plain text-start p-3">
                  <b>{p.name}</b>
                  <span className="quiet d-block">{p.role}</span>
                </span>
              </Col>
            ))}
          </Row>
        </fieldset>
        <div className="d-flex flex-wrap align-items-end gap-3">
          <Form.Group controlId="secret">
            <Form.Label>{texts.passwordOrPinShared}</Form.Label>
            <Form.Control
              name="secret"
              type="password"
              autoComplete="current-password"
              aria-describedby="sign-in-trouble"
              isInvalid={trouble !== null}
            />
          </Form.Group>
          <Button type="submit" disabled={waiting}>
            {texts.sign}
          </Button>
        </div>
        <p id="sign-in-trouble" role="alert" className={trouble ? 'trouble' : ''}>
          {trouble}
        </p>
        {demo && (
          <p className="quiet">
            {texts.demoEverybodysPassword} <b>{texts.kestrelWeir}</b>.{' '}
            <a href="/sign-in/demo">{texts.openManager}</a>
          </p>
        )}
      </form>
    </main>
  );
}

'use client';

import { ThemeProvider, useTheme } from 'next-themes';
import type { ReactNode } from 'react';
import Form from 'react-bootstrap/Form';
import { useHydrated } from '../forms/use-hydrated';
import * as texts from './texts';

/** Light or dark, as the device is or as somebody chose on it. */
export const ColorScheme = ({
  nonce,
  children,
}: {
  readonly nonce: string | undefined;
  readonly children: ReactNode;
}) => (
  <ThemeProvider
    attribute="data-bs-theme"
    defaultTheme="system"
    enableColorScheme
    storageKey="half-pot-light"
    nonce={nonce ?? ''}
  >
    {children}
  </ThemeProvider>
);

const CHOICES = [
  ['system', texts.sameDevice],
  ['light', 'light'],
  ['dark', 'dark'],
] as const;

/** Chooses between them, for this device. */
export function ColorSchemeChoice() {
  const { theme, setTheme } = useTheme();
  // What is chosen is known in the browser alone.
  const here = useHydrated();
  return (
    <Form.Group controlId="light">
      <Form.Label>{texts.lightOrDark}</Form.Label>
      <Form.Select
        disabled={!here}
        value={here ? theme : 'system'}
        onChange={(event) => setTheme(event.target.value)}
      >
        {CHOICES.map(([key, words]) => (
          <option key={key} value={key}>
            {words}
          </option>
        ))}
      </Form.Select>
    </Form.Group>
  );
}

import { useMemo } from 'react';
import Form from 'react-bootstrap/Form';
import Stack from 'react-bootstrap/Stack';
import { Combo } from '@/ui/forms/combo';
import { useFormatters } from '@/ui/formatters-context';
import { useSearch } from '@/ui/tables/use-search';
import { SEASONS, TEST_KINDS, type Season, type TestKind } from '@/core/learning';
import { FIRST_PARTS, KIND_WORDS } from '../../words';
import type { TestPage } from '../queries';
import type { TestTyped } from '../wire';
import * as texts from './texts';

/** What is tested, of which delivery, in which season. */
export function TestHead({
  page,
  typed,
  change,
}: {
  readonly page: TestPage;
  readonly typed: TestTyped;
  readonly change: (next: TestTyped) => void;
}) {
  const { said } = useFormatters();
  const deliveries = useMemo(
    () => page.deliveries.map((d) => ({ id: d.purchase, name: said(d.words) })),
    [page.deliveries, said],
  );
  return (
    <>
      <Stack direction="horizontal" gap={3} className="flex-wrap mt-2">
        <h1>{page.name}</h1>
        <WhatIsTested typed={typed} change={change} />
      </Stack>
      <Stack direction="horizontal" gap={3} className="flex-wrap mt-2">
        <span className="quiet">{texts.ofText}</span>
        <Combo
          label={texts.delivery}
          placeholder={texts.noDeliveryParticular}
          className="which-thing flex-grow-1"
          chosen={deliveries.find((d) => d.id === typed.purchase)}
          find={useSearch(deliveries)}
          choose={(d) => change({ ...typed, purchase: d?.id ?? null })}
        />
        <span className="quiet">{texts.season}</span>
        <Form.Select
          aria-label={texts.seasonHeading}
          className="w-auto"
          value={typed.season}
          onChange={(event) => {
            change({ ...typed, season: event.target.value as Season });
          }}
        >
          {SEASONS.map((s) => (
            <option key={s}>{s}</option>
          ))}
        </Form.Select>
      </Stack>
    </>
  );
}

function WhatIsTested({
  typed,
  change,
}: {
  readonly typed: TestTyped;
  readonly change: (next: TestTyped) => void;
}) {
  return (
    <Form.Select
      aria-label={texts.whatTested}
      className="w-auto"
      value={typed.kind}
      onChange={(event) => {
        const kind = event.target.value as TestKind;
        const blank = typed.parts.every((p) => p.amount.trim() === '');
        // The other kinds are of what has been trimmed already: there is no second pass of its waste.
        change({
          ...typed,
          kind,
          parts: blank ? FIRST_PARTS[kind] : typed.parts,
          second: kind === 'trim' ? typed.second : undefined,
        });
      }}
    >
      {TEST_KINDS.map((kind) => (
        <option key={kind} value={kind}>
          {KIND_WORDS[kind]}
        </option>
      ))}
    </Form.Select>
  );
}

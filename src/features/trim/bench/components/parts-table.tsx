'use client';

import Form from 'react-bootstrap/Form';
import Button from 'react-bootstrap/Button';
import { Plus, X } from 'lucide-react';
import { useState } from 'react';
import { FATES, type Fate } from '@/core/learning';
import type { LiveTest } from '@/core/bench';
import { useFormatters } from '@/ui/formatters-context';
import { FATE_WORDS, fateClass } from '../../words';
import { useToast } from '@/ui/frame/toasts';
import { TroubleText } from '@/ui/forms/trouble-text';
import type { TestPage } from '../queries';
import type { TestTyped } from '../wire';
import { NewByProduct } from './new-by-product';
import type { useScale } from './use-scale';
import { WeightField } from './weight-field';
import { SheetTable } from '@/ui/tables/sheet-table';
import * as texts from './texts';

interface Props {
  readonly page: TestPage;
  readonly typed: TestTyped;
  readonly live: LiveTest;
  readonly troubleAt: (path: string) => string | undefined;
  readonly scale: ReturnType<typeof useScale> | undefined;
  readonly change: (typed: TestTyped) => void;
  readonly keep: (typed: TestTyped) => void;
}

/** Each part as it comes off, with its fate and its weight. */
export function PartsTable({ page, typed, live, troubleAt, scale, change, keep }: Props) {
  const [made, setMade] = useState<readonly { id: string; name: string }[]>([]);
  const [asking, setAsking] = useState<number | null>(null);
  const products = [...page.products, ...made];
  const parts = typed.parts;
  const withPart = (i: number, part: Partial<(typeof parts)[number]>): TestTyped => ({
    ...typed,
    parts: parts.map((p, j) => (j === i ? { ...p, ...part } : p)),
  });
  const both = (next: TestTyped): void => {
    change(next);
    keep(next);
  };
  return (
    <>
      <SheetTable className="tall">
        <PartsHead />
        <tbody>
          {parts.map((part, i) => (
            <PartRow
              key={i}
              {...{ i, part, products, typed, live, troubleAt, scale, change, keep, both, withPart }}
              ask={() => setAsking(i)}
            />
          ))}
        </tbody>
      </SheetTable>
      {asking !== null && (
        <NewByProduct
          of={page.test.ingredient}
          likes={page.likes}
          onLeave={() => setAsking(null)}
          onMade={(product) => {
            setMade((all) => [...all, product]);
            both(withPart(asking, { product: product.id }));
            setAsking(null);
          }}
        />
      )}
      <TroubleText says={troubleAt('parts')} />
      <Button
        variant="plain"
        size="sm"
        onClick={() => both({ ...typed, parts: [...parts, { name: '', fate: 'waste', amount: '' }] })}
      >
        <Plus size={15} aria-hidden="true" /> {texts.addPart}
      </Button>{' '}
      {typed.kind === 'trim' && typed.start.trim() !== '' && !parts.some((p) => p.name === THAW_DRIP) && (
        <CameFrozen
          onDrained={(drained) =>
            both({
              ...typed,
              parts: [{ name: THAW_DRIP, fate: 'waste', amount: `${typed.start} - ${drained}` }, ...parts],
            })
          }
        />
      )}
    </>
  );
}

const THAW_DRIP = texts.thawDrip;

/** Frozen goods are weighed frozen, and again thawed and drained: what has dripped off is waste like any other. */
function CameFrozen({ onDrained }: { readonly onDrained: (drained: string) => void }) {
  const [drained, setDrained] = useState('');
  const done = (): void => {
    if (drained.trim() !== '') onDrained(drained.trim());
  };
  return (
    <label className="quiet small-line">
      {texts.cameFrozenThawedDrained}{' '}
      <input
        className="typed"
        aria-label={texts.thawedDrainedWeighs}
        placeholder={texts.example18Kg}
        value={drained}
        onChange={(event) => setDrained(event.target.value)}
        onBlur={done}
        onKeyDown={(event) => event.key === 'Enter' && done()}
      />
    </label>
  );
}

interface RowProps extends Pick<Props, 'typed' | 'live' | 'troubleAt' | 'scale' | 'change' | 'keep'> {
  readonly i: number;
  readonly part: TestTyped['parts'][number];
  readonly products: readonly { readonly id: string; readonly name: string }[];
  readonly both: (next: TestTyped) => void;
  readonly withPart: (i: number, part: Partial<TestTyped['parts'][number]>) => TestTyped;
  /** Asks which new product it is. */
  readonly ask: () => void;
}

function PartRow(props: RowProps) {
  const { i, part, typed, live, troubleAt, scale, change, keep, both, withPart } = props;
  const { bare } = useFormatters();
  const tell = useToast();
  const start = live.start.g ?? 0;
  return (
    <tr>
      <td>
        <FateField {...props} />
      </td>
      <td className="left">
        {part.fate === 'by-product' ? (
          <ProductField {...props} />
        ) : (
          <input
            className="typed typed-text"
            aria-label={texts.partWhat(i + 1)}
            placeholder={part.fate === 'usable' ? 'trimmed' : texts.peelRoots}
            value={part.name}
            onChange={(event) => change(withPart(i, { name: event.target.value }))}
            onBlur={() => keep(typed)}
          />
        )}
      </td>
      <td className="left">
        <WeightField
          label={texts.partWeight(i + 1)}
          field={`parts.${i}`}
          value={part.amount}
          live={live.parts[i] ?? {}}
          trouble={troubleAt(`parts[${i}]`)}
          scale={scale}
          onTyped={(amount) => change(withPart(i, { amount }))}
          onDone={(amount) => keep(withPart(i, { amount }))}
        />
      </td>
      <td className="fig">
        {live.parts[i]?.g !== undefined && start > 0 ? bare((live.parts[i].g / start) * 100, 1) : ''}
      </td>
      <td>
        <Button
          variant="tool"
          size="sm"
          aria-label={texts.removePart(i + 1)}
          onClick={() => {
            both({ ...typed, parts: typed.parts.filter((_, j) => j !== i) });
            if (part.amount.trim() !== '')
              tell(texts.removed(part.name, FATE_WORDS[part.fate], part.amount), () => both(typed));
          }}
        >
          <X size={16} aria-hidden="true" />
        </Button>
      </td>
    </tr>
  );
}

function FateField({ i, part, products, typed, both, ask }: RowProps) {
  return (
    <span className="d-flex align-items-center">
      <span
        className={`flex-shrink-0 me-2 ${fateClass(part.fate)}`}
        style={{ width: 16, height: 22 }}
        aria-hidden="true"
      />
      <Form.Select
        aria-label={texts.partWhatBecomes(i + 1)}
        value={part.fate}
        onChange={(event) => {
          const fate = event.target.value as Fate;
          const { product: _p, ...rest } = part;
          const next = fate === 'by-product' && products[0] ? { product: products[0].id } : {};
          both({
            ...typed,
            parts: typed.parts.map((p, j) => (j === i ? { ...rest, fate, ...next } : p)),
          });
          if (fate === 'by-product' && products.length === 0) ask();
        }}
      >
        {FATES.map((fate) => (
          <option key={fate} value={fate}>
            {FATE_WORDS[fate]}
          </option>
        ))}
      </Form.Select>
    </span>
  );
}

function ProductField({ i, part, products, both, withPart, ask }: RowProps) {
  return (
    <Form.Select
      aria-label={texts.partProduct(i + 1)}
      value={part.product ?? ''}
      onChange={(event) => {
        if (event.target.value === 'new') ask();
        else both(withPart(i, { product: event.target.value || undefined }));
      }}
    >
      <option value="">{texts.whichProduct}</option>
      {products.map((p) => (
        <option key={p.id} value={p.id}>
          {p.name}
        </option>
      ))}
      <option value="new">{texts.newOne}</option>
    </Form.Select>
  );
}

function PartsHead() {
  return (
    <thead>
      <tr>
        <th scope="col">{texts.whatBecomes}</th>
        <th scope="col" className="left">
          {texts.what}
        </th>
        <th scope="col" className="left">
          {texts.weight}
        </th>
        <th scope="col">{texts.all}</th>
        <th scope="col">
          <span className="visually-hidden">{texts.removeLine}</span>
        </th>
      </tr>
    </thead>
  );
}

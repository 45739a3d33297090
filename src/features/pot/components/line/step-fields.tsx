'use client';

import { useId, useMemo } from 'react';
import Form from 'react-bootstrap/Form';
import { PIECE_KINDS } from '@/core/larder';
import type { Names } from '@/core/said';
import { searcher } from '@/search';
import { Combo } from '@/ui/forms/combo';
import type { Field } from '../../step-fields';
import * as texts from './texts';

interface FieldProps {
  readonly field: Field;
  readonly names: Names;
  readonly value: string;
  readonly missing: boolean;
  readonly onSet: (value: string) => void;
}

/** What a list of ids is called. */
const namedIn = (ids: string, names: Names): string =>
  (JSON.parse(ids) as string[])
    .map((id) => names.ingredients.find((i) => i.id === id)?.name ?? id)
    .join(' and ');

/** Kinds of pieces; things that were named one by one stay what they are until a kind is chosen. */
const pieceOptions = (value: string, names: Names): (readonly [string, string])[] => [
  ...PIECE_KINDS.map((k) => [k, `the ${k}`] as const),
  ...(value.startsWith('[') ? [[value, namedIn(value, names)] as const] : []),
];

/** One field of a line's form, as its kind asks for it. */
export function FieldOf({ field, names, value, missing, onSet }: FieldProps) {
  const { label, kind, options, needed } = field;
  const id = useId();
  const select = (choices: readonly (readonly [string, string])[]) => (
    <Form.Group controlId={id}>
      <Form.Label>{label}</Form.Label>
      <Form.Select value={value} isInvalid={missing} onChange={(event) => onSet(event.target.value)}>
        <option value="">{needed ? texts.choose : texts.notSaid}</option>
        {choices.map(([v, words]) => (
          <option key={v} value={v}>
            {words}
          </option>
        ))}
      </Form.Select>
    </Form.Group>
  );
  switch (kind) {
    case 'yes':
      return (
        <Form.Check
          type="checkbox"
          id={id}
          label={label}
          checked={value !== ''}
          onChange={(event) => onSet(event.target.checked ? 'yes' : '')}
        />
      );
    case 'one of':
      return select(options.map((o) => [o, o]));
    case 'vessel':
      return select(names.vessels.map((v) => [v.id, v.name]));
    case 'hob':
      return select(names.hobs.map((h) => [h.id, h.name]));
    case 'pieces':
      return select(pieceOptions(value, names));
    case 'cost':
      return <CostField label={label} value={value} onSet={onSet} />;
    case 'matter':
    case 'ingredient':
      return (
        <MatterField kind={kind} label={label} names={names} value={value} missing={missing} onSet={onSet} />
      );
    case 'text':
      return (
        <Form.Group controlId={id}>
          <Form.Label>{label}</Form.Label>
          <Form.Control
            autoComplete="off"
            value={value}
            isInvalid={missing}
            placeholder={needed ? '' : texts.usual}
            onChange={(event) => onSet(event.target.value)}
          />
        </Form.Group>
      );
  }
}

/** How what goes on shares the cost: by its weight, or at a set value a kilo. */
function CostField({
  label,
  value,
  onSet,
}: Pick<FieldProps, 'value' | 'onSet'> & { readonly label: string }) {
  const id = useId();
  const cost = (value === '' ? { by: 'weight' } : JSON.parse(value)) as { by: string; perKg?: string };
  return (
    <Form.Group controlId={id}>
      <Form.Label>{label}</Form.Label>
      <Form.Select
        value={cost.by === 'credit' ? 'credit' : 'weight'}
        onChange={(event) =>
          onSet(
            JSON.stringify(event.target.value === 'credit' ? { by: 'credit', perKg: '0' } : { by: 'weight' }),
          )
        }
      >
        <option value="weight">{texts.shareWeight}</option>
        <option value="credit">{texts.setValuePerKilo}</option>
      </Form.Select>
      {cost.by === 'credit' && (
        <Form.Control
          className="mt-1"
          aria-label={texts.setValuePerKiloHeading}
          value={cost.perKg ?? ''}
          onChange={(event) => onSet(JSON.stringify({ by: 'credit', perKg: event.target.value }))}
        />
      )}
    </Form.Group>
  );
}

/** Something of the kitchen's: an ingredient, what is made here, what a last batch left, stock trim. */
function MatterField({
  kind,
  label,
  names,
  value,
  missing,
  onSet,
}: Omit<FieldProps, 'field'> & { readonly kind: 'matter' | 'ingredient'; readonly label: string }) {
  const things = useMemo(() => {
    const thing = (name: string, of: object) => ({ id: JSON.stringify(of), name });
    if (kind === 'ingredient') return names.ingredients.map(({ id, name }) => ({ id, name }));
    return [
      ...names.ingredients.map((i) => thing(i.name, { ingredient: i.id })),
      ...names.recipes.filter((r) => r.id !== names.self).map((r) => thing(r.name, { product: r.id })),
      ...(names.parts ?? []).map((p) =>
        thing(texts.partOf(p.part, names.recipes.find((r) => r.id === p.id)?.name ?? ''), {
          product: p.id,
          part: p.part,
        }),
      ),
      ...names.recipes.map((r) => thing(texts.lastBatch(r.name), { lastBatchOf: r.id })),
      ...names.ingredients.map((i) => thing(texts.stockTrim(i.name), { stockTrimOf: i.id })),
    ];
  }, [kind, names]);
  const find = useMemo(() => searcher(things), [things]);
  return (
    <div>
      <span className="form-label d-block">{label}</span>
      <Combo
        label={label}
        chosen={things.find((t) => t.id === value)}
        invalid={missing}
        find={(wanted) => find(wanted).slice(0, 40)}
        choose={(choice) => onSet(choice?.id ?? '')}
      />
    </div>
  );
}

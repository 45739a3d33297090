'use client';

import { memo, useCallback, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import type { WrittenTrial } from '@/core/kitchen-file';
import { Combo, type ComboOption } from '@/ui/forms/combo';
import { findTrialSubjects, partsToTry, currentValue } from '../actions';
import type { TraysPage } from '../queries';
import * as texts from './texts';

const KINDS = [
  ['price', texts.priceOneThing],
  ['group', texts.allPricesGroup],
  ['supplier', texts.allPricesSupplier],
  ['yield', texts.howMuchThingUsable],
  ['line', texts.linePotSuchReduction],
  ['portion', texts.portionDish],
  [texts.menuPrice, texts.priceMenu],
  ['school', texts.howTrimCosted],
  ['hands', texts.labourPerHour],
  ['energy', texts.whatEnergyCosts],
  ['ingredient', texts.oneIngredientPlaceAnother],
  ['recipe', texts.onePotPlaceAnother],
] as const;
type Kind = (typeof KINDS)[number][0];

/** What is looked for first for a kind; nothing where a trial is whole without. */
const FIRST: Readonly<Partial<Record<Kind, Parameters<typeof findTrialSubjects>[0]>>> = {
  price: 'bought',
  yield: 'bought',
  line: 'recipe',
  portion: 'plate',
  'menu price': 'plate',
  ingredient: 'ingredient',
  recipe: 'recipe',
};
const FIRST_WORDS: Readonly<Partial<Record<Kind, string>>> = {
  price: texts.whichThing,
  yield: texts.whichThing,
  line: texts.whichPot,
  portion: texts.whichDish,
  'menu price': texts.whichDishInline,
  ingredient: texts.insteadWhichIngredient,
  recipe: texts.insteadWhichPot,
};

interface Add {
  readonly page: TraysPage;
  readonly add: (trial: WrittenTrial) => void;
}

/** One more trial: what it is of is chosen, and it begins where things stand now. */
export const AddTrial = memo(function AnotherTrial({ page, add }: Add) {
  const [kind, setKind] = useState<Kind | ''>('');
  const done = (trial: WrittenTrial): void => {
    add(trial);
    setKind('');
  };
  return (
    <section className="tray-trial next-step" aria-label={texts.trySomething}>
      <Form.Select
        aria-label={texts.whatTry}
        value={kind}
        onChange={(e) => setKind(e.target.value as Kind | '')}
      >
        <option value="">{texts.trySomethingInline}</option>
        {KINDS.map(([id, words]) => (
          <option key={id} value={id}>
            {words}
          </option>
        ))}
      </Form.Select>
      {kind !== '' && <Of key={kind} kind={kind} page={page} done={done} />}
    </section>
  );
});

type Done = { readonly kind: Kind; readonly page: TraysPage; readonly done: (trial: WrittenTrial) => void };

/** What a trial of a kind is of. */
function Of({ kind, page, done }: Done) {
  if (kind === 'group')
    return (
      <OneOf
        label={texts.whichGroup}
        list={page.groups.map((g) => ({ id: g, name: g.replaceAll('-', ', ') }))}
        take={(group) => done({ of: 'group', group, times: 1.1 })}
      />
    );
  if (kind === 'supplier')
    return (
      <OneOf
        label={texts.whichSupplier}
        list={page.suppliers}
        take={(supplier) => done({ of: 'supplier', supplier, times: 1.1 })}
      />
    );
  if (kind === 'school' || kind === 'hands' || kind === 'energy')
    return (
      <Button
        className="mt-2"
        variant="plain"
        onClick={() =>
          done(
            kind === 'school' ? { of: 'school', school: 'weight' } : { of: 'layer', layer: kind, times: 1.1 },
          )
        }
      >
        {texts.addWhatIf}
      </Button>
    );
  return <OfThing kind={kind} page={page} done={done} />;
}

function OneOf({
  label,
  list,
  take,
}: {
  readonly label: string;
  readonly list: readonly ComboOption[];
  readonly take: (id: string) => void;
}) {
  return (
    <Form.Select
      className="mt-2"
      aria-label={label}
      value=""
      onChange={(e) => e.target.value && take(e.target.value)}
    >
      <option value="">{label.toLowerCase()} …</option>
      {list.map((x) => (
        <option key={x.id} value={x.id}>
          {x.name}
        </option>
      ))}
    </Form.Select>
  );
}

/** A thing, and where that is not all, which part of it or what in its place. */
function OfThing({ kind, done }: Done) {
  const [first, setFirst] = useState<ComboOption>();
  const [parts, setParts] = useState<Awaited<ReturnType<typeof partsToTry>>>();
  const of = FIRST[kind] ?? 'ingredient';
  const find = useCallback((words: string) => findTrialSubjects(of, words), [of]);
  const choose = (choice: ComboOption | undefined): void => {
    setFirst(choice);
    setParts(undefined);
    if (!choice) return;
    if (kind === 'price') return done({ of: 'price', ingredient: choice.id, times: 1.1 });
    if (kind === 'yield' || kind === 'menu price')
      return void beginNow(kind, choice.id).then((t) => t && done(t));
    if (kind === 'line' || kind === 'portion')
      void partsToTry(kind === 'line' ? 'recipe' : 'plate', choice.id).then((found) => setParts([...found]));
  };
  const part = (id: string): void => {
    const it = parts?.find((p) => p.id === id);
    if (!first || !it) return;
    done(
      kind === 'line'
        ? { of: 'line', recipe: first.id, step: id, says: it.now }
        : { of: 'portion', plate: first.id, line: id, amount: it.now },
    );
  };
  const instead = (choice: ComboOption | undefined): void => {
    if (first && choice && (kind === 'ingredient' || kind === 'recipe'))
      done({ of: 'instead', kind, from: first.id, to: choice.id });
  };
  return (
    <>
      <Combo
        className="mt-2"
        label={FIRST_WORDS[kind] ?? ''}
        placeholder={FIRST_WORDS[kind]}
        chosen={first}
        choose={choose}
        find={find}
      />
      {parts && (
        <OneOf label={kind === 'line' ? texts.whichLine : texts.whichPortions} list={parts} take={part} />
      )}
      {first && (kind === 'ingredient' || kind === 'recipe') && (
        <Combo
          className="mt-2"
          label={texts.whatPlace}
          placeholder={texts.whatPlace}
          chosen={undefined}
          choose={instead}
          find={find}
        />
      )}
    </>
  );
}

/** A trial that begins with what stands there now. */
async function beginNow(kind: 'yield' | 'menu price', id: string): Promise<WrittenTrial | undefined> {
  const now = await currentValue(kind, id);
  if (now === null) return undefined;
  return kind === 'yield'
    ? { of: 'yield', ingredient: id, usablePct: now }
    : { of: 'menu price', plate: id, price: now.toFixed(2) };
}

'use client';

import { useMemo, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { MODEL_LINES, VERBS, writeStep } from '@/core/verbs';
import type { Names } from '@/core/said';
import { useFormatters } from '@/ui/formatters-context';
import { SidePanel } from '@/ui/panels/side-panel';
import { TroubleText } from '@/ui/forms/trouble-text';
import { fieldsFrom, formsOf, stepFrom, verbWords, type StepKind, type StepFields } from '../../step-fields';
import { FieldOf } from './step-fields';
import { newLine, readLine, stepsOf, type SheetLine } from '../sheet/sheet-lines';
import type { useSheet } from '../sheet/use-sheet';
import * as texts from './texts';

type Sheet = ReturnType<typeof useSheet>;

const VERB_LIST = (Object.keys(VERBS) as StepKind[])
  .map((verb) => ({ verb, words: verbWords(verb) }))
  .sort((a, b) => a.words.localeCompare(b.words, 'en'));

/** What a usual line of a verb has in its fields, to begin with; things of the kitchen's own are left to be chosen. */
function usualOf(verb: StepKind, names: Names): StepFields {
  const line = MODEL_LINES[verb].find((l) => !l.includes('<')) ?? '';
  const read = readLine(line, names);
  if (read.ok) return fieldsFrom(read.value);
  return verb === 'thicken to' || verb === 'loosen to' ? { band: 'coating' } : {};
}

/** What stands in a form: the verb, which of its forms, and the fields; with the line they come to. */
function useForm(sheet: Sheet, line: string | undefined) {
  const { names } = sheet.known;
  const at = sheet.draft.lines.findIndex((l) => l.id === line);
  const was = at < 0 ? undefined : stepsOf(sheet.draft.lines, names)[at];
  const known = was && was.do !== 'unread' ? was : undefined;
  const [verb, setVerb] = useState<StepKind>(known?.do ?? 'add');
  const forms = useMemo(() => formsOf(verb, names), [verb, names]);
  const [filled, setFilled] = useState<StepFields>(() => (known ? fieldsFrom(known) : {}));
  const [form, setForm] = useState(() =>
    Math.max(
      0,
      forms.findIndex((f) => f.every((x) => !x.needed || filled[x.key])),
    ),
  );
  const fields = forms[form] ?? forms[0] ?? [];
  const step = stepFrom(verb, fields, filled);
  const text = step && writeStep(step, names);
  const choose = (next: StepKind): void => {
    setVerb(next);
    setForm(0);
    setFilled(usualOf(next, names));
  };
  const set = (key: string, value: string): void => setFilled({ ...filled, [key]: value });
  return { names, at, verb, choose, forms, form, setForm, fields, filled, set, text };
}

/** The lines with what a form comes to in its place, or before a portioning where it is new. */
function withText(lines: readonly SheetLine[], sheet: Sheet, at: number, text: string): SheetLine[] {
  const end = lines.length - (sheet.pot.steps.at(-1)?.do === 'portion' ? 1 : 0);
  return at < 0
    ? [...lines.slice(0, end), newLine(text), ...lines.slice(end)]
    : lines.map((l, i) => (i === at ? { ...l, text } : l));
}

interface Props {
  readonly sheet: Sheet;
  /** The line that is put in other words; a new one where there is none. */
  readonly line: string | undefined;
  readonly close: () => void;
}

/** A line as a form: what is done, chosen from a list, and its fields; with the line it comes to and what that makes of the pot. */
export function StepForm({ sheet, line, close }: Props) {
  const of = useForm(sheet, line);
  const { names, at, text } = of;
  const [asked, setAsked] = useState(false);
  const read = text === undefined ? undefined : readLine(text, names);
  const keep = (): void => {
    setAsked(true);
    if (text === undefined || !read?.ok) return;
    sheet.lines(withText(sheet.asItStands().lines, sheet, at, text));
    close();
  };
  const wrong =
    asked && text === undefined
      ? texts.somethingNeededNotFilled
      : read && !read.ok
        ? read.trouble.message
        : undefined;
  return (
    <SidePanel title={at < 0 ? texts.oneMoreLine : texts.line(at + 1)} open close={close}>
      <Form
        className="stacked"
        onSubmit={(event) => {
          event.preventDefault();
          keep();
        }}
      >
        <VerbOf of={of} />
        {of.fields.map((field) => (
          <FieldOf
            key={`${of.verb} ${field.key}`}
            field={field}
            names={names}
            value={of.filled[field.key] ?? ''}
            missing={asked && field.needed && field.kind !== 'yes' && !of.filled[field.key]}
            onSet={(value) => of.set(field.key, value)}
          />
        ))}
        <Consequence sheet={sheet} at={at} text={text} />
        <TroubleText says={wrong} />
        <Button type="submit">{at < 0 ? texts.addStep : texts.saveStep}</Button>
      </Form>
    </SidePanel>
  );
}

/** What is done, and where that is said in more than one form, which. */
function VerbOf({ of }: { readonly of: ReturnType<typeof useForm> }) {
  return (
    <>
      <Form.Group controlId="form-verb">
        <Form.Label>{texts.whatDone}</Form.Label>
        <Form.Select value={of.verb} onChange={(event) => of.choose(event.target.value as StepKind)}>
          {VERB_LIST.map((v) => (
            <option key={v.verb} value={v.verb}>
              {v.words}
            </option>
          ))}
        </Form.Select>
      </Form.Group>
      {of.forms.length > 1 && (
        <Form.Select
          aria-label={texts.step}
          value={of.form}
          onChange={(event) => of.setForm(Number(event.target.value))}
        >
          {of.forms.map((f, i) => (
            <option key={f.map((x) => x.key).join(' ')} value={i}>
              {f
                .filter((x) => x.needed)
                .map((x) => x.label)
                .join(', ')}
            </option>
          ))}
        </Form.Select>
      )}
    </>
  );
}

/** The line that the fields come to, and what the pot would be with it. */
function Consequence({
  sheet,
  at,
  text,
}: {
  readonly sheet: Sheet;
  readonly at: number;
  readonly text: string | undefined;
}) {
  const { litres, money } = useFormatters();
  const next = useMemo(
    () =>
      text === undefined
        ? undefined
        : sheet.run({ ...sheet.draft, lines: withText(sheet.draft.lines, sheet, at, text) }),
    [text, sheet, at],
  );
  if (text === undefined || !next) return <p className="quiet">{texts.finishedLineAppearsHere}</p>;
  const perL = next.money.at(-1)?.perL;
  return (
    <p role="status" className="m-0">
      <b>“{text}”</b>
      <span className="quiet">
        {next.refusedAt !== undefined
          ? texts.stepCouldNotDone(next.refusedAt + 1)
          : next.run.product
            ? `: ${litres(next.run.product.ml)}${perL === null || perL === undefined ? '' : texts.perLitre(money(perL))}`
            : ''}
      </span>
    </p>
  );
}

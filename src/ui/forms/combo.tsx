'use client';

import { useCombobox } from 'downshift';
import { useId, useRef, useState, type Ref } from 'react';
import { flushSync } from 'react-dom';
import Form from 'react-bootstrap/Form';
import * as texts from './texts';

/** Something that can be chosen by its name. */
export interface ComboOption {
  readonly id: string;
  readonly name: string;
  /** A word more about it, beside the name. */
  readonly says?: string | undefined;
}

interface Props<C extends ComboOption> {
  readonly label: string;
  readonly placeholder?: string | undefined;
  readonly chosen: C | undefined;
  readonly choose: (choice: C | undefined) => void;
  /** What fits some words, best first, at once or when the server has answered; the same function each time. */
  readonly find: (wanted: string) => readonly C[] | Promise<readonly C[]>;
  /** Offered under whatever was found. */
  readonly also?: readonly C[] | undefined;
  readonly invalid?: boolean | undefined;
  readonly describedBy?: string | undefined;
  readonly disabled?: boolean | undefined;
  readonly size?: 'sm' | undefined;
  readonly className?: string | undefined;
  readonly inputRef?: Ref<HTMLInputElement> | undefined;
}

/**
 * One thing out of many, by any of its words, misspelled too. Enter, and leaving the field, take what is marked; what was typed before
 * anybody answered is never taken for something else.
 */
export function Combo<C extends ComboOption>(props: Props<C>) {
  const { label, placeholder, invalid, describedBy, disabled, size, className = '', inputRef } = props;
  const box = useChoosing(props);
  const none = useId();
  return (
    <div className={`dropdown ${className}`}>
      <Form.Control
        size={size}
        className={size ? 'form-select form-select-sm' : 'form-select'}
        isInvalid={invalid || box.unknown}
        disabled={disabled}
        placeholder={placeholder}
        {...box.getInputProps({
          ref: inputRef,
          // At once: what is told of later would put back what somebody typing fast has gone beyond.
          onChange: (event) => box.type(event.currentTarget.value),
          onBlur: (event) => box.taken(event.currentTarget as HTMLInputElement, 'leaving'),
          onKeyDown: (event) => {
            if (event.key === 'Escape') box.takeBack();
            if (event.key !== 'Enter' || !box.isOpen) return;
            event.preventDefault();
            box.taken(event.currentTarget as HTMLInputElement, 'enter');
          },
          'aria-label': label,
          'aria-describedby': box.unknown ? none : describedBy,
          autoComplete: 'off',
        })}
      />
      <ul
        {...box.getMenuProps({ 'aria-label': texts.whatFits })}
        className={`dropdown-menu${box.isOpen ? ' show' : ''}`}
      >
        {box.isOpen &&
          box.items.map((choice, i) => (
            <li
              key={choice.id}
              {...box.getItemProps({ item: choice, index: i })}
              className={`dropdown-item${box.highlightedIndex === i ? ' active' : ''}`}
            >
              {choice.name}
              {choice.says && <span className="small-line ms-2">{choice.says}</span>}
            </li>
          ))}
        {box.isOpen && box.items.length === 0 && (
          <li className="dropdown-item disabled">{box.waiting ? texts.looking : texts.nothingHereCalled}</li>
        )}
      </ul>
      {box.unknown && (
        <span id={none} role="alert" className="trouble">
          {texts.nothingHereCalledInputValue(box.inputValue)}
        </span>
      )}
    </div>
  );
}

/** What was asked for last, what came of it, and whether somebody has said that the best of it is meant before it came. */
interface Asking<C> {
  wanted: string;
  answered: boolean;
  meant: boolean;
  items: readonly C[];
  /** Lets the form go that waits for the answer: sends it, if somebody wanted that meanwhile and still does. */
  release?: (send: boolean) => void;
}

/** Looks for what is typed; an answer that comes late is dropped. */
function useLooking<C extends ComboOption>(
  { find, also = [] }: Pick<Props<C>, 'find' | 'also'>,
  take: (best: C | undefined, wanted: string) => void,
) {
  const [items, setItems] = useState<readonly C[]>([]);
  const [waiting, setWaiting] = useState(false);
  const asking = useRef<Asking<C>>({ wanted: '', answered: false, meant: false, items: [] });
  const show = (wanted: string, found: readonly C[]): void => {
    const now = asking.current;
    if (now.wanted !== wanted) return;
    const best = bestFirst(found, wanted);
    Object.assign(now, { answered: true, items: [...best, ...also] });
    setItems(now.items);
    setWaiting(false);
    if (!now.meant) return;
    now.meant = false;
    // At once, so that a form that has waited for it is sent with it.
    flushSync(() => take(best[0], wanted));
    now.release?.(true);
  };
  const look = (wanted: string): void => {
    asking.current.release?.(false);
    asking.current = { wanted, answered: false, meant: false, items: [] };
    const now = asking.current;
    const found = find(wanted);
    if (!(found instanceof Promise)) return show(wanted, found);
    setWaiting(true);
    void found.then(
      (all) => show(wanted, all),
      () => {
        setWaiting(false);
        now.release?.(true);
      },
    );
  };
  /** What was found for some words; where nobody has answered yet, the best of it is taken when they do. */
  const foundFor = (typed: string, form: HTMLFormElement | null): readonly C[] | undefined => {
    const now = asking.current;
    if (now.answered && now.wanted === typed) return now.items;
    // What is called just so and stands there already is no guess, though the last letters have not been answered yet.
    const called = bestFirst(items, typed)[0];
    if (called && isCalled(called, typed)) return [called];
    now.meant = now.wanted === typed;
    if (now.meant && form) now.release ??= held(form);
    return undefined;
  };
  const offered = (): readonly C[] => asking.current.items;
  return { items, waiting, look, foundFor, offered };
}

const { InputChange, InputBlur, InputKeyDownEnter, InputKeyDownEscape, ItemClick } =
  useCombobox.stateChangeTypes;
const { ControlledPropUpdatedSelectedItem } = useCombobox.stateChangeTypes;
/** What is taken by these is decided by ourselves: the list that is drawn may still be that of a letter before. */
const OURS: ReadonlySet<string> = new Set([InputBlur, InputKeyDownEnter, InputKeyDownEscape]);

/** Keeps a form from being sent until it is let go. */
function held(form: HTMLFormElement): (send: boolean) => void {
  let again = false;
  const stop = (event: Event): void => {
    event.preventDefault();
    event.stopPropagation();
    again = true;
  };
  form.addEventListener('submit', stop);
  return (send) => {
    form.removeEventListener('submit', stop);
    if (again && send) form.requestSubmit();
    again = false;
  };
}

const BY_NAME = {
  itemToString: (choice: ComboOption | null) => choice?.name ?? '',
  itemToKey: (choice: ComboOption | null) => choice?.id ?? '',
};

/** What stands in the box, what is offered for it, and what is taken on leaving it. */
function useChoosing<C extends ComboOption>(props: Props<C>) {
  const { chosen, choose, also = [] } = props;
  const [left, setLeft] = useState<string>();
  const [text, setText] = useState(chosen?.name ?? '');
  /** What was left standing there because nothing is called so stays, though nothing is chosen any more. */
  const stays = (next: string | undefined): boolean => left !== undefined && next === '';
  const take = (choice: C | undefined, typed: string): void => {
    setLeft(choice ? undefined : typed);
    if (choice?.id !== chosen?.id) choose(choice);
    if (choice) setText(choice.name);
  };
  const { look, foundFor, offered, ...list } = useLooking(props, take);
  const box = useCombobox<C>({
    ...{ ...BY_NAME, items: [...list.items], inputValue: text },
    selectedItem: chosen ?? null,
    defaultHighlightedIndex: 0,
    stateReducer: ({ selectedItem, inputValue }, { type, changes }) =>
      OURS.has(type) ? { ...changes, selectedItem, inputValue } : changes,
    onInputValueChange: ({ inputValue, type }) => {
      if (type === ItemClick || (type === ControlledPropUpdatedSelectedItem && !stays(inputValue)))
        setText(inputValue ?? '');
    },
    onIsOpenChange: ({ isOpen, type }) => {
      // Opened to look around: everything is offered, not only what is chosen.
      if (isOpen && type !== InputChange) look(text === chosen?.name ? '' : text);
    },
    onSelectedItemChange: ({ selectedItem, type }) => {
      // Told of a leaving it would be what was chosen before that.
      if (type !== ItemClick) return;
      setLeft(undefined);
      choose(selectedItem ?? undefined);
    },
  });
  const type = (typed: string): void => {
    setText(typed);
    setLeft(undefined);
    look(typed);
    if (typed === '' && chosen) choose(undefined);
  };
  const marked = (of: readonly C[]): C | undefined => of[Math.max(0, box.highlightedIndex)] ?? of[0];
  const taken = ({ value: typed, form }: HTMLInputElement, by: 'enter' | 'leaving'): void => {
    if (typed.trim() === '' || typed === chosen?.name) {
      const found = by === 'enter' ? marked(offered()) : undefined;
      return found ? take(found, typed) : setText(chosen?.name ?? '');
    }
    const found = foundFor(typed, form);
    if (!found) return;
    // What is always offered is no answer to what was typed, unless it is pointed at.
    take(by === 'leaving' && found.every((c) => also.includes(c)) ? undefined : marked(found), typed);
  };
  return {
    ...box,
    ...list,
    type,
    taken,
    takeBack: () => setText(chosen?.name ?? ''),
    unknown: left !== undefined && left === text && left.trim() !== '',
  };
}

const isCalled = (choice: ComboOption, wanted: string): boolean =>
  choice.name.toLowerCase() === wanted.trim().toLowerCase();

/** What is called just so comes first. */
function bestFirst<C extends ComboOption>(found: readonly C[], wanted: string): C[] {
  const at = found.findIndex((c) => isCalled(c, wanted));
  const exact = found[at];
  return exact ? [exact, ...found.filter((_, i) => i !== at)] : [...found];
}

'use client';

import { useCombobox, type UseComboboxState, type UseComboboxStateChangeOptions } from 'downshift';
import { useId, useRef, useState, type Ref } from 'react';
import Form from 'react-bootstrap/Form';

/** Something that can be chosen by its name. */
export interface Choice {
  readonly id: string;
  readonly name: string;
  /** A word more about it, beside the name. */
  readonly says?: string | undefined;
}

interface Props<C extends Choice> {
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
export function Combo<C extends Choice>(props: Props<C>) {
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
          'aria-label': label,
          'aria-describedby': box.unknown ? none : describedBy,
          autoComplete: 'off',
        })}
      />
      <ul
        {...box.getMenuProps({ 'aria-label': 'What fits' })}
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
          <li className="dropdown-item disabled">
            {box.waiting ? 'Looking …' : 'Nothing here is called that.'}
          </li>
        )}
      </ul>
      {box.unknown && (
        <span id={none} role="alert" className="trouble">
          Nothing here is called “{box.inputValue}”.
        </span>
      )}
    </div>
  );
}

/** What was asked for last, and whether somebody has said that the best of it is meant before it came. */
interface Asking {
  wanted: string;
  meant: boolean;
}

/** Looks for what is typed; an answer that comes late is dropped. */
function useLooking<C extends Choice>(
  { find, also = [] }: Pick<Props<C>, 'find' | 'also'>,
  take: (best: C | undefined, wanted: string) => void,
) {
  const [items, setItems] = useState<readonly C[]>([]);
  const [answered, setAnswered] = useState<string>();
  const asking = useRef<Asking>({ wanted: '', meant: false });
  const show = (wanted: string, found: readonly C[]): void => {
    if (asking.current.wanted !== wanted) return;
    const best = bestFirst(found, wanted);
    setItems([...best, ...also]);
    setAnswered(wanted);
    if (!asking.current.meant) return;
    asking.current.meant = false;
    take(best[0], wanted);
  };
  const look = (wanted: string): void => {
    asking.current = { wanted, meant: false };
    const found = find(wanted);
    if (found instanceof Promise)
      void found.then(
        (all) => show(wanted, all),
        () => undefined,
      );
    else show(wanted, found);
  };
  return { items, answered, asking, look, nothing: items.length === also.length };
}

/** What stands in the box, what is offered for it, and what is taken on leaving it. */
function useChoosing<C extends Choice>(props: Props<C>) {
  const { chosen, choose } = props;
  const [left, setLeft] = useState<string>();
  const [text, setText] = useState(chosen?.name ?? '');
  const take = (choice: C | undefined, typed: string): void => {
    setLeft(choice ? undefined : typed);
    choose(choice);
    if (choice) setText(choice.name);
  };
  const { items, answered, asking, look, nothing } = useLooking(props, take);
  const { InputChange, InputBlur } = useCombobox.stateChangeTypes;
  const box = useCombobox<C>({
    items: [...items],
    inputValue: text,
    itemToString: (choice) => choice?.name ?? '',
    itemToKey: (choice) => choice?.id ?? '',
    selectedItem: chosen ?? null,
    defaultHighlightedIndex: 0,
    stateReducer: (state, action) => reduced(state, action, { chosen, answered, asking: asking.current }),
    onInputValueChange: ({ inputValue, type }) => {
      setText(inputValue ?? '');
      if (type !== InputChange) return;
      setLeft(undefined);
      look(inputValue ?? '');
      if (!inputValue && chosen) choose(undefined);
    },
    onIsOpenChange: ({ isOpen, type, inputValue }) => {
      // Opened to look around: everything is offered, not only what is chosen.
      if (isOpen && type !== InputChange) look(inputValue === chosen?.name ? '' : (inputValue ?? ''));
    },
    onSelectedItemChange: ({ selectedItem }) => {
      setLeft(undefined);
      choose(selectedItem ?? undefined);
    },
    onStateChange: ({ type, inputValue }) => {
      const typed = inputValue ?? text;
      if (
        type === InputBlur &&
        typed.trim() !== '' &&
        typed !== chosen?.name &&
        nothing &&
        answered === typed
      )
        take(undefined, typed);
    },
  });
  return {
    ...box,
    type: setText,
    items,
    waiting: answered !== text,
    unknown: left !== undefined && left === text && left.trim() !== '',
  };
}

/** What is called just so comes first. */
function bestFirst<C extends Choice>(found: readonly C[], wanted: string): C[] {
  const plain = wanted.trim().toLowerCase();
  const at = found.findIndex((c) => c.name.toLowerCase() === plain);
  const exact = found[at];
  return exact ? [exact, ...found.filter((_, i) => i !== at)] : [...found];
}

interface Known<C> {
  readonly chosen: C | undefined;
  readonly answered: string | undefined;
  readonly asking: Asking;
}

/** Enter or leaving before there is an answer waits for it; passing through an open list takes nothing. */
function reduced<C extends Choice>(
  state: UseComboboxState<C>,
  { type, changes }: UseComboboxStateChangeOptions<C>,
  { chosen, answered, asking }: Known<C>,
): Partial<UseComboboxState<C>> {
  const { InputBlur, InputKeyDownEnter, InputKeyDownEscape } = useCombobox.stateChangeTypes;
  if (type === InputKeyDownEscape)
    return { ...changes, selectedItem: state.selectedItem, inputValue: chosen?.name ?? '' };
  if (type !== InputBlur && type !== InputKeyDownEnter) return changes;
  const stays = { ...changes, selectedItem: state.selectedItem, inputValue: state.inputValue };
  const typed = state.inputValue;
  if (type === InputBlur && (typed.trim() === '' || typed === chosen?.name))
    return { ...stays, inputValue: chosen?.name ?? '' };
  if (typed !== chosen?.name && typed.trim() !== '' && answered !== typed && asking.wanted === typed) {
    asking.meant = true;
    return stays;
  }
  return changes;
}

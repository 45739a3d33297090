'use client';

import { Search } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState } from 'react';
import Button from 'react-bootstrap/Button';
import { useHotkeys } from 'react-hotkeys-hook';
import { Combo } from '@/ui/forms/combo';
import { SidePanel } from '@/ui/panels/side-panel';
import { leaveGuarded } from '@/ui/frame/unsaved-changes';
import { findAnything } from '../actions';
import type { SearchResult } from '../search-everything';
import * as texts from './texts';

/** Goes anywhere by any of its words, misspelled too: one key, from every screen. */
export function GoTo() {
  const [open, setOpen] = useState(false);
  const router = useRouter();
  const show = (event: KeyboardEvent): void => {
    event.preventDefault();
    setOpen(true);
  };
  // By what the key writes, wherever it lies on the keyboard.
  useHotkeys('/', show, { useKey: true, ignoreModifiers: true });
  useHotkeys('mod+k', show);
  const go = (place: SearchResult | undefined): void => {
    if (!place) return;
    setOpen(false);
    leaveGuarded(() => router.push(place.id));
  };
  return (
    <>
      <Button
        variant="outline-light"
        size="sm"
        title={texts.findAnythingGo}
        aria-keyshortcuts={texts.controlK}
        onClick={() => setOpen(true)}
      >
        <Search size={15} aria-hidden="true" /> {texts.find}
      </Button>
      {open && (
        <SidePanel title={texts.findGo} open close={() => setOpen(false)}>
          <Looking go={go} />
        </SidePanel>
      )}
    </>
  );
}

function Looking({ go }: { readonly go: (place: SearchResult | undefined) => void }) {
  const field = useRef<HTMLInputElement>(null);
  // The panel takes the focus when it has come in; the field is what is wanted.
  useEffect(() => {
    const soon = setTimeout(() => field.current?.focus(), 350);
    return () => clearTimeout(soon);
  }, []);
  return (
    <Combo
      label={texts.findAnything}
      placeholder={texts.potDishIngredientInvoice}
      chosen={undefined}
      choose={go}
      find={findAnything}
      inputRef={field}
    />
  );
}

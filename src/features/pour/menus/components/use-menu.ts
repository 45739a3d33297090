import { useEffect, useMemo, useRef, useState } from 'react';
import { menuMix } from '@/core/costing';
import { readNumber } from '@/core/quantity';
import { useKept } from '@/ui/use-kept';
import type { MenusPage } from '../queries';
import { keepMenu, type MenuTyped } from '../wire';

type Menu = NonNullable<MenusPage['menu']>;

/** A menu as it is typed: what it costs follows at every key, and it is kept when a field is left. */
export function useMenu(menu: Menu, mark: MenusPage['mark']) {
  const [typed, setTyped] = useState(menu.typed);
  const version = useRef(menu.version);
  // Read anew after something was kept, here or elsewhere.
  const [read, setRead] = useState(menu);
  if (read.version !== menu.version) {
    setRead(menu);
    setTyped(menu.typed);
  }
  useEffect(() => {
    version.current = Math.max(version.current, menu.version);
  }, [menu.version]);
  const [keep, state] = useKept();
  const put = (next: MenuTyped): Promise<boolean> => {
    setTyped(next);
    return keep(async (seen) => {
      const answer = await keepMenu({ id: menu.id, seen: seen ?? version.current, ...next });
      if (answer.ok) version.current = answer.version ?? version.current;
      return answer;
    });
  };
  const sold = useMemo(() => new Map(typed.plates.map((p) => [p.plate, p.sold])), [typed]);
  const read1 = (text: string) => (text.trim() === '' ? undefined : readNumber(text, mark));
  const mix = menuMix(
    typed.mixIn,
    menu.plates.map((p) => {
      const number = read1(sold.get(p.id) ?? '');
      return { ...p, sold: number?.ok ? number.value.toNumber() : undefined };
    }),
  );
  const withSold = (id: string, text: string): MenuTyped => ({
    ...typed,
    plates: typed.plates.map((p) => (p.plate === id ? { ...p, sold: text } : p)),
  });
  return {
    typed,
    opened: menu.typed,
    mix,
    state,
    put,
    version: (): number => version.current,
    /** Takes note of what has been kept of it elsewhere on the page. */
    keptAs: (kept: number | null): void => {
      version.current = Math.max(version.current, kept ?? 0);
    },
    troubleOf: (id: string): string | undefined => {
      const number = read1(sold.get(id) ?? '');
      return number && !number.ok ? number.trouble.message : undefined;
    },
    typeSold: (id: string, text: string) => setTyped(withSold(id, text)),
    /** What is no number stands typed with its sentence and goes nowhere. */
    keepSold: (id: string, text: string): void => {
      const next = withSold(id, text);
      if (next.plates.every((p) => read1(p.sold)?.ok !== false)) void put(next);
      else setTyped(next);
    },
    add: (id: string) => put({ ...typed, plates: [...typed.plates, { plate: id, sold: '' }] }),
    remove: (id: string) => put({ ...typed, plates: typed.plates.filter((p) => p.plate !== id) }),
  };
}

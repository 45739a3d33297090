import { useEffect, useMemo, useRef, useState } from 'react';
import { menuMix } from '@/core/costing';
import { readNumber } from '@/core/quantity';
import { useStaleGuard } from '@/ui/hooks/use-stale-guard';
import { useSave } from '@/ui/forms/use-save';
import type { MenusPage } from '../queries';
import { saveMenu } from '../send';
import { type MenuTyped } from '../wire';

type Menu = NonNullable<MenusPage['menu']>;

/** A menu with what is typed over it. */
const over = (menu: MenuTyped, texts: ReadonlyMap<string, string>): MenuTyped => ({
  ...menu,
  plates: menu.plates.map((p) => ({ ...p, sold: texts.get(p.plate) ?? p.sold })),
});

/** A menu as it is typed: what it costs follows at every key, and it is kept when a field is left. */
export function useMenu(menu: Menu, mark: MenusPage['mark']) {
  const [sent, setSent] = useState(menu.typed);
  /** What stands typed and has gone nowhere yet: it stays when the menu is read again. */
  const [texts, setTexts] = useState<ReadonlyMap<string, string>>(new Map());
  const { send, state, version, keptAs, isNew } = useKeepMenu(menu);
  // Read again after something was kept, here or elsewhere.
  const [read, setRead] = useState(menu);
  if (read.version !== menu.version) {
    setRead(menu);
    if (isNew(menu.version)) setSent(menu.typed);
  }
  const numberOf = (text: string) => (text.trim() === '' ? undefined : readNumber(text, mark));
  const readable = ([, text]: readonly [string, string]): boolean => numberOf(text)?.ok !== false;
  const typed = useMemo(() => over(sent, texts), [sent, texts]);
  const sold = useMemo(() => new Map(typed.plates.map((p) => [p.plate, p.sold])), [typed]);
  /** Sends a menu with what is typed over it, but for what is no number: that stands typed, with its sentence. */
  const put = (next: MenuTyped, typedOver = texts): Promise<boolean> => {
    const [good, bad] = [[...typedOver].filter(readable), [...typedOver].filter((t) => !readable(t))];
    const whole = over(next, new Map(good));
    setSent(whole);
    setTexts(new Map(bad));
    return send(whole);
  };
  const soldOf = (id: string): number | undefined => {
    const number = numberOf(sold.get(id) ?? '');
    return number?.ok ? number.value.toNumber() : undefined;
  };
  return {
    typed,
    opened: menu.typed,
    mix: menuMix(
      typed.mixIn,
      menu.plates.map((p) => ({ ...p, sold: soldOf(p.id) })),
    ),
    state,
    put: (change: Partial<Pick<MenuTyped, 'mixIn'>>) => put({ ...sent, ...change }),
    version,
    keptAs,
    troubleOf: (id: string): string | undefined => {
      const number = numberOf(sold.get(id) ?? '');
      return number && !number.ok ? number.trouble.message : undefined;
    },
    typeSold: (id: string, text: string) => setTexts((all) => new Map(all).set(id, text)),
    keepSold: (id: string, text: string): void => {
      const all = new Map(texts).set(id, text);
      if (readable([id, text])) void put(sent, all);
      else setTexts(all);
    },
    add: (id: string) => put({ ...sent, plates: [...sent.plates, { plate: id, sold: '' }] }),
    remove: (id: string) => put({ ...sent, plates: sent.plates.filter((p) => p.plate !== id) }),
  };
}

/** Keeps a menu, at the version that is on the screen. */
function useKeepMenu(menu: Menu) {
  const version = useRef(menu.version);
  useEffect(() => {
    version.current = Math.max(version.current, menu.version);
  }, [menu.version]);
  const [keep, state] = useSave();
  const { isNew, sent, kept } = useStaleGuard();
  return {
    state,
    isNew,
    send: (whole: MenuTyped): Promise<boolean> =>
      keep(async (seen) => {
        sent();
        const answer = await saveMenu({ id: menu.id, seen: seen ?? version.current, ...whole });
        if (answer.ok) version.current = answer.version ?? version.current;
        kept(answer.ok ? answer.version : null);
        return answer;
      }),
    version: (): number => version.current,
    /** Takes note of what has been kept of it elsewhere on the page. */
    keptAs: (at: number | null): void => {
      version.current = Math.max(version.current, at ?? 0);
    },
  };
}

import { useCallback, useDeferredValue, useEffect, useMemo, useRef, useState } from 'react';
import { CostGraph } from '@/core/graph';
import { menuMix } from '@/core/costing';
import type { WrittenTrial } from '@/core/kitchen-file';
import { mannerOf } from '@/core/quantity';
import { sliderPlates } from '@/core/trials';
import { useStaleGuard } from '@/ui/hooks/use-stale-guard';
import { useSave } from '@/ui/forms/use-save';
import { answerTray } from '../actions';
import type { TrayAnswer, TrayPlate, TraysPage } from '../queries';
import { saveTray } from '../send';

/** ms that the hand must rest before a tray is kept, and before what runs pots is worked out. */
const KEEP_MS = 500;
const WORK_MS = 150;

/** What of trials cannot be answered here while they slide: another answer is needed where it is another. */
const workedOut = (trials: readonly WrittenTrial[], answer: TrayAnswer): string =>
  JSON.stringify(
    trials.map((t, i) => {
      if (!answer.said[i]?.slides) return t;
      const { of } = t;
      return of === 'price' || of === 'yield'
        ? [of, t.ingredient]
        : of === 'group'
          ? [of, t.group]
          : of === 'supplier'
            ? [of, t.supplier]
            : of === 'portion'
              ? [of, t.plate, t.line]
              : of === 'menu price'
                ? [of, t.plate]
                : t;
    }),
  );

/** A plate before the trials and with them. */
export interface TrialsShown extends TrayPlate {
  readonly then: number | null;
  readonly priceThen: number | undefined;
  readonly pctNow: number | null;
  readonly pctThen: number | null;
  readonly over: boolean;
  /** It kept its target before, and does not any more. */
  readonly breaks: boolean;
}

const pctOf = (cost: number | null, price: number | undefined, taxPct: number): number | null =>
  cost === null || price === undefined || price === 0 ? null : (cost / (price / (1 + taxPct / 100))) * 100;

/** Plates with the trials, those that break their target first, then by how far they move. */
function triedPlates(
  answer: TrayAnswer,
  graph: CostGraph,
  trials: readonly WrittenTrial[],
  page: Pick<TraysPage, 'mark' | 'measures'>,
): TrialsShown[] {
  const manner = mannerOf(page.mark, page.measures);
  const all = sliderPlates(answer.plates, answer.slid, graph, trials, manner).map((p): TrialsShown => {
    const pctNow = pctOf(p.now, p.menuPrice, p.taxPct);
    const pctThen = pctOf(p.then, p.priceThen, p.taxPct);
    const over = p.target !== undefined && pctThen !== null && pctThen > p.target;
    const wasOver = p.target !== undefined && pctNow !== null && pctNow > p.target;
    return { ...p, pctNow, pctThen, over, breaks: over && !wasOver };
  });
  const moved = (p: TrialsShown): number => Math.abs((p.then ?? 0) - (p.now ?? 0));
  const rank = (p: TrialsShown): number => (p.lost !== undefined ? 0 : p.breaks ? 1 : p.over ? 2 : 3);
  return all.sort((a, b) => rank(a) - rank(b) || moved(b) - moved(a));
}

/** Menus before and with the trials: % of food cost, where a menu's mix is known. */
function triedMenus(answer: TrayAnswer, tried: readonly TrialsShown[]) {
  const byId = new Map(tried.map((p) => [p.id, p]));
  return answer.menus.map((menu) => {
    const mix = (then: boolean) =>
      menuMix(
        menu.mixIn,
        menu.plates.flatMap(({ plate, sold }) => {
          const p = byId.get(plate);
          if (!p) return [];
          const price = then ? p.priceThen : p.menuPrice;
          const net = price === undefined ? null : price / (1 + p.taxPct / 100);
          return [{ id: plate, name: p.name, cost: then ? p.then : p.now, net, target: p.target, sold }];
        }),
      ).foodCostPct;
    return { id: menu.id, name: menu.name, now: mix(false), then: mix(true) };
  });
}

/** A tray on the screen: every trial answers while it moves, and is kept when the hand rests. */
export function useTray(tray: NonNullable<TraysPage['tray']>, first: TrayAnswer, page: TraysPage) {
  const [typed, setTyped] = useState<{ name: string; trials: readonly WrittenTrial[] }>(tray);
  const [answer, setAnswer] = useState(first);
  /** What the answer that stands here was worked out for. */
  const [answered, setAnswered] = useState<readonly WrittenTrial[]>(tray.trials);
  const [read, setRead] = useState(tray);
  const { settle, dirty, isNew, ...keeping } = useKeepTray(tray, typed, page.mayEdit);
  // Read again after somebody else has changed it, or it was taken back: theirs stands, unless something is being typed.
  if (read.version !== tray.version) {
    setRead(tray);
    const takes = isNew(tray.version);
    if (takes) settle(tray.trials);
    if (takes && !dirty) {
      setTyped(tray);
      setAnswer(first);
      setAnswered(tray.trials);
    }
  }
  const wanted = workedOut(typed.trials, answer);
  const stale = typed.trials.length !== answered.length || wanted !== workedOut(answered, answer);
  useWorkedOut(stale, wanted, typed.trials, (next, asked) => {
    setAnswer(next);
    setAnswered(asked);
  });
  const graph = useMemo(() => {
    const made = new CostGraph(answer.slid.graph);
    made.set(answer.slid.prices);
    return made;
  }, [answer]);
  // Until what was added has been worked out, what was answered last stands.
  const shown = stale ? answered : typed.trials;
  // The slider is drawn where the hand has it at once; what it does follows as soon as nothing more urgent is to be drawn.
  const drawn = useDeferredValue(shown);
  const plates = useMemo(() => triedPlates(answer, graph, drawn, page), [answer, graph, drawn, page]);
  const change = useCallback((make: (trials: readonly WrittenTrial[]) => readonly WrittenTrial[]): void => {
    setTyped((was) => ({ ...was, trials: make(was.trials) }));
  }, []);
  return {
    typed,
    answer,
    working: stale,
    plates,
    menus: useMemo(() => triedMenus(answer, plates), [answer, plates]),
    said: answer.said,
    set: useCallback(
      (i: number, trial: WrittenTrial): void => change((all) => all.map((t, j) => (j === i ? trial : t))),
      [change],
    ),
    add: useCallback((trial: WrittenTrial): void => change((all) => [...all, trial]), [change]),
    remove: useCallback((i: number): void => change((all) => all.filter((_, j) => j !== i)), [change]),
    ...keeping,
  };
}

/** Has what runs pots worked out when the hand has rested; what slides asks nothing. */
function useWorkedOut(
  stale: boolean,
  wanted: string,
  trials: readonly WrittenTrial[],
  came: (answer: TrayAnswer, of: readonly WrittenTrial[]) => void,
): void {
  const latest = useRef({ trials, came });
  useEffect(() => {
    latest.current = { trials, came };
  });
  useEffect(() => {
    if (!stale) return;
    let dropped = false;
    const after = setTimeout(() => {
      const asked = latest.current.trials;
      void answerTray([...asked]).then((next) => {
        if (!dropped && next) latest.current.came(next, asked);
      });
    }, WORK_MS);
    return () => {
      dropped = true;
      clearTimeout(after);
    };
  }, [stale, wanted]);
}

/** Keeps a tray when the hand has rested, at the version that is on the screen. */
function useKeepTray(
  tray: NonNullable<TraysPage['tray']>,
  typed: { readonly name: string; readonly trials: readonly WrittenTrial[] },
  mayEdit: boolean,
) {
  const version = useRef(tray.version);
  /** What has been sent last, or is kept. */
  const [sent, setSent] = useState(() => JSON.stringify(tray.trials));
  const [keep, state] = useSave();
  const { isNew, sent: ahead, kept } = useStaleGuard();
  useEffect(() => {
    version.current = Math.max(version.current, tray.version);
  }, [tray.version]);
  const now = JSON.stringify(typed.trials);
  const send = useCallback(
    (trials: readonly WrittenTrial[]): Promise<boolean> => {
      setSent(JSON.stringify(trials));
      return keep(async (seen) => {
        ahead();
        const answer = await saveTray({
          id: tray.id,
          name: tray.name,
          trials: [...trials],
          seen: Math.max(seen ?? 0, version.current),
        });
        if (answer.ok) version.current = answer.version ?? version.current;
        kept(answer.ok ? answer.version : null);
        return answer;
      });
    },
    [keep, ahead, kept, tray.id, tray.name],
  );
  const sending = useRef(send);
  useEffect(() => {
    sending.current = send;
  }, [send]);
  useEffect(() => {
    if (!mayEdit || now === sent) return;
    const after = setTimeout(() => void sending.current(JSON.parse(now) as WrittenTrial[]), KEEP_MS);
    return () => clearTimeout(after);
  }, [now, sent, mayEdit]);
  return {
    state,
    isNew,
    version: (): number => version.current,
    keptAs: (at: number | null): void => {
      version.current = Math.max(version.current, at ?? 0);
    },
    /** Keeps at once what stands on the tray, for anyone who is about to apply it. */
    keepNow: (): Promise<boolean> => (now === sent ? Promise.resolve(true) : send(typed.trials)),
    dirty: now !== sent,
    settle: (trials: readonly WrittenTrial[]): void => setSent(JSON.stringify(trials)),
  };
}

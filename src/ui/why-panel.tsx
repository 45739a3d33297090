'use client';

import Link from 'next/link';
import {
  createContext,
  useCallback,
  useContext,
  useMemo,
  useState,
  useTransition,
  type ReactNode,
} from 'react';
import Offcanvas from 'react-bootstrap/Offcanvas';
import type { Why } from '@/core/why';
import { useFigures } from './figures';

type Ask = (key: string) => Promise<Why | null>;
const Context = createContext<(key: string) => void>(() => undefined);

/** Holds the panel that answers *why*, and gives every figure below a way to ask it. */
export function WhyProvider({ ask, children }: { ask: Ask; children: ReactNode }) {
  const [why, setWhy] = useState<Why | null>(null);
  const [open, setOpen] = useState(false);
  const [waiting, startAsking] = useTransition();
  const show = useCallback(
    (key: string) => {
      setOpen(true);
      setWhy(null);
      startAsking(async () => setWhy(await ask(key)));
    },
    [ask],
  );
  const value = useMemo(() => show, [show]);
  return (
    <Context value={value}>
      {children}
      <Offcanvas
        show={open}
        onHide={() => setOpen(false)}
        placement="end"
        className="why-panel"
        aria-labelledby="why-title"
      >
        <Offcanvas.Header closeButton closeLabel="Close">
          <WhyHead why={why} />
        </Offcanvas.Header>
        <Offcanvas.Body>
          {waiting || !why ? (
            <p role="status">Looking it up …</p>
          ) : (
            <WhyRows rows={why.rows} depth={0} close={() => setOpen(false)} />
          )}
        </Offcanvas.Body>
      </Offcanvas>
    </Context>
  );
}

function WhyHead({ why }: { why: Why | null }) {
  const { money } = useFigures();
  return (
    <div>
      <Offcanvas.Title id="why-title" as="h2">
        {why ? `Why ${why.money === null ? 'is the cost of this not known' : money(why.money)}?` : 'Why?'}
      </Offcanvas.Title>
      {why && (
        <div>
          {why.title}, {why.per}
          {why.detail && <span className="quiet"> · {why.detail}</span>}
        </div>
      )}
    </div>
  );
}

function WhyRows({ rows, depth, close }: { rows: readonly Why[]; depth: number; close: () => void }) {
  return (
    <ul className="why-rows">
      {rows.map((row, i) => (
        <li key={i}>
          {row.rows.length > 0 || row.goTo ? (
            <details open={depth < 2 && i === 0}>
              <summary>
                <WhyLine row={row} />
              </summary>
              {row.goTo && <GoTo to={row.goTo} close={close} />}
              <WhyRows rows={row.rows} depth={depth + 1} close={close} />
            </details>
          ) : (
            <WhyLine row={row} />
          )}
        </li>
      ))}
    </ul>
  );
}

function WhyLine({ row }: { row: Why }) {
  const { small } = useFigures();
  return (
    <span className="why-line">
      <span>{row.title}</span>
      <span>
        {row.money !== undefined && (
          <b className={`fig${row.estimate ? ' estimate' : ''}`}>{small(row.money)}</b>
        )}
        {row.money !== undefined && row.per && <span className="per">{row.per}</span>}
      </span>
      {row.detail && <span className="detail">{row.detail}</span>}
    </span>
  );
}

const PLACES: Readonly<Record<string, (id: string) => string>> = {
  recipe: (id) => `/pot/${id}`,
  ingredient: (id) => `/buy#${id}`,
  plate: (id) => `/pour/${id}`,
  tests: (id) => `/trim/${id}`,
};

const GO_WORDS: Readonly<Record<string, string>> = {
  recipe: 'Open the pot sheet',
  ingredient: 'Find it in the price book',
  plate: 'Open the plate',
  tests: 'See the tests it was learned from',
};

function GoTo({ to, close }: { to: string; close: () => void }) {
  const [kind = '', id = ''] = to.split(':');
  const href = PLACES[kind]?.(id);
  if (!href) return null;
  return (
    <Link href={href} onClick={close}>
      {GO_WORDS[kind]}
    </Link>
  );
}

/** A figure that can be asked *why*. */
export function WhyFigure({
  of,
  children,
  label,
  className = '',
}: {
  of: string;
  children: ReactNode;
  label: string;
  className?: string;
}) {
  const ask = useContext(Context);
  return (
    <button
      type="button"
      className={`why-button fig ${className}`}
      onClick={() => ask(of)}
      aria-label={`${label}: why?`}
    >
      {children}
    </button>
  );
}

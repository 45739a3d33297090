'use client';

import Link from 'next/link';
import Offcanvas from 'react-bootstrap/Offcanvas';
import Placeholder from 'react-bootstrap/Placeholder';
import type { Why } from '@/core/why';
import { useFormatters } from '../formatters-context';
import * as texts from './texts';

interface Props {
  /** Null while it is looked up. */
  readonly why: Why | null;
  readonly open: boolean;
  readonly close: () => void;
}

/** What a figure is made of, down to the purchase. */
export function WhyPanel({ why, open, close }: Props) {
  return (
    <Offcanvas show={open} onHide={close} placement="end" aria-labelledby="why-title">
      <Offcanvas.Header closeButton closeLabel={texts.close}>
        <WhyHead why={why} />
      </Offcanvas.Header>
      <Offcanvas.Body>
        {why ? <WhyRows rows={why.rows} depth={0} close={close} /> : <LookingItUp />}
      </Offcanvas.Body>
    </Offcanvas>
  );
}

/** Where the answer will stand, while it is looked up. */
const LookingItUp = () => (
  <Placeholder as="div" animation="glow" role="status">
    <span className="visually-hidden">{texts.searching}</span>
    {[9, 7, 8, 6, 7].map((wide, i) => (
      <Placeholder key={i} xs={wide} className="d-block my-3" />
    ))}
  </Placeholder>
);

function WhyHead({ why }: { why: Why | null }) {
  const { money, said } = useFormatters();
  return (
    <div>
      <Offcanvas.Title id="why-title" as="h2" className="fs-4">
        {why ? texts.why(why.money, money(why.money)) : texts.whyHeading}
      </Offcanvas.Title>
      {why && (
        <div>
          {why.title}, {why.per}
          {why.detail && <span className="quiet"> · {said(why.detail)}</span>}
        </div>
      )}
    </div>
  );
}

/** Invoices that some of a figure stands on, each once. */
function invoicesUnder(row: Why, found = new Set<string>()): ReadonlySet<string> {
  if (row.goTo?.startsWith('invoice:')) found.add(row.goTo);
  for (const below of row.rows) invoicesUnder(below, found);
  return found;
}

interface RowsProps {
  readonly rows: readonly Why[];
  readonly depth: number;
  readonly close: () => void;
  /** The invoice that is linked further up already. */
  readonly linked?: string | undefined;
}

function WhyRows({ rows, depth, close, linked }: RowsProps) {
  return (
    <ul className="why-rows">
      {rows.map((row, i) => {
        const invoices = [...invoicesUnder(row)];
        // What stands on one invoice alone leads there at once, however deep it is.
        const only = invoices.length === 1 && invoices[0] !== linked ? invoices[0] : undefined;
        return (
          <li key={i}>
            {row.rows.length > 0 || row.goTo ? (
              <details open={depth < 2 && i === 0}>
                <summary>
                  <WhyLine row={row} />
                </summary>
                {row.goTo && row.goTo !== only && row.goTo !== linked && <GoTo to={row.goTo} close={close} />}
                <WhyRows rows={row.rows} depth={depth + 1} close={close} linked={only ?? linked} />
              </details>
            ) : (
              <WhyLine row={row} />
            )}
            {only !== undefined && <GoTo to={only} close={close} />}
          </li>
        );
      })}
    </ul>
  );
}

function WhyLine({ row }: { row: Why }) {
  const { small, said } = useFormatters();
  return (
    <span className="why-line">
      <span>{said(row.title)}</span>
      <span>
        {row.money !== undefined && (
          <b className={`fig${row.estimate ? ' estimate' : ''}`}>{small(row.money)}</b>
        )}
        {row.money !== undefined && row.per && <span className="quiet small-line ps-1">{row.per}</span>}
      </span>
      {row.detail && <span className="detail quiet small-line">{said(row.detail)}</span>}
    </span>
  );
}

const PLACES: Readonly<Record<string, (id: string) => string>> = {
  recipe: (id) => `/pot/${id}`,
  ingredient: (id) => `/buy#${id}`,
  plate: (id) => `/pour/${id}`,
  tests: (id) => `/trim/${id}`,
  // Its day, then its number: a number alone may be another supplier’s too.
  invoice: (id) => `/buy/purchases/called?on=${id.slice(0, 10)}&number=${encodeURIComponent(id.slice(11))}`,
};

const GO_WORDS: Readonly<Record<string, string>> = {
  recipe: texts.openPotSheet,
  ingredient: texts.findPriceBook,
  plate: texts.openDish,
  tests: texts.seeTestsLearnedFrom,
  invoice: texts.openInvoice,
};

function GoTo({ to, close }: { to: string; close: () => void }) {
  const kind = to.slice(0, to.indexOf(':'));
  const id = to.slice(kind.length + 1);
  const href = PLACES[kind]?.(id);
  if (!href) return null;
  return (
    <Link href={href} onClick={close}>
      {GO_WORDS[kind]}
    </Link>
  );
}

'use client';

import { Panel } from '@/ui/panels/panel';
import Link from 'next/link';
import type { CostGraph } from '@/core/graph';
import Table from 'react-bootstrap/Table';
import { LayerSwitch } from '@/ui/frame/layer-switch';
import { useFormatters } from '@/ui/formatters-context';
import { WhyFigure } from '@/ui/panels/why';
import type { PriceEffect, AffectedDish } from '../queries';
import * as texts from './texts';

interface Props {
  readonly reached: AffectedDish;
  readonly graph: CostGraph;
  /** What each cost when it first came into view. */
  readonly before: ReadonlyMap<string, number | null>;
  /** How many there are, told or not. */
  readonly all: number;
}

/** Everything that is made from the rows of the price book, with what has moved since the page was opened. */
export function Answers({ reached, graph, before, all }: Props) {
  const others = all - reached.plates.length - reached.products.length;
  return (
    <Panel className="answers" aria-label={texts.whatThesePricesChange}>
      <LayerSwitch />
      <Group title={texts.dish} rows={reached.plates} graph={graph} before={before} />
      <Group title={texts.litre} rows={reached.products} graph={graph} before={before} />
      {others > 0 && <p className="quiet">{texts.moreNotMadeFrom(others)}</p>}
    </Panel>
  );
}

function Group({
  title,
  rows,
  graph,
  before,
}: Pick<Props, 'graph' | 'before'> & {
  readonly title: string;
  readonly rows: readonly PriceEffect[];
}) {
  // What moves comes first: it is what a price is typed for.
  const moves = ({ key, cost }: PriceEffect): boolean => {
    const [now, was] = [graph.has(key) ? graph.cost(key) : cost, before.get(key)];
    return now !== null && was !== undefined && was !== null && Math.abs(now - was) > 1e-9;
  };
  const moving = rows.filter(moves).length;
  return (
    <section>
      <h2 className="d-flex justify-content-between m-0">
        {title}
        {moving > 0 && (
          <span className="small-line quiet" role="status">
            {texts.change(moving, rows.length)}
          </span>
        )}
      </h2>
      <Table size="sm">
        <tbody>
          {[...rows]
            .sort((a, b) => Number(moves(b)) - Number(moves(a)))
            .map((row) => (
              <AnswerRow
                key={row.key}
                row={row}
                now={graph.has(row.key) ? graph.cost(row.key) : row.cost}
                was={before.get(row.key) ?? null}
              />
            ))}
        </tbody>
      </Table>
    </section>
  );
}

function AnswerRow({
  row,
  now,
  was,
}: {
  readonly row: PriceEffect;
  readonly now: number | null;
  readonly was: number | null;
}) {
  const { money, bare } = useFormatters();
  const moved = now === null || was === null ? 0 : (now - was) * row.weight;
  return (
    <tr>
      <th scope="row">
        <Link prefetch={false} href={row.href}>
          {row.name}
        </Link>
        <OverTarget row={row} now={now} was={was} />
      </th>
      <td className={`moved fig ${moved > 0 ? 'dearer' : 'cheaper'}`}>
        {Math.abs(moved) >= 0.0005 && (
          <>
            <span aria-hidden="true">{moved > 0 ? '▲' : '▼'} </span>
            <span className="visually-hidden">{moved > 0 ? texts.dearer : texts.cheaper}</span>
            {bare(Math.abs(moved), Math.abs(moved) < 0.1 ? 3 : 2)}
          </>
        )}
      </td>
      <td className="fs-5 fw-bold ps-2">
        {now === null || row.beside === null ? (
          <span className="incomplete">{texts.incomplete}</span>
        ) : (
          <WhyFigure of={row.key} label={row.name}>
            {money((now + row.beside) * row.weight)}
          </WhyFigure>
        )}
      </td>
    </tr>
  );
}

/** A plate that costs more than its target lets it, and whether it is this price that breaks it. */
function OverTarget({
  row: { most },
  now,
  was,
}: {
  readonly row: PriceEffect;
  readonly now: number | null;
  readonly was: number | null;
}) {
  const { money } = useFormatters();
  if (most === undefined || now === null || now <= most) return null;
  const breaks = was !== null && was <= most;
  return (
    <div className={breaks ? 'warning small-line' : 'quiet small-line'} role={breaks ? 'status' : undefined}>
      {texts.breaksTargetOverTarget(breaks, money(most))}
    </div>
  );
}

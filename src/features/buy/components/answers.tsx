'use client';

import Link from 'next/link';
import type { CostGraph } from '@/core/graph';
import { useFigures } from '@/ui/figures';
import { WhyFigure } from '@/ui/why-panel';
import type { Answer, PriceBookData } from '../queries';

interface Props {
  readonly data: PriceBookData;
  readonly graph: CostGraph;
  readonly before: ReadonlyMap<string, number | null>;
}

/** Everything that lives from the price book, with what has moved since the page was opened. */
export function Answers({ data, graph, before }: Props) {
  return (
    <aside className="answers" aria-label="Who lives from these prices">
      <Group title="A plate" rows={data.plates} graph={graph} before={before} />
      <Group title="A litre" rows={data.products} graph={graph} before={before} />
    </aside>
  );
}

function Group({
  title,
  rows,
  graph,
  before,
}: {
  title: string;
  rows: readonly Answer[];
  graph: CostGraph;
  before: Props['before'];
}) {
  return (
    <>
      <h2>{title}</h2>
      <table>
        <tbody>
          {rows.map((row) => (
            <AnswerRow key={row.key} row={row} now={graph.cost(row.key)} was={before.get(row.key) ?? null} />
          ))}
        </tbody>
      </table>
    </>
  );
}

function AnswerRow({ row, now, was }: { row: Answer; now: number | null; was: number | null }) {
  const { money, bare } = useFigures();
  const moved = now === null || was === null ? 0 : (now - was) * row.weight;
  return (
    <tr>
      <th scope="row">
        <Link prefetch={false} href={row.href}>
          {row.name}
        </Link>
      </th>
      <td className={`moved fig ${moved > 0 ? 'dearer' : 'cheaper'}`}>
        {Math.abs(moved) >= 0.0005 && (
          <>
            <span aria-hidden="true">{moved > 0 ? '▲' : '▼'} </span>
            <span className="visually-hidden">{moved > 0 ? 'dearer by ' : 'cheaper by '}</span>
            {bare(Math.abs(moved), Math.abs(moved) < 0.1 ? 3 : 2)}
          </>
        )}
      </td>
      <td className="now">
        {now === null ? (
          <span className="incomplete">incomplete</span>
        ) : (
          <WhyFigure of={row.key} label={row.name}>
            {money(now * row.weight)}
          </WhyFigure>
        )}
      </td>
    </tr>
  );
}

import Link from 'next/link';
import { TRIM_SCHOOLS, type TrimSchool } from '@/core/larder';
import { useFormatters } from '@/ui/formatters-context';
import { SCHOOL_WORDS } from '../../words';
import { schoolPrices, type SchoolRow } from '../priced';
import type { SchoolsPage } from '../queries';
import { SheetTable } from '@/ui/tables/sheet-table';

interface Priced {
  readonly school: TrimSchool;
  /** Set value of a kilo of trim where an ingredient has none of its own. */
  readonly value: number;
}

/** What a usable kilo and a kilo of what comes off cost under each school. */
export function KiloTable({ page, ...priced }: Priced & { readonly page: SchoolsPage }) {
  return (
    <section>
      <h2>A usable kilo, and a kilo of what comes off</h2>
      <SheetTable>
        <thead>
          <tr>
            <th scope="col">Ingredient</th>
            <th scope="col">bought at</th>
            {TRIM_SCHOOLS.map((s) => (
              <th key={s} scope="col" className={s === priced.school ? 'here' : ''}>
                {SCHOOL_WORDS[s].name.toLowerCase()}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {page.rows.map((row) => (
            <KiloRow key={row.id} row={row} {...priced} />
          ))}
        </tbody>
      </SheetTable>
      <p className="quiet small-line">
        {page.moreTaken > 0 &&
          `${page.moreTaken} more have trim that a pot takes; each is told on its own page. `}
        {page.untaken} have trim that no pot takes: all schools cost them the same.
      </p>
    </section>
  );
}

function KiloRow({ row, school, value }: Priced & { readonly row: SchoolRow }) {
  const { bare } = useFormatters();
  return (
    <tr>
      <th scope="row">
        <Link prefetch={false} href={`/trim/${row.id}`}>
          {row.name}
        </Link>
        {(row.own ?? row.ownValue) !== undefined && (
          <span className="quiet small-line">
            {' '}
            stays with its own
            {row.own ? `: ${SCHOOL_WORDS[row.own].name.toLowerCase()}` : ' set value'}
          </span>
        )}
      </th>
      <td className="fig">{bare(row.perKg)}</td>
      {TRIM_SCHOOLS.map((s) => {
        const priced = schoolPrices(row, s, value);
        return (
          <td key={s} className={`fig${s === school ? ' here' : ''}`}>
            {priced.trouble ? (
              <span className="incomplete" title={priced.trouble.message}>
                cannot be
              </span>
            ) : (
              <>
                {bare(priced.usablePerKg)}
                <span className="quiet small-line">
                  {' '}
                  / {bare(row.stockTrim > 0 ? priced.trimPerKg : priced.cameOff[0]?.perKg)}
                </span>
              </>
            )}
          </td>
        );
      })}
    </tr>
  );
}

import Link from 'next/link';
import { TRIM_SCHOOLS, type TrimSchool } from '@/core/larder';
import { useFormatters } from '@/ui/formatters-context';
import { SCHOOL_WORDS } from '../../words';
import { schoolPrices, type SchoolRow } from '../priced';
import type { SchoolsPage } from '../queries';
import { SheetTable } from '@/ui/tables/sheet-table';
import * as texts from './texts';

interface Priced {
  readonly school: TrimSchool;
  /** Set value of a kilo of trim where an ingredient has none of its own. */
  readonly value: number;
}

/** What a usable kilo and a kilo of what comes off cost under each school. */
export function KiloTable({ page, ...priced }: Priced & { readonly page: SchoolsPage }) {
  return (
    <section>
      <h2>{texts.usableKiloKiloWhat}</h2>
      <SheetTable>
        <thead>
          <tr>
            <th scope="col">{texts.ingredient}</th>
            <th scope="col">{texts.bought}</th>
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
        {page.moreTaken > 0 && texts.moreTrimPotTakes(page.moreTaken)}
        {texts.trimNoPotTakes(page.untaken)}
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
            {row.own ? texts.staysWithOwn(SCHOOL_WORDS[row.own].name.toLowerCase()) : texts.staysWithOwnValue}
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
                {texts.cannot}
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

'use client';

import Table from 'react-bootstrap/Table';
import { priceAfterTrim, type Knife } from '@/core/knife';
import { TRIM_SCHOOLS } from '@/core/larder';
import type { TestWeighed } from '@/core/learning';
import { useFormatters } from '@/ui/formatters-context';
import { SCHOOL_WORDS } from '../../words';
import * as texts from './texts';

const HERE = { boxShadow: 'inset 4px 0 0 var(--copper)' };

/** An ingredient's knife with the shares a test has just weighed. */
export const knifeAt = (knife: Knife, test: TestWeighed): Knife => ({
  ...knife,
  byProducts: knife.byProducts.map((b) => ({ ...b, share: test.byProducts.get(b.knife.id) ?? 0 })),
});

/** What a usable kilo of this test costs under each school, side by side; the kitchen's own is marked. */
export function ThreeSchools({
  knife,
  test,
  perKg,
}: {
  readonly knife: Knife;
  readonly test: TestWeighed;
  readonly perKg: number;
}) {
  const { bare, currencySign } = useFormatters();
  const tested = knifeAt(knife, test);
  const off = test.stockTrim + [...test.byProducts.values()].reduce((a, b) => a + b, 0);
  const taken = tested.trimTaken > 0 || tested.byProducts.some((b) => b.taken > 0 && b.share > 0);
  return (
    <section aria-label={texts.usableKiloThreeMethods}>
      <h2>{texts.usableKiloWhoPays(currencySign)}</h2>
      <Table size="sm" className="mb-2">
        <tbody>
          {TRIM_SCHOOLS.map((school) => {
            const prices = priceAfterTrim({ ...tested, school }, perKg, test.usable, test.stockTrim);
            const here = school === knife.school;
            return (
              <tr key={school} aria-current={here ? 'true' : undefined}>
                <th scope="row" className={here ? 'ps-2' : undefined} style={here ? HERE : undefined}>
                  {SCHOOL_WORDS[school].name}
                  <span className="quiet small-line d-block">
                    {here ? texts.kitchenCosts : SCHOOL_WORDS[school].says}
                  </span>
                </th>
                <td className="fig fs-4 fw-bold">
                  {prices.trouble ? (
                    <span className="incomplete">{texts.cannot}</span>
                  ) : (
                    bare(prices.usablePerKg)
                  )}
                </td>
                <td className="fig quiet">
                  {!prices.trouble && test.stockTrim > 0 && texts.trim(bare(prices.trimPerKg))}
                </td>
              </tr>
            );
          })}
        </tbody>
      </Table>
      {TRIM_SCHOOLS.map((school) => {
        const { trouble } = priceAfterTrim({ ...tested, school }, perKg, test.usable, test.stockTrim);
        return trouble ? (
          <p key={school} className="trouble">
            {SCHOOL_WORDS[school].name}: {trouble.message}
          </p>
        ) : null;
      })}
      {off > 0 && !taken && <p className="quiet small-line">{texts.noPotTakesWhat}</p>}
    </section>
  );
}

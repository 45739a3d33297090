import { priceAfterTrim, sourcePrices, type Knife } from '@/core/knife';
import type { TrimSchool } from '@/core/larder';

/** An ingredient something of use comes off, with all it takes to price it under another school. */
export interface SchoolRow {
  readonly id: string;
  readonly name: string;
  readonly perKg: number | undefined;
  readonly usable: number;
  readonly stockTrim: number;
  readonly knife: Knife;
  /** Its own school or set value, where it has one. */
  readonly own?: TrimSchool | undefined;
  readonly ownValue?: string | undefined;
  readonly taken: boolean;
}

/** What an ingredient's parts cost under a school, its own if it has one. */
export const schoolPrices = (row: SchoolRow, school: TrimSchool, setValue: number) =>
  priceAfterTrim(
    { ...row.knife, school: row.own ?? school, setValuePerKg: Number(row.ownValue ?? setValue) },
    row.perKg,
    row.usable,
    row.stockTrim,
  );

/** Prices of all that a school can move, under that school: of what is bought, and of what comes off it. */
export const pricesIn = (
  rows: readonly SchoolRow[],
  school: TrimSchool,
  setValue: number,
): (readonly [string, number | null])[] =>
  rows.flatMap((row) => {
    const { cameOff, ...own } = schoolPrices(row, school, setValue);
    return [
      ...sourcePrices([
        { ingredient: { id: row.id }, ...own },
        ...cameOff.map(({ id, ...prices }) => ({ ingredient: { id }, ...prices })),
      ]),
    ];
  });

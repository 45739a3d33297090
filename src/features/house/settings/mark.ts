/** How a locale writes the point before decimals; a point where it is neither that nor a comma. */
export const markOf = (locale: string): '.' | ',' =>
  new Intl.NumberFormat(locale).formatToParts(1.5).find((p) => p.type === 'decimal')?.value === ','
    ? ','
    : '.';

import type { ComponentProps } from 'react';

/** A table of the house: on a narrow screen it scrolls in itself and never widens the page. */
export function SheetTable({ className, ...table }: ComponentProps<'table'>) {
  return (
    <div className="table-responsive-lg">
      <table className={`sheet-table${className ? ` ${className}` : ''}`} {...table} />
    </div>
  );
}

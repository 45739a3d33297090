'use client';

import type { ComponentProps } from 'react';
import Table from 'react-bootstrap/Table';

/** A table of the house: on a narrow screen it scrolls in itself and never widens the page. */
export const SheetTable = ({ className = '', ...table }: ComponentProps<typeof Table>) => (
  <Table responsive="lg" className={`sheet-table ${className}`} {...table} />
);

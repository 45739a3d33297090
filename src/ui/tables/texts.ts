/** What people read in ui/tables. */

// choose-columns.tsx
export const columns = 'Columns';

// used-by.tsx
export const more = (count: number): string => ` and ${count} more`;

// archived-list.tsx
export const archived = (count: number): string => `Archived: ${count}`;
export const since = (day: string): string => `since ${day}`;
export const restoreNamed = (name: string): string => `Restore ${name}`;
export const restore = 'Restore';

// changed-costs.tsx
export const noCostNotUsed = (when: string): string => `No cost ${when}: not used in any recipe yet.`;
export const dearer = 'dearer by ';
export const cheaper = 'cheaper by ';

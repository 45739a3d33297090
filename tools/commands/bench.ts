export const bench = (_a?: string[]): number => 0;

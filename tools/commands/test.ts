export const test = (_a?: string[]): number => 0;

export const screenshots = (_a?: string[]): number => 0;

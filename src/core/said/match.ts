/** A group of a match, trimmed; empty where it took no part. What stood in quotes still waits for `plain`. */
export const matchAt = (m: RegExpExecArray, i: number): string => (m[i] ?? '').trim();

interface Place {
  readonly line: number;
  readonly column: number;
}
export function rankOf(
  seed: string,
  fileName: string,
  location: { readonly start: Place; readonly end: Place },
  mutatorName: string,
  replacement: string | undefined,
): string;

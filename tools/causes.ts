import { stripVTControlCharacters } from 'node:util';

/** Lines that are told of why a test failed. */
const LINES = 12;

const told = (title: string, why: readonly string[]): string =>
  [
    `✗ ${title}`,
    ...stripVTControlCharacters(why.join('\n'))
      .split('\n')
      .filter((line) => line.trim() !== '')
      .slice(0, LINES)
      .map((line) => `    ${line}`),
  ].join('\n');

interface JestFile {
  readonly name?: string;
  readonly message?: string;
  readonly assertionResults: readonly {
    readonly status: string;
    readonly fullName: string;
    readonly failureMessages?: readonly string[] | null;
  }[];
}

/** Why unit tests failed, one text for each: of a file that could not start, what it says itself. */
export const causesOfJest = ({ testResults }: { readonly testResults: readonly JestFile[] }): string[] =>
  testResults.flatMap(({ name = '', message = '', assertionResults }) =>
    assertionResults.length === 0 && message !== ''
      ? [told(name, [message])]
      : assertionResults.flatMap((a) =>
          a.status === 'failed' ? [told(a.fullName, a.failureMessages ?? [])] : [],
        ),
  );

interface Suite {
  readonly suites?: readonly Suite[];
  readonly specs?: readonly {
    readonly title: string;
    readonly file: string;
    readonly line: number;
    readonly ok: boolean;
    readonly tests: readonly {
      readonly results: readonly {
        readonly errors?: readonly { readonly message?: string | undefined }[] | undefined;
      }[];
    }[];
  }[];
}

/** Why browser tests failed, one text for each. */
export const causesOfPlaywright = ({ suites = [] }: { readonly suites?: readonly Suite[] }): string[] =>
  suites.flatMap((suite) => [
    ...(suite.specs ?? []).flatMap(({ ok, title, file, line, tests }) => {
      if (ok) return [];
      const errors = tests.flatMap((t) => t.results.flatMap((r) => r.errors ?? []));
      return [
        told(
          `${file}:${line} › ${title}`,
          errors.map((e) => e.message ?? ''),
        ),
      ];
    }),
    ...causesOfPlaywright(suite),
  ]);

import next from 'eslint-config-next/core-web-vitals';
import nextTypescript from 'eslint-config-next/typescript';
import prettier from 'eslint-config-prettier/flat';

/** What the core must not know: chance and time are arguments. */
const pure = [
  {
    selector: "MemberExpression[object.name='Math'][property.name='random']",
    message: 'Chance is an argument in core.',
  },
  {
    selector: "MemberExpression[object.name='Date'][property.name='now']",
    message: 'Time is an argument in core.',
  },
  {
    selector: "NewExpression[callee.name='Date'][arguments.length=0]",
    message: 'Time is an argument in core.',
  },
];

/** Next gives a dynamic component a Suspense boundary only with one of these options. */
const suspendsThePage = {
  selector: "CallExpression[callee.name='dynamic'][arguments.length=1]",
  message:
    'Without `ssr: false` or `loading` it suspends the whole page while it is fetched: typed text is lost.',
};

const config = [
  {
    ignores: [
      '.next/**',
      '.halfpot/**',
      'node_modules/**',
      'next-env.d.ts',
      'docs/**',
      'playwright-report/**',
      'test-results/**',
    ],
  },
  ...next,
  ...nextTypescript,
  {
    files: ['**/*.ts', '**/*.tsx'],
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    rules: {
      '@typescript-eslint/no-floating-promises': 'error',
      '@typescript-eslint/no-misused-promises': ['error', { checksVoidReturn: { attributes: false } }],
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/switch-exhaustiveness-check': [
        'error',
        { considerDefaultExhaustiveForUnions: true },
      ],
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/no-explicit-any': 'error',
    },
  },
  {
    files: ['src/**/*.{ts,tsx}', 'tools/**/*.{ts,mjs}', 'stand-ins/**/*.ts'],
    ignores: ['**/__tests__/**'],
    rules: { 'max-lines-per-function': ['error', { max: 60, IIFEs: true }] },
  },
  { files: ['src/**/*.tsx'], rules: { 'no-restricted-syntax': ['error', suspendsThePage] } },
  { files: ['src/core/**/*.ts'], rules: { 'no-restricted-syntax': ['error', ...pure] } },
  prettier,
];

export default config;

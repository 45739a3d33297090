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

/** Texts stand beside their feature in texts.ts, so that they can be read together and translated file by file. */
const textsElsewhere = [
  ['JSXText[value=/[A-Za-z]{2}/]', 'texts of a page'],
  [
    'JSXAttribute[name.name=/^(label|title|placeholder|aria-label|alt)$/] > Literal[value=/[A-Za-z]{2}/]',
    'labels',
  ],
  ["CallExpression[callee.name='tell'] > :matches(Literal, TemplateLiteral)", 'toasts'],
  ['Property[key.name=/^(head|label|title)$/] > Literal[value=/[A-Za-z]{2}/]', 'headings'],
].map(([selector, what]) => ({ selector, message: `Put ${what} into texts.ts of this folder.` }));
const troubleElsewhere = {
  selector:
    "CallExpression[callee.name='refuse'] > .arguments:nth-child(3):matches(Literal[value=/ /], TemplateLiteral)",
  message: 'Put what a refusal says into texts.ts of this folder.',
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
  {
    files: ['src/**/*.ts'],
    ignores: ['**/__tests__/**'],
    rules: { 'no-restricted-syntax': ['error', troubleElsewhere] },
  },
  {
    files: ['src/**/*.tsx'],
    ignores: ['**/all-components.tsx'],
    rules: { 'no-restricted-syntax': ['error', suspendsThePage, ...textsElsewhere] },
  },
  { files: ['src/core/**/*.ts'], rules: { 'no-restricted-syntax': ['error', ...pure, troubleElsewhere] } },
  {
    files: ['src/core/**/testing/**', 'src/core/**/__tests__/**'],
    rules: { 'no-restricted-syntax': ['error', ...pure] },
  },
  prettier,
];

export default config;

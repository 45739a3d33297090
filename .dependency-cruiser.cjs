/** Imports run one way: app → features → server → db, core. `halfpot test` plants a violation to see that this bites. */
const only = (name, from, to) => ({ name, severity: 'error', from, to });
module.exports = {
  forbidden: [
    only(
      'core-is-pure',
      { path: '^src/core/', pathNot: '(\\.test\\.ts$|^src/core/testing/)' },
      {
        pathNot: [
          '^src/core/',
          '^node_modules/(zod|decimal\\.js|date-fns|@date-fns|fast-deep-equal|fastest-levenshtein|jsonc-parser)/',
        ],
      },
    ),
    only(
      'core-folders-have-one-door',
      { path: '^src/core/([^/]+)/', pathNot: '\\.test\\.ts$' },
      { path: '^src/core/([^/]+)/(?!index\\.ts$)', pathNot: ['^src/core/$1/', '\\.json$'] },
    ),
    only(
      'one-door-from-outside',
      { path: '^(src/(?!core/)|tools/)', pathNot: '\\.test\\.tsx?$' },
      { path: '^src/core/[^/]+/(?!index\\.ts$)', pathNot: '^src/core/testing/' },
    ),
    // Tests and benchmarks share what makes random pots; nothing that is shipped does.
    only(
      'testing-is-not-shipped',
      { path: '^src/', pathNot: '(\\.test\\.tsx?$|^src/core/testing/)' },
      { path: '^src/core/testing/' },
    ),
    only(
      'db-knows-only-core',
      { path: '^src/db/', pathNot: '\\.test\\.ts$' },
      { path: '^src/', pathNot: '^src/(db|core)/' },
    ),
    only(
      'sql-only-in-db',
      { path: '^src/', pathNot: '^src/db/' },
      { path: '^node_modules/(mysql2|postgrator)/' },
    ),
    only('wire-knows-only-core', { path: '^src/wire/' }, { path: '^src/', pathNot: '^src/(wire|core)/' }),
    only('server-knows-no-screens', { path: '^src/server/' }, { path: '^src/(app|features|ui|cli)/' }),
    only(
      'features-stand-alone',
      { path: '^src/features/([^/]+)/' },
      { path: '^src/features/([^/]+)/', pathNot: '^src/features/$1/' },
    ),
    only('ui-knows-no-station', { path: '^src/ui/' }, { path: '^src/(app|features|db|server|cli)/' }),
    only(
      'screens-never-reach-the-database',
      { path: '^src/features/.+/components/' },
      {
        path: ['^src/(db|server)/', '^src/features/.+/(commands|queries)\\.ts$'],
        dependencyTypesNot: ['type-only'],
      },
    ),
    // Every page is sent the shell: what checks a write comes with what writes it (docs/architecture.md, “Sent”).
    only(
      'the-shell-checks-nothing',
      {
        path: '^src/(ui|wire)/',
        pathNot: '(\\.test\\.tsx?$|^src/ui/use-kept-form\\.ts$|^src/wire/(envelope|fields)\\.ts$)',
      },
      {
        path: ['^node_modules/zod/', '^src/wire/(envelope|fields)\\.ts$'],
        dependencyTypesNot: ['type-only'],
      },
    ),
    only('routes-only-compose', { path: '^src/app/' }, { path: '^src/db/' }),
    // Types close circles too: whoever reads one file would have to read all of them.
    only('no-circles', {}, { circular: true }),
    only('nothing-unresolved', {}, { couldNotResolve: true }),
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '^(\\.next|\\.halfpot)/' },
    tsConfig: { fileName: 'tsconfig.json' },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
    },
  },
};

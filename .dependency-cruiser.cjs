/** The arrows of docs/architecture.md: app → features → ui, workers, device, db → core. */
const below = (from, allowed) => ({
  name: `${from}-looks-down-only`,
  severity: 'error',
  from: { path: `^src/${from}/` },
  to: { path: '^src/', pathNot: [`^src/${from}/`, ...allowed.map((a) => `^src/${a}/`)] },
})

module.exports = {
  forbidden: [
    {
      name: 'no-cycles',
      severity: 'error',
      from: {},
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
    below('core', []),
    below('db', ['core']),
    below('ui', ['core']),
    below('device', ['core']),
    below('workers', ['core']),
    below('edge', []),
    below('features', ['ui', 'workers', 'device', 'db', 'edge', 'core']),
    below('app', ['features', 'ui']),
    {
      name: 'only-db-knows-sqlite',
      severity: 'error',
      from: { path: '^(src|cli)/', pathNot: '^src/db/' },
      to: { path: 'better-sqlite3|drizzle-orm' },
    },
    {
      name: 'no-reaching-into-another-feature',
      severity: 'error',
      from: { path: '^src/features/([^/]+)/' },
      to: { path: '^src/features/([^/]+)/components/', pathNot: '^src/features/$1/' },
    },
    {
      // What two parts of the job share lies at the desk, or is a fact.
      name: 'features-meet-at-the-desk',
      severity: 'error',
      from: { path: '^src/features/([^/]+)/' },
      to: { path: '^src/features/[^/]+/', pathNot: ['^src/features/$1/', '^src/features/(desk|facts)/'] },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    exclude: { path: '\\.test\\.tsx?$|^src/testing/' },
  },
}

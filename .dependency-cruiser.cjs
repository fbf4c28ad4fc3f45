/** Imports point one way; see the table in docs/architecture.md. */
const only = (name, from, allowed) => ({
  name,
  severity: 'error',
  from: { path: `^src/${from}/`, pathNot: '\\.(test|testing)\\.tsx?$' },
  to: { path: '^src/', pathNot: `^src/(${[from, ...allowed].join('|')})/` },
});

module.exports = {
  forbidden: [
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
    only('core-is-pure', 'core', []),
    only('contract', 'contract', ['core']),
    only('text', 'text', ['core']),
    only('adapters', 'adapters', ['core']),
    only('workers', 'workers', ['core', 'contract', 'adapters']),
    only('ui', 'ui', ['core', 'text']),
    only('islands', 'islands', ['core', 'contract', 'text', 'ui', 'workers']),
    only('layouts', 'layouts', ['ui', 'text', 'islands/frame']),
    only('server', 'server', ['core', 'contract', 'adapters', 'text', 'workers']),
    only('demo', 'demo', ['core', 'contract', 'server']),
    { name: 'pages-not-the-database', severity: 'error', from: { path: '^src/pages/' }, to: { path: '^src/server/db/' } },
    {
      name: 'mechanisms-are-strangers',
      severity: 'error',
      from: { path: '^src/core/mechanisms/([^/]+)/' },
      to: { path: '^src/core/mechanisms/([^/]+)/', pathNot: '^src/core/mechanisms/$1/' },
    },
    {
      name: 'outside-libraries-in-adapters',
      severity: 'error',
      from: { path: '^src/', pathNot: '^src/adapters/|\\.(test|testing)\\.ts$' },
      to: { path: 'node_modules/(highs|csv-parse|csv-stringify|ical-generator|pdf-lib|@pdf-lib)/' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    exclude: { path: '\\.css$' },
  },
};

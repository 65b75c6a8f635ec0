/** Imports point downward only: app → ui → server → db → core; workers, cli and demo stand beside. */
const only = (name, from, to) => ({
  name,
  severity: 'error',
  from: { path: `^src/${from}/`, pathNot: '\\.test\\.ts$' },
  to: { path: '^src/', pathNot: to.map((t) => `^src/${t}/`) },
});

module.exports = {
  forbidden: [
    only('core-imports-core', 'core', ['core']),
    only('db-imports-core', 'db', ['db', 'core']),
    only('server-imports-db-and-core', 'server', ['server', 'db', 'core']),
    only('workers-import-core', 'workers', ['workers', 'core']),
    only('cli-imports-core', 'cli', ['cli', 'core']),
    only('demo-imports-server-and-core', 'demo', ['demo', 'server', 'core']),
    {
      name: 'ui-takes-only-types-from-the-server',
      severity: 'error',
      from: { path: '^src/ui/' },
      to: { path: '^src/(server|db)/', dependencyTypesNot: ['type-only'] },
    },
    only('ui-stays-below-app', 'ui', ['ui', 'server', 'core', 'workers']),
    {
      name: 'core-is-pure',
      severity: 'error',
      from: { path: '^src/core/', pathNot: '\\.test\\.ts$' },
      to: {
        path: '(^|node_modules/)(react|react-dom|next|better-sqlite3|three|zustand|comlink)(/|$)|^(node:|fs$|path$|crypto$|os$|child_process$)',
      },
    },
    {
      // A requirement states what must be true; it is shown moments, and never goes looking.
      name: 'requirements-never-look',
      severity: 'error',
      from: { path: '^src/core/verify/requirements/' },
      to: {
        pathNot: '^src/core/(setup|verify/requirements)/',
        dependencyTypesNot: ['type-only'],
      },
    },
    {
      name: 'setup-reaches-no-behaviour',
      severity: 'error',
      from: { path: '^src/core/setup/', pathNot: '\\.test\\.ts$' },
      to: { path: '^src/core/(chain|verify|plan|directions)/', dependencyTypesNot: ['type-only'] },
    },
    { name: 'no-circles', severity: 'error', from: { path: '^src/' }, to: { circular: true } },
  ],
  options: {
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    doNotFollow: { path: 'node_modules' },
    enhancedResolveOptions: { exportsFields: ['exports'], conditionNames: ['import', 'default'] },
  },
};

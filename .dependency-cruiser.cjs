/** The walls of the house: core looks at nothing outside itself but the few plain packages named here. */
module.exports = {
  forbidden: [
    {
      name: 'core-imports-nothing-outward',
      severity: 'error',
      from: { path: '^src/core' },
      to: { pathNot: ['^src/core', '^node_modules/(zod|luxon|suncalc|@types/luxon|geographiclib-geodesic)/'] },
    },
    {
      name: 'sql-only-on-the-server',
      severity: 'error',
      from: { path: '^src', pathNot: '^src/lib/server' },
      to: { path: '^node_modules/(knex|pg)/' },
    },
    {
      name: 'components-do-not-reach-the-server',
      severity: 'error',
      from: { path: '^src/lib/ui' },
      to: { path: '^src/lib/server' },
    },
    { name: 'no-circle', severity: 'error', from: {}, to: { circular: true } },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsConfig: { fileName: 'tsconfig.json' },
    tsPreCompilationDeps: false,
    enhancedResolveOptions: { exportsFields: ['exports'], conditionNames: ['import', 'node', 'default'] },
  },
};

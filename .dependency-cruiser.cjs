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
    {
      name: 'simulators-know-no-forecaster',
      comment: 'what came and what was forecast are held against each other: neither may know the other',
      severity: 'error',
      from: { path: '^src/core/sim' },
      to: { path: '^src/core/(water|ice|weather|stations|sets)' },
    },
    {
      name: 'nothing-reckons-from-a-simulator',
      severity: 'error',
      from: { path: '^src/core/(water|ice|weather|stations|sets)' },
      to: { path: '^src/core/sim' },
    },
    { name: 'no-circle', severity: 'error', from: {}, to: { circular: true } },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsConfig: { fileName: 'tsconfig.json' },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: { exportsFields: ['exports'], conditionNames: ['import', 'node', 'default'] },
  },
};

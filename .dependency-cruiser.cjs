/** The one direction of imports: web → core ← server, cli → core; core imports only zod and small numeric packages. */
module.exports = {
  forbidden: [
    {
      name: 'core-stands-alone',
      severity: 'error',
      from: { path: '^core', pathNot: '\\.test\\.ts$|/test/' },
      to: { pathNot: '^core|^node_modules/(zod|ml-matrix)/' },
    },
    {
      name: 'server-knows-core-only',
      severity: 'error',
      from: { path: '^server' },
      to: { path: '^(web|cli|demo|e2e)' },
    },
    {
      name: 'cli-knows-core-only',
      severity: 'error',
      from: { path: '^cli' },
      to: { path: '^(web|server|demo|e2e)' },
    },
    {
      name: 'web-knows-core-and-the-types-of-the-server',
      severity: 'error',
      from: { path: '^web' },
      to: { path: '^(cli|demo|e2e)' },
    },
    {
      name: 'web-takes-only-types-from-the-server',
      severity: 'error',
      // A test may hold the pages against the real server.
      from: { path: '^web', pathNot: '\\.test\\.ts$' },
      to: { path: '^server', dependencyTypesNot: ['type-only'] },
    },
    {
      name: 'no-circles',
      severity: 'error',
      from: {},
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
  },
};

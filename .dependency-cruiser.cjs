/** Folders of core/ from the lowest layer up: each may import from those before it, and from itself. */
const layers = [
  'search',
  'catalog',
  'findings',
  'job',
  'idioms',
  'speech',
  'logline',
  'logprint',
  'narration',
  'survey',
  'line',
  'condition',
  'price',
  'pipe',
  'liner',
  'grade',
  'cleanouts',
  'excavation',
  'track',
  'methods',
  'edits',
  'prepare',
  'solve',
  'explain',
  'scope',
  'plan',
  'offer',
  'upkeep',
  'compare',
  'views',
  'practice',
  'files',
];
const isTest = '\\.test\\.ts$|^core/test/';
const layerRules = layers.slice(0, -1).map((layer, i) => ({
  name: `layer-${layer}`,
  severity: 'error',
  from: { path: `^core/${layer}/`, pathNot: isTest },
  to: { path: `^core/(${layers.slice(i + 1).join('|')})/` },
}));

/** The one direction of imports: web → core ← server, cli → core; core imports only zod and small packages that compute. */
module.exports = {
  forbidden: [
    ...layerRules,
    {
      name: 'every-folder-has-a-layer',
      severity: 'error',
      from: {},
      to: { path: '^core/[^/]+/', pathNot: `^core/(${[...layers, 'test'].join('|')})/` },
    },
    {
      name: 'search-knows-no-trade-word',
      severity: 'error',
      from: { path: '^core/search/', pathNot: isTest },
      to: { path: '^core/', pathNot: '^core/search/' },
    },
    {
      name: 'test-helpers-are-for-tests',
      severity: 'error',
      from: { path: '^(core|web|server|cli)/', pathNot: `${isTest}|/test/` },
      to: { path: '^core/test/' },
    },
    {
      name: 'core-stands-alone',
      severity: 'error',
      from: { path: '^core', pathNot: isTest },
      to: {
        pathNot:
          '^core|^node_modules/(zod|ml-matrix|media-captions|@noble/hashes|fast-json-stable-stringify)/',
      },
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

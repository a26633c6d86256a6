// The layers of docs/architecture.md: each may import what stands in its row, and nothing else of ours.
const LAYERS = {
  core: [],
  words: [],
  'stand-ins': [],
  contract: ['core'],
  formats: ['core'],
  server: ['core', 'formats', 'contract'],
  scene: ['core', 'words'],
  ui: ['core', 'contract', 'words'],
  workers: ['core', 'formats'],
  cli: ['core', 'formats'],
  islands: ['core', 'scene', 'ui', 'workers', 'contract', 'words'],
  pages: ['islands', 'server', 'scene', 'ui', 'contract', 'words', 'stand-ins'],
};

const layerRules = Object.entries(LAYERS).map(([layer, allowed]) => ({
  name: `${layer}-imports-only-${allowed.join('-') || 'itself'}`,
  severity: 'error',
  from: { path: `^src/${layer}/`, pathNot: '\\.test\\.tsx?$' },
  to: { path: '^src/', pathNot: [layer, ...allowed].map((name) => `^src/${name}/`) },
}));

/** Across layers one imports the layer's index, except where a learner's page would load too much by it (ui, scene files). */
const INDEXES = ['core', 'server'].map((layer) => ({
  name: `${layer}-by-its-index`,
  severity: 'error',
  from: { path: '^src/', pathNot: [`^src/${layer}/`, '\\.test\\.tsx?$'] },
  to: { path: `^src/${layer}/`, pathNot: `^src/${layer}/((document|kinds)/)?index\\.ts$` },
}));

/** The folders of the server in their order: each may import those before it. What runs in a worker thread is apart. */
const SERVER = [
  'database',
  'accounts',
  'http',
  'work',
  'jobs',
  'outside',
  'outbox',
  'mail',
  'media',
  'vault',
  'outcomes',
  'courses',
  'releases',
  'sittings',
  'results',
  'lti',
  'xapi',
  'oneroster',
  'board',
  'live',
  'search',
  'today',
];
const serverRules = SERVER.map((folder, i) => ({
  name: `server-${folder}-imports-only-what-comes-before-it`,
  severity: 'error',
  from: { path: `^src/server/${folder}/`, pathNot: ['^src/server/work/(tasks|worker)\\.ts$', '\\.test\\.ts$'] },
  to: { path: SERVER.slice(i + 1).map((later) => `^src/server/${later}/`) },
})).slice(0, -1);

module.exports = {
  forbidden: [
    ...layerRules,
    ...INDEXES,
    ...serverRules,
    {
      name: 'no-circles',
      severity: 'error',
      from: {},
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
    {
      name: 'core-is-pure',
      comment: 'Yup in document/ alone; nothing of Node, the browser or React anywhere in the core.',
      severity: 'error',
      from: { path: '^src/core/', pathNot: '\\.test\\.ts$' },
      to: { dependencyTypes: ['npm', 'npm-dev', 'npm-peer', 'npm-optional', 'core'], pathNot: 'node_modules/yup/' },
    },
    {
      name: 'yup-in-document-alone',
      severity: 'error',
      from: { path: '^src/core/', pathNot: '^src/core/document/|\\.test\\.ts$' },
      to: { path: 'node_modules/yup/' },
    },
  ],
  options: {
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '\\.astro$' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
    },
  },
};

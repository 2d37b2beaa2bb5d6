/** The arrows between the folders: see docs/architecture.md. */
const only = (name, from, allowed, comment) => ({
  name,
  severity: 'error',
  comment,
  from: { path: from, pathNot: '\\.test\\.tsx?$' },
  to: { path: '^packages/', pathNot: [from, ...allowed] },
});

module.exports = {
  forbidden: [
    only('core-alone', '^packages/core/', [], 'The core depends on nothing.'),
    only(
      'contract-to-core',
      '^packages/contract/',
      ['^packages/core/'],
      'The contract knows the core.',
    ),
    only(
      'catalogue-to-contract-and-core',
      '^packages/catalogue/',
      ['^packages/contract/', '^packages/core/'],
      'The catalogue is data checked by the contract.',
    ),
    only(
      'interchange-to-contract-and-core',
      '^packages/interchange/',
      ['^packages/contract/', '^packages/core/'],
      'Files are read into, and written from, what the contract and the core know.',
    ),
    only('sound-to-core', '^packages/sound/', ['^packages/core/'], 'Sound knows the core.'),
    only(
      'server-arrows',
      '^packages/server/',
      ['^packages/contract/', '^packages/core/', '^packages/catalogue/', '^packages/interchange/'],
      'The server knows contract, core, catalogue and, to write the demo’s scores, interchange.',
    ),
    only(
      'web-arrows',
      '^packages/web/',
      [
        '^packages/contract/',
        '^packages/core/',
        '^packages/catalogue/',
        '^packages/sound/',
        '^packages/interchange/',
      ],
      'The pages know contract, core, catalogue, sound and interchange, never the server.',
    ),
    {
      name: 'core-without-packages',
      severity: 'error',
      comment: 'The core uses no package and nothing of Node.',
      from: { path: '^packages/core/', pathNot: '\\.test\\.ts$' },
      to: { dependencyTypes: ['npm', 'npm-dev', 'core'] },
    },
    {
      name: 'products-without-tools',
      severity: 'error',
      comment: 'What ships never reaches into the tools; tests may.',
      from: { path: '^packages/', pathNot: '(\\.test\\.tsx?$|/testing/|^packages/e2e/)' },
      to: { path: '^tools/' },
    },
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'no-orphans',
      severity: 'error',
      comment: 'A file that nobody uses goes.',
      from: {
        orphan: true,
        pathNot: [
          '\\.d\\.(ts|mts)$',
          '\\.config\\.',
          'environment\\.cjs$',
          '\\.css$',
          '\\.worklet\\.js$',
        ],
      },
      to: {},
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(/dist/|/results/)' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'node', 'default'],
      extensions: ['.ts', '.tsx', '.mjs', '.js'],
    },
  },
};

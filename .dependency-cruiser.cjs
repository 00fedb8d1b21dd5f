/** The four floors: imports go down only. Tests, and what only they use, may look anywhere. */
const TESTS = '\\.test\\.tsx?$|/testing/';
const floor = (name, from, to) => ({
  name,
  severity: 'error',
  from: { path: from, pathNot: TESTS },
  to: { path: to },
});

module.exports = {
  forbidden: [
    { name: 'no-circular', severity: 'error', from: {}, to: { circular: true } },
    floor('core-knows-nothing-above', '^src/core', '^src/(data|actions|app|ui|workers|spool|demo)'),
    {
      name: 'core-is-pure',
      severity: 'error',
      comment: 'The core has no React, no Next, no Node and no database.',
      from: { path: '^src/core', pathNot: TESTS },
      to: { dependencyTypes: ['core'] },
    },
    {
      name: 'core-packages',
      severity: 'error',
      from: { path: '^src/core', pathNot: TESTS },
      to: {
        path: 'node_modules',
        pathNot:
          'node_modules/(culori|d3-contour|polyclip-ts|@stdlib|ml-kmeans|ml-matrix|edmonds-blossom|image-size|date-fns|flatbush|polylabel|svgpath|fast-xml-parser|dxf-parser|fastest-levenshtein)',
      },
    },
    {
      name: 'testing-is-for-tests',
      severity: 'error',
      from: { path: '^src', pathNot: TESTS },
      to: { path: '/testing/' },
    },
    floor('data-looks-down', '^src/data', '^src/(actions|app|ui|workers|spool)'),
    floor('actions-look-down', '^src/actions', '^src/(app|ui|workers|spool)'),
    floor('ui-leaves-data-alone', '^src/ui', '^src/data/(?!types)'),
    {
      name: 'app-asks-by-the-registry',
      severity: 'error',
      comment:
        'A page or door reads through actions/queries and does through actions/registry: who may is asked there.',
      from: { path: '^src/app', pathNot: `${TESTS}|^src/app/backup` },
      to: { path: '^src/data/(?!types)', dependencyTypesNot: ['type-only'] },
    },
    {
      name: 'ui-acts-through-doors',
      severity: 'error',
      from: { path: '^src/ui', pathNot: TESTS },
      to: { path: '^src/actions/(server|registry|context)\\.' },
    },
    floor('spool-is-core-only', '^src/spool', '^src/(data|actions|app|ui|workers|demo)'),
    floor('demo-looks-down', '^src/demo', '^src/(app|ui|workers|spool)'),
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default'],
    },
  },
};

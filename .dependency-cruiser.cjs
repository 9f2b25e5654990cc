/** The arrows of the house: which room may import from which. `npm run check` holds the code to them. */
const room = (name, from, mayImport) => ({
  name: `${name}-arrows`,
  comment: `${name} may import ${mayImport.length ? mayImport.join(', ') : 'no other room'}`,
  severity: 'error',
  from: { path: from, pathNot: '\\.test\\.tsx?$' },
  to: { path: '^(core|db|server|features|app|ui|workers|cli|scripts|e2e)/', pathNot: [from, ...mayImport.map((to) => `^${to}/`)] },
});

/** @type {import('dependency-cruiser').IConfiguration} */
module.exports = {
  forbidden: [
    room('core', '^core/', []),
    {
      name: 'core-packages',
      comment: 'core uses zod, papaparse, date-fns and small numeric packages only',
      severity: 'error',
      from: { path: '^core/', pathNot: '\\.test\\.ts$' },
      to: {
        dependencyTypes: ['npm', 'npm-dev', 'core'],
        pathNot: 'node_modules/(zod|papaparse|@types/papaparse|pure-rand|d3-array|@types/d3-array|d3-polygon|@types/d3-polygon|date-fns|@date-fns/tz)/',
      },
    },
    room('db', '^db/', ['core']),
    room('server', '^server/', ['core', 'db']),
    room('features', '^features/', ['core', 'server', 'ui', 'workers']),
    room('app', '^app/', ['features', 'ui']),
    room('ui', '^ui/', ['core/units']),
    room('workers', '^workers/', ['core']),
    room('cli', '^cli/', ['core']),
    room('scripts', '^scripts/', ['core', 'db', 'cli', 'server/front']),
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'browser-keeps-out-of-the-server',
      comment: 'what runs in the browser (play, on the device) never reaches the server rooms',
      severity: 'error',
      from: { path: '^features/play/(device/|[^/]+\\.tsx?$)' },
      to: { path: '^(server|db)/' },
    },
  ],
  options: {
    tsConfig: { fileName: 'tsconfig.json' },
    tsPreCompilationDeps: true,
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(^|/)\\.next/' },
    enhancedResolveOptions: {
      extensions: ['.ts', '.tsx', '.mjs', '.cjs', '.js', '.json', '.scss', '.css'],
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
    },
  },
};

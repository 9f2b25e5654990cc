/** The arrows of the house: which room may import from which. `npm run check` holds the code to them. */
const room = (name, from, mayImport) => ({
  name: `${name}-arrows`,
  comment: `${name} may import ${mayImport.length ? mayImport.join(', ') : 'no other room'}`,
  severity: 'error',
  from: { path: from, pathNot: '\\.test\\.tsx?$' },
  to: { path: '^(core|db|server|features|app|ui|workers|cli|scripts|e2e)/', pathNot: [from, ...mayImport.map((to) => `^${to}/`)] },
});

/** What each folder of the core may import, from below upwards: every arrow goes down. What stands in none (stored, document, problem) is below all. */
const CORE = {
  units: [],
  math: ['units'],
  geometry: ['units'],
  measures: ['units'],
  golf: ['math', 'units'],
  shot: ['golf', 'math', 'units'],
  people: ['golf', 'measures', 'units'],
  game: ['golf', 'math', 'measures', 'shot', 'units'],
  physics: ['golf'],
  green: ['game', 'geometry', 'golf', 'math', 'measures', 'physics', 'units'],
  play: ['game', 'golf', 'math', 'shot', 'units'],
  hour: ['game', 'math'],
  weeks: ['game', 'hour', 'math', 'units'],
  exchange: ['game', 'golf', 'hour', 'shot', 'units'],
  sheet: ['game', 'geometry', 'green', 'measures', 'units'],
  skill: ['golf', 'math', 'shot', 'units'],
  'made-up': ['golf', 'math', 'skill', 'units'],
  board: ['geometry', 'golf', 'math', 'shot', 'skill', 'units'],
  forecast: ['game', 'golf', 'math', 'play', 'skill', 'units'],
  squad: ['geometry', 'golf', 'green', 'units'],
  plan: ['board', 'forecast', 'game', 'geometry', 'golf', 'green', 'hour', 'math', 'play', 'skill', 'units', 'weeks'],
  tools: ['forecast', 'game', 'geometry', 'golf', 'green', 'math', 'measures', 'physics', 'shot', 'skill', 'units'],
  report: ['board', 'game', 'play', 'shot', 'skill', 'units'],
  formats: ['board', 'game', 'golf', 'play', 'shot', 'skill', 'units'],
  imports: ['formats', 'game', 'golf', 'measures', 'shot', 'units'],
  logbook: ['golf', 'play', 'shot'],
  archive: ['formats', 'game', 'golf', 'green', 'hour', 'imports', 'logbook', 'people', 'report', 'shot', 'weeks'],
  demo: ['game', 'geometry', 'golf', 'green', 'hour', 'made-up', 'math', 'people', 'plan', 'play', 'shot', 'skill', 'units', 'weeks'],
};

/** What each area of the screen may use of the others. `form` is what they share; `shell` is the frame round all of them. */
const FEATURES = {
  form: [],
  account: ['form'],
  activity: ['form'],
  privacy: ['account'],
  api: ['report'],
  archive: ['api'],
  people: ['account', 'form'],
  settings: ['archive', 'form'],
  greens: ['form'],
  forecast: ['form'],
  session: ['form'],
  games: ['forecast', 'form', 'greens', 'play', 'session'],
  skill: ['forecast', 'form', 'games'],
  play: ['form', 'session'],
  report: ['form', 'skill'],
  players: ['form', 'session', 'skill'],
  families: ['account', 'form', 'logbook', 'play', 'report', 'session', 'skill'],
  imports: ['form'],
  logbook: ['form', 'games', 'imports', 'play', 'session'],
  plan: ['forecast', 'form', 'games', 'greens', 'play', 'players', 'session'],
  tools: ['form', 'greens', 'play', 'skill'],
  today: ['forecast', 'form', 'games', 'players', 'session'],
  shell: ['account', 'form', 'play', 'settings'],
};

/** Rules that hold the folders of a room to such a table. */
const within = (parent, table) =>
  Object.entries(table).map(([folder, mayImport]) => ({
    name: `${parent}-${folder}-arrows`,
    comment: `${parent}/${folder} may import ${mayImport.length ? mayImport.join(', ') : 'no other folder'}`,
    severity: 'error',
    from: { path: `^${parent}/${folder}/`, pathNot: '\\.test\\.tsx?$' },
    to: { path: `^${parent}/[^/]+/`, pathNot: [folder, ...mayImport].map((to) => `^${parent}/${to}/`) },
  }));

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
        pathNot:
          'node_modules/(zod|papaparse|@types/papaparse|pure-rand|d3-array|@types/d3-array|d3-polygon|@types/d3-polygon|date-fns|@date-fns/tz)/',
      },
    },
    ...within('core', CORE),
    ...within('features', FEATURES),
    room('db', '^db/', ['core']),
    room('server', '^server/', ['core', 'db']),
    room('features', '^features/', ['core', 'server', 'ui', 'workers']),
    room('app', '^app/', ['features', 'ui']),
    room('ui', '^ui/', ['core/units', 'core/measures']),
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

import { spawnSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, readdirSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';

const root = join(__dirname, '..');

/** Files that import something, and the rule that this breaks; null where it breaks none. */
const PROBES = [
  ['core/golf/a.ts', "import '../../db/actor';\n", 'core-arrows'],
  ['core/golf/b.ts', "import QR from 'qrcode';\nexport default QR;\n", 'core-packages'],
  ['core/golf/c.ts', "import { join } from 'node:path';\nexport default join;\n", 'core-packages'],
  ['core/golf/d.ts', "import '../skill/model';\n", 'core-golf-arrows'],
  ['core/skill/e.ts', "import '../golf/words';\n", null],
  ['ui/f.ts', "import '@/core/game/spec';\n", 'ui-arrows'],
  ['ui/g.ts', "import '@/core/units/length';\n", null],
  ['features/games/h.ts', "import '@/db/queries/games';\n", 'features-arrows'],
  ['features/games/i.ts', "import '../skill/board';\n", 'features-games-arrows'],
  ['features/games/j.ts', "import '../form/field';\n", null],
  ['features/play/device/k.ts', "import '@/server/env';\n", 'browser-keeps-out-of-the-server'],
  ['app/l.ts', "import '@/server/env';\n", 'app-arrows'],
  ['cli/m.ts', "import '@/db/actor';\n", 'cli-arrows'],
] as const;
/** What they import. */
const THERE = [
  'db/actor',
  'db/queries/games',
  'server/env',
  'core/skill/model',
  'core/golf/words',
  'core/game/spec',
  'core/units/length',
  'features/skill/board',
  'features/form/field',
];

/** What the check of the arrows says of such a house, built beside this one. */
function found(): string[] {
  const house = mkdtempSync(join(tmpdir(), 'inch-arrows-'));
  const write = (file: string, code: string) => {
    mkdirSync(dirname(join(house, file)), { recursive: true });
    writeFileSync(join(house, file), code);
  };
  try {
    for (const [file, code] of PROBES) write(file, code);
    for (const file of THERE) write(`${file}.ts`, 'export {};\n');
    write(
      'tsconfig.json',
      JSON.stringify({ compilerOptions: { paths: { '@/*': ['./*'] }, moduleResolution: 'bundler', module: 'esnext' } }),
    );
    write('package.json', JSON.stringify({ dependencies: { qrcode: '*' } }));
    symlinkSync(join(root, 'node_modules'), join(house, 'node_modules'));
    const command = join(root, 'node_modules/dependency-cruiser/bin/dependency-cruise.mjs');
    const config = ['--config', join(root, '.dependency-cruiser.cjs'), '--output-type', 'err'];
    const files = PROBES.map(([file]) => file);
    return spawnSync(process.execPath, [command, ...config, ...files], { encoding: 'utf8', cwd: house }).stdout.split('\n');
  } finally {
    rmSync(house, { recursive: true, force: true });
  }
}
const lines = found();

test.each(PROBES.filter(([, , rule]) => rule !== null))('an arrow against the grain is found: %s', (file, _code, rule) => {
  expect(lines.filter((line) => line.includes(`${rule}: ${file} `))).toHaveLength(1);
});

test.each(PROBES.filter(([, , rule]) => rule === null))('an arrow along the grain is let through: %s', (file) => {
  expect(lines.filter((line) => line.includes(file))).toEqual([]);
  expect(lines.join('\n')).toContain('dependency violations');
});

test('every folder of the core and of the features has its arrows', () => {
  const { forbidden } = createRequire(__filename)('../.dependency-cruiser.cjs') as { forbidden: { name: string }[] };
  const named = new Set(forbidden.map(({ name }) => name));
  const folders = ['core', 'features'].flatMap((room) =>
    readdirSync(join(root, room), { withFileTypes: true })
      .filter((entry) => entry.isDirectory())
      .map(({ name }) => `${room}-${name}-arrows`),
  );
  expect(folders.filter((name) => !named.has(name))).toEqual(['core-testing-arrows']);
});

import { spawnSync } from 'node:child_process';
import { mkdirSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

const root = join(__dirname, '..');

/** Files that import something, and the rule that this breaks; null where it breaks none. */
const PROBES = [
  ['core/zz-probe-1.ts', "import '../db/actor';\n", 'core-arrows'],
  ['core/zz-probe-2.ts', "import QR from 'qrcode';\nexport default QR;\n", 'core-packages'],
  ['core/zz-probe-3.ts', "import { join } from 'node:path';\nexport default join;\n", 'core-packages'],
  ['ui/zz-probe-4.ts', "import '@/core/game/spec';\n", 'ui-arrows'],
  ['features/zz-probe-5.ts', "import '../db/queries/games';\n", 'features-arrows'],
  ['app/zz-probe-6.ts', "import '../server/env';\n", 'app-arrows'],
  ['features/play/device/zz-probe-7.ts', "import '@/server/env';\n", 'browser-keeps-out-of-the-server'],
  ['cli/zz-probe-8.ts', "import '../db/actor';\n", 'cli-arrows'],
  ['ui/zz-probe-9.ts', "import '@/core/units/length';\n", null],
] as const;

/** What the check of the arrows says about all of them; the files are taken away again. */
function found(): string[] {
  const command = [join(root, 'node_modules/.bin/depcruise'), '--config', join(root, '.dependency-cruiser.cjs'), '--output-type', 'err'];
  try {
    for (const [file, code] of PROBES) {
      mkdirSync(join(root, file, '..'), { recursive: true });
      writeFileSync(join(root, file), code);
    }
    const files = PROBES.map(([file]) => file);
    return spawnSync(process.execPath, [...command, ...files], { encoding: 'utf8', cwd: root }).stdout.split('\n');
  } finally {
    for (const [file] of PROBES) rmSync(join(root, file), { force: true });
  }
}
const lines = found();

test.each(PROBES.filter(([, , rule]) => rule !== null))('an arrow against the grain is found: %s', (file, _code, rule) => {
  expect(lines.some((line) => line.includes(`${rule}: ${file} `))).toBe(true);
});

test('an arrow along the grain is let through', () => {
  expect(lines.filter((line) => line.includes('zz-probe-9'))).toEqual([]);
  expect(lines.join('\n')).toContain('dependency violations');
});

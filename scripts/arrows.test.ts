import { spawnSync } from 'node:child_process';
import { mkdirSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

const root = join(__dirname, '..');

/** What the check of the arrows says about a file that imports something; the file is taken away again. */
function arrowsWith(file: string, code: string): string {
  const path = join(root, file);
  mkdirSync(join(path, '..'), { recursive: true });
  writeFileSync(path, code);
  try {
    const command = [
      join(root, 'node_modules/.bin/depcruise'),
      '--config',
      join(root, '.dependency-cruiser.cjs'),
      '--output-type',
      'err',
      file,
    ];
    return spawnSync(process.execPath, command, { encoding: 'utf8', cwd: root }).stdout;
  } finally {
    rmSync(path);
  }
}

test.each([
  ['core/zz-probe.ts', "import '../db/actor';\n", 'core-arrows'],
  ['core/zz-probe.ts', "import { clsx } from 'd3-array';\nexport default clsx;\n", 'core-packages'],
  ['core/zz-probe.ts', "import { join } from 'node:path';\nexport default join;\n", 'core-packages'],
  ['ui/zz-probe.ts', "import '../core/game/spec';\n", 'ui-arrows'],
  ['features/zz-probe.ts', "import '../db/queries/games';\n", 'features-arrows'],
  ['app/zz-probe.ts', "import '../server/env';\n", 'app-arrows'],
  ['features/play/device/zz-probe.ts', "import '@/server/env';\n", 'browser-keeps-out-of-the-server'],
])('an arrow against the grain is found: %s', (file, code, rule) => {
  expect(arrowsWith(file, code)).toContain(rule);
});

test('an arrow along the grain is let through', () => {
  expect(arrowsWith('ui/zz-probe.ts', "import '../core/units/length';\n")).toContain('no dependency violations');
});

import { readdirSync, readFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import { SCHEME_KINDS } from '@/core/game/scoring';

const root = join(__dirname, '..');
const CODE = ['app', 'cli', 'core', 'db', 'features', 'scripts', 'server', 'ui', 'workers'];
/** Where a way of scoring may be named: its own two folders, and games that are written down as data. */
const MAY = ['core/game/scoring/', 'features/games/scoring/', 'core/game/library.ts', 'core/demo/', 'core/testing/'];

const sources = CODE.flatMap((folder) => readdirSync(join(root, folder), { recursive: true, withFileTypes: true }))
  .filter((entry) => entry.isFile() && /\.(ts|tsx|mjs|sql)$/.test(entry.name) && !/\.test\.tsx?$/.test(entry.name))
  .map((entry) => relative(root, join(entry.parentPath, entry.name)));

/** The lines that name a scheme, as a word in quotes or by its file. */
function naming(code: string): string[] {
  const files = SCHEME_KINDS.map((kind) => kind.replaceAll('_', '-'));
  const pattern = new RegExp(`(['"\`])(${SCHEME_KINDS.join('|')})\\1|scoring/(${files.join('|')})['"]`);
  return code.split('\n').filter((line) => pattern.test(line));
}

test('no file outside its two folders names a way of scoring', () => {
  const outside = sources.filter((file) => !MAY.some((place) => file.startsWith(place)));
  expect(outside.length).toBeGreaterThan(300);
  expect(outside.flatMap((file) => naming(readFileSync(join(root, file), 'utf8')).map((line) => `${file}: ${line.trim()}`))).toEqual([]);
});

test('a file that does is found', () => {
  const code = "if (scoring.scheme === 'total_left') return;\nimport { cellsOf } from '@/core/game/scoring/shot-matrix';\nconst hits = 3;";
  expect(naming(code)).toHaveLength(2);
});

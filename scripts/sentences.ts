import { readdirSync, readFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import { sentencesIn } from './lib/sentences';

/*
 * Every sentence of the interface on one page, to be read aloud in one go: `npm run sentences`, or of some folders `npm run sentences -- features/play`.
 */
const root = join(import.meta.dirname, '..');
const folders = process.argv.slice(2).length > 0 ? process.argv.slice(2) : ['app', 'features', 'core', 'ui', 'server', 'cli'];
const NOT_READ = /\.test\.tsx?$|-in-test\.tsx$|core\/(testing|made-up)\/|core\/.*\/golden\//;

let sentences = 0;
const files = folders
  .flatMap((folder) => readdirSync(join(root, folder), { recursive: true, withFileTypes: true }))
  .filter((entry) => entry.isFile() && /\.tsx?$/.test(entry.name))
  .map((entry) => relative(root, join(entry.parentPath, entry.name)))
  .filter((file) => !NOT_READ.test(file))
  .sort();
for (const file of files) {
  const said = sentencesIn(readFileSync(join(root, file), 'utf8'), file);
  if (said.length === 0) continue;
  sentences += said.length;
  console.log(`\n${file}`);
  for (const { line, text } of said) console.log(`  ${String(line).padStart(4)}  ${text}`);
}
console.log(`\n${sentences} sentences and labels in ${files.length} files`);

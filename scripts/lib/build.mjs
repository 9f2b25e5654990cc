import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { basename, join } from 'node:path';
import { root } from './install.mjs';
import { buildPlay } from './play.mjs';
import { run } from './run.mjs';
import { say, Stop } from './say.mjs';
import { shrinkFiles } from './shrink.mjs';

const SOURCES = [
  'app',
  'core',
  'db',
  'features',
  'server',
  'ui',
  'workers',
  'next.config.ts',
  'proxy.ts',
  'instrumentation.ts',
  'instrumentation-client.ts',
  'tsconfig.json',
  'tsconfig.base.json',
  'package-lock.json',
  'package.json',
  'scripts/lib/play.mjs',
  'scripts/lib/shrink.mjs',
];

function* files(path) {
  if (!existsSync(path)) return;
  if (!/\.[a-z]+$/.test(path) || /(^|\/)\.[^/]+$/.test(path)) {
    for (const entry of readdirSync(path, { withFileTypes: true }).sort((a, b) => (a.name < b.name ? -1 : 1))) {
      const inner = join(path, entry.name);
      if (entry.isDirectory()) yield* files(inner);
      else if (!/\.test\.tsx?$/.test(entry.name)) yield inner;
    }
  } else yield path;
}

function sourcesHash() {
  const hash = createHash('sha256');
  for (const source of SOURCES)
    for (const file of files(join(root, source))) hash.update(file.slice(root.length)).update(readFileSync(file));
  return hash.digest('hex');
}

const stamp = join(root, '.next', 'inch-sources');

/** Says that what was built is no more: play served from its sources stands in its place. */
export function forgetBuild() {
  rmSync(stamp, { force: true });
}

/** Builds what runs on threads of its own, for server/sums.ts. */
export const buildWorkers = () => buildFile('workers/sums.ts');

/**
 * Makes one file of a source and of all of ours that it needs, for Node.
 * @param more of esbuild's options
 * @returns where it is
 */
export async function buildFile(source, more = {}) {
  const esbuild = await import('esbuild');
  const outfile = join(root, '.build', `${basename(source, '.ts')}.mjs`);
  await esbuild.build({
    entryPoints: [join(root, source)],
    outfile,
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    tsconfig: join(root, 'tsconfig.json'),
    absWorkingDir: root,
    logLevel: 'error',
    ...more,
  });
  return outfile;
}

/** Builds the application, if its sources are not those of the build that is there. */
export async function ensureBuild() {
  const hash = sourcesHash();
  if (existsSync(stamp) && existsSync(join(root, '.build', 'sums.mjs')) && readFileSync(stamp, 'utf8') === hash) return;
  say('Building the application (about a minute) …');
  await buildPlay();
  await buildWorkers();
  const next = join(root, 'node_modules/next/dist/bin/next');
  if ((await run(process.execPath, [next, 'build'], { cwd: root })) !== 0) throw new Stop('The build failed, see above.');
  await shrinkFiles();
  writeFileSync(stamp, hash);
}

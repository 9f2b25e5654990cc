import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { brotliCompress, constants } from 'node:zlib';
import { root } from './install.mjs';

/** Scripts and styles whose names change with what is in them, and the addresses under which they are served. */
const FOLDERS = [
  { folder: '.next/static', at: '/_next/static', named: /\.(js|css)$/ },
  { folder: 'public/shell', at: '/shell', named: /-\w+\.(js|css)$/ },
];
const SMALL = '.br';

const compress = promisify(brotliCompress);

function* files() {
  for (const { folder, at, named } of FOLDERS)
    for (const name of readdirSync(join(root, folder), { recursive: true }))
      if (named.test(name)) yield { path: join(root, folder, name), address: `${at}/${name}` };
}

/** Writes beside each of them a smaller one, once for all who ask: at a phone's pace each 20 kB are a tenth of a second. */
export async function shrinkFiles() {
  await Promise.all(
    [...files()].map(async ({ path }) => {
      const text = readFileSync(path);
      const params = { [constants.BROTLI_PARAM_SIZE_HINT]: text.length };
      writeFileSync(path + SMALL, await compress(text, { params }));
    }),
  );
}

/** The addresses of the files that there is a smaller one of. */
export function shrunkFiles() {
  const shrunk = [...files()].filter(({ path }) => existsSync(path + SMALL));
  return new Set(shrunk.map(({ address }) => address));
}

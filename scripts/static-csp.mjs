import { createHash } from 'node:crypto';
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './lib/install.mjs';

/** Pages that are the same file for everybody, so that no request can put a nonce into them. */
const STATIC_PAGES = ['play'];

/**
 * Writes the hashes of the scripts that stand inside the static pages of a build, for the content security policy
 * under which `proxy.ts` serves them.
 */
export function writeStaticHashes() {
  const hashes = {};
  for (const page of STATIC_PAGES) {
    const html = readFileSync(join(root, '.next/server/app', `${page}.html`), 'utf8');
    const inline = [...html.matchAll(/<script(?![^>]*\bsrc=)[^>]*>([\s\S]*?)<\/script>/g)].map((match) => match[1]);
    hashes[`/${page}`] = inline.map((text) => `'sha256-${createHash('sha256').update(text).digest('base64')}'`);
  }
  writeFileSync(join(root, '.next/static-hashes.json'), JSON.stringify(hashes));
}

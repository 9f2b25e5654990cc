import { execFile } from 'node:child_process';
import { promisify } from 'node:util';
import { expect, test } from '@playwright/test';

/** The program set up in more than one piece: the trials of docs/scaling.md say line by line what holds. */
for (const [name, checks] of [
  ['instances', 7],
  ['pooler', 6],
  ['replica', 8],
] as const)
  test(`npm run try:${name}`, async () => {
    test.setTimeout(900_000);
    const { stdout } = await promisify(execFile)(process.execPath, [`scripts/try-${name}.mjs`], { timeout: 880_000 });
    expect(stdout.match(/^ {2}✓ /gm)).toHaveLength(checks);
  });

import { execFile } from 'node:child_process';
import { promisify } from 'node:util';
import { expect, test } from './test';

/** What an operator does when a disk is lost, done from end to end with the scripts that they would use. */

test('a backup that was made while people wrote is restored into a fresh cluster: every table and board is the same, whoever was erased stays erased', async () => {
  test.setTimeout(400_000);
  const { stdout } = await promisify(execFile)(process.execPath, ['scripts/try-backup.mjs'], { timeout: 390_000 });
  expect(stdout).toMatch(/Backed up while \d{2,} pairs of rows were written\./);
  for (const what of ['A damaged backup', 'A wrong passphrase', 'A database that is in use']) expect(stdout).toContain(`${what}: refused`);
  expect(stdout).toMatch(/Equal after restoring: \d{2} tables and \d boards; \S+ is erased in both; no pair by half\./);
  expect(stdout).toContain('Restored again over itself with --replace.');
});

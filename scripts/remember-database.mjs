import { spawnSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { prepareDatabase } from './lib/app.mjs';
import { checkNode, ensurePackages, ensurePostgres, root } from './lib/install.mjs';
import { startThrowawayCluster } from './lib/postgres.mjs';
import { main, say } from './lib/say.mjs';

/**
 * Keeps a small database of this version of the program, so that every later one is tried on it (db/queries/landed-databases.test.ts): two players of
 * the demo, with the last sessions of each. It is made once, when the schema has changed and before that lands; afterwards it stays as it is.
 */
const TRIM = `
do $$ declare keep uuid[]; begin
  select array_agg(session_id) into keep from (
    select session_id, row_number() over (partition by player_id order by started_at desc) as nth
    from session join session_player using (academy_id, session_id) join player using (academy_id, player_id)
    where name in ('Ottilie', 'Zélie')) as played where nth <= 3;
  delete from session where not (session_id = any(keep));
  delete from player where name not in ('Ottilie', 'Zélie');
end $$`;

await main(async () => {
  checkNode();
  await ensurePackages();
  const bin = await ensurePostgres();
  const { entries } = JSON.parse(readFileSync(join(root, 'db/migrations/meta/_journal.json'), 'utf8'));
  const file = `db/testing/landed/${entries.at(-1).tag}.sql.gz`;
  const cluster = await startThrowawayCluster(bin);
  const asked = (name, ...args) => {
    const { status, stdout, stderr } = spawnSync(join(bin, name), args, { encoding: 'utf8', maxBuffer: 1e9 });
    if (status !== 0) throw new Error(stderr);
    return stdout;
  };
  try {
    const url = cluster.addDatabase('remembered');
    await prepareDatabase(url, { demo: true });
    asked('psql', '-q', '-v', 'ON_ERROR_STOP=1', url, '-c', TRIM);
    const dump = asked('pg_dump', '--data-only', '--inserts', '--rows-per-insert=100', '--schema=public', '--no-owner', url);
    writeFileSync(join(root, file), gzipSync(dump, { level: 9 }));
    say(`${file} is written.`);
  } finally {
    cluster.stop();
  }
});

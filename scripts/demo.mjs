import { keepApp, prepareDatabase } from './lib/app.mjs';
import { buildWorkers, ensureBuild, forgetBuild } from './lib/build.mjs';
import { checkNode, ensurePackages, ensurePostgres } from './lib/install.mjs';
import { takeLock } from './lib/lock.mjs';
import { buildPlay } from './lib/play.mjs';
import { dataFolder, keptSecret, startCluster, writableFolder } from './lib/postgres.mjs';
import { main, say } from './lib/say.mjs';
import { chosenPort, chosenUrl, undoing } from './lib/settings.mjs';

const mode = process.argv.includes('--dev') ? 'dev' : 'start';

/** The demo: the program with an invented academy in a database of its own. */
await main(async () => {
  checkNode();
  const { port, host } = await chosenPort();
  const publicUrl = chosenUrl(`http://127.0.0.1:${port}`);
  const folder = writableFolder(dataFolder());
  const { undo, tidy } = undoing();
  undo.push(takeLock(folder));
  try {
    await ensurePackages();
    let databaseUrl = process.env.DATABASE_URL;
    if (!databaseUrl) {
      const cluster = await startCluster(await ensurePostgres(), folder);
      undo.push(cluster.stop);
      databaseUrl = cluster.url;
    }
    await prepareDatabase(databaseUrl, { demo: true });
    if (mode === 'start') await ensureBuild();
    else {
      forgetBuild();
      await buildPlay({ watch: true });
      await buildWorkers();
    }
    const secret = keptSecret(folder, 'auth-secret');
    const app = await keepApp(mode, { port, host, databaseUrl, publicUrl, secret, dataFolder: folder, demo: true, logLevel: 'warn' });
    undo.push(app.stop);
    say(`\nInch Game is at ${publicUrl}`);
    say('Demo coach: ines@lantern-hollow.example, password: seven-paces-out');
    say('Demo assistant, who scores for one group: perrin@lantern-hollow.example, the same password');
    say('Demo guardian, who sees one player: anselm@lantern-hollow.example, the same password');
    if (!process.env.SMTP_URL) say(`What it would send by e-mail is at ${publicUrl}/outbox`);
    say('Ctrl-C ends it.');
    await app.over;
  } finally {
    await tidy();
  }
});

import { makeTally, runChecks } from './lib/checks.mjs';
import { checkNode, ensurePackages } from './lib/install.mjs';
import { main } from './lib/say.mjs';
import { runJest } from './lib/suites.mjs';

/** The daily check: types, lint, format, arrows, unused code, and the unit tests that need no database. */
await main(async () => {
  checkNode();
  await ensurePackages();
  const tally = makeTally();
  await runChecks(tally);
  tally.add(await runJest(undefined, process.argv.slice(2)));
  tally.finish();
});

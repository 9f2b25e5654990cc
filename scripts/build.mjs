import { ensureBuild } from './lib/build.mjs';
import { checkNode, ensurePackages } from './lib/install.mjs';
import { main } from './lib/say.mjs';

await main(async () => {
  checkNode();
  await ensurePackages();
  await ensureBuild();
});

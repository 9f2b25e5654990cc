import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { onBed } from './lib/bed.mjs';
import { main, Stop } from './lib/say.mjs';

/**
 * Tries 2,000 small academies in one database (`TRY_ACADEMIES` makes them fewer): what pages and balls take while the large tables are whole, and once they are laid
 * out in 64 partitions by academy; then that all of the program holds there.
 */
await main(async () => {
  const folder = mkdtempSync(join(tmpdir(), 'inch-parts-'));
  const [whole, parts] = ['whole', 'parts'].map((name) => join(folder, `${name}.json`));
  try {
    await onBed({ instances: 1 }, async ({ start, end, does }) => {
      const must = async (script, ...args) => {
        if ((await does(script, ...args)) !== 0) throw new Stop('It does not hold, see above.');
      };
      await must('scripts/partitions.ts', 'fill');
      await start();
      await must('scripts/partitions.ts', 'look', whole);
      await end();
      await must('scripts/partitions.ts', 'split');
      await start();
      await must('scripts/partitions.ts', 'look', parts);
      await must('scripts/partitions.ts', 'compare', whole, parts);
      await must('scripts/trial.ts', 'pages', 'live', 'rights', 'reading', 'record');
    });
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
});

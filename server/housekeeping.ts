import 'server-only';
import { tidyUp } from '@/db/queries/erase';
import { database } from './db';
import { keepErasure } from './erasures';
import { doorsEnded } from './live';
import { log } from './log';

const HOUR_MS = 3_600_000;
const SOON_MS = 10_000;
const held = globalThis as { inchGameHouse?: NodeJS.Timeout };

/** Does what is due soon after the start, and then every hour. */
export function keepHouse(): void {
  if (held.inchGameHouse) return;
  held.inchGameHouse = setInterval(tidy, HOUR_MS).unref();
  setTimeout(tidy, SOON_MS).unref();
}

async function tidy() {
  try {
    const done = await tidyUp(database(), new Date(), (academyId) => keepErasure({ academyId, playerId: null }));
    if (done.academies + done.players + done.sessions === 0) return;
    doorsEnded();
    log.info(done, 'deleted what was due');
  } catch (error) {
    log.error({ err: error }, 'what is due could not be deleted');
  }
}

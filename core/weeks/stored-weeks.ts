import { documentKind, type Holds } from '../document';
import { storedGames } from '../game/stored-games';
import { eachGame } from '../hour/stored-hours';
import { WEEKS_STEPS } from './steps';
import type { Weeks } from './weeks';

const games: Holds = { kind: storedGames, each: (weeks, of) => ({ ...weeks, blocks: eachGame(weeks.blocks, of) }) };

/** Planned weeks that were stored. */
export const storedWeeks = documentKind<Weeks>(WEEKS_STEPS, games);

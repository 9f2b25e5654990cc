import type { Endpoint } from './endpoint';
import { GAMES } from './games';
import { PEOPLE } from './people';
import { RECORDS } from './records';

/** All that another program can ask, but for the archive, which is no JSON. */
export const ENDPOINTS: readonly Endpoint[] = [...PEOPLE, ...GAMES, ...RECORDS];

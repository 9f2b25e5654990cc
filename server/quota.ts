import 'server-only';
import { inDatabase, lazily, takes, type MakeLimiter } from './limiter';

/** Takes so much of somebody's share; false, and nothing is taken, where it is used up. */
export type Quota = (who: string, count: number) => Promise<boolean>;

/**
 * So much for each within a window, which begins with the first that is taken, over all instances of the program.
 * @param name under which it is counted
 */
export function makeQuota(name: string, { most, windowMs }: { most: number; windowMs: number }, make: MakeLimiter = inDatabase): Quota {
  const limiter = lazily(() => make(name, most, windowMs / 1000));
  return (who, count) => takes(limiter(), who, count);
}

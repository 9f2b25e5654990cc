import { sql, type SQL } from 'drizzle-orm';
import type { Actor } from '../actor';
import { academy } from '../schema';

/** The moment at which a day begins in the time zone of the academy. @param later so many days after it */
export function beginsOn({ academyId }: Actor, day: string, later = 0): SQL {
  const zone = sql`(select ${academy.timeZone} from ${academy} where ${academy.academyId} = ${academyId})`;
  return sql`(${day}::date + ${later}::int)::timestamp at time zone ${zone}`;
}

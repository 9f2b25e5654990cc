/** @jest-environment node */
import { askOn } from './testing/on-database';
import { sql } from 'drizzle-orm';
import type { Limited } from '@/db/actor';
import { academies } from '@/db/testing/academy';
import type { LimitedQuery } from './about';
import { dataOf } from './data';
import { queriesOf } from './rights';
import { ASKED, MARK, twoGroups as makeTwoGroups, type At } from './testing/ask-everything';

/*
 * An assistant, and a guardian, ask everything that they may ask, about a player who is none of theirs: nothing of that player comes back, and
 * nothing of theirs changes. The coach asks the same, and gets it: so it is there.
 */
const { db, pool, academy } = academies('sees', 35_000);
askOn(db);
afterAll(() => pool.end());

jest.setTimeout(60_000);
const twoGroups = () => makeTwoGroups({ db, academy });
/** What the coach is shown of the other player when they ask the same. */
const SHOWN: readonly LimitedQuery[] = [
  ...([
    'listPlayers',
    'listPlayerNames',
    'getPlayer',
    'bagOf',
    'lastOfGames',
    'listHours',
    'getHour',
    'hoursOf',
    'listWeeks',
    'getWeeks',
    'weeksOfHour',
  ] as const),
  ...(['kitOf', 'getSession', 'eventsOfSession', 'sessionLog', 'shotsOfSessions', 'shotsOfPlayer', 'unfinishedSessions'] as const),
  ...(['finishedSessions', 'logbookPage', 'logbookShots', 'notesOfSessions', 'listTags', 'withShots', 'heldPosterior'] as const),
  ...(['heldBriefs', 'keptMadeFrom', 'heldSkills', 'shotsOfCell', 'familyOf', 'placesOf'] as const),
];
/** What changes when the coach does it. */
const CHANGES = /^(save|keep|take|start|stop|resume|give|ask)/;

const plain = (answer: unknown) =>
  JSON.stringify(answer, (_key, value: unknown) => (value instanceof Map ? [...(value as Map<unknown, unknown>)] : value)) ?? '';

/** All rows in which the other player, or one of their sessions and plans, stands; but for what was done with them. */
async function ofTheirs({ actor, hidden, session, open, id }: At): Promise<string> {
  const tables = await db.execute<{ name: string }>(
    sql`select table_name as name from information_schema.columns where table_schema = 'public' and column_name = 'academy_id'
      and table_name <> 'activity' order by 1`,
  );
  const all: string[] = [];
  const theirs = [hidden, session, open, id(54), id(55)].map((one) => `%${one}%`);
  for (const { name } of tables.rows) {
    const { rows } = await db.execute<{ row: string }>(sql`select to_jsonb(t)::text as row from ${sql.identifier(name)} t
      where academy_id = ${actor.academyId} and to_jsonb(t)::text like any(${sql.param(theirs)}::text[]) order by 1`);
    all.push(...rows.map(({ row }) => `${name} ${row}`));
  }
  return all.join('\n');
}

test.each(['assistant', 'guardian'] as const)('%s: sees nothing of other players, and changes nothing of theirs', async (role) => {
  const at = await twoGroups();
  const data = dataOf<Limited['kind']>(at[role]) as unknown as Record<string, (...asked: unknown[]) => Promise<unknown>>;
  const names = queriesOf(role) as LimitedQuery[];
  const before = await ofTheirs(at);
  expect(before.split('\n').length).toBeGreaterThan(15);
  for (const name of names) {
    const answer = await data[name]!(...ASKED[name](at)).catch((error: Error) => error.constructor.name);
    const said = plain(answer);
    expect([name, said.includes(MARK), said.includes(at.hidden), said.includes(at.session)]).toEqual([name, false, false, false]);
    // Where it counts, it counts nothing.
    if (name === 'logbookCount') expect(answer).toBe(0);
    if (name === 'countUnfinished') expect(answer).toBe(((await data.unfinishedSessions!(100)) as unknown[]).length);
    if (name === 'isPlannedFor' || name === 'hasPlayed') expect(answer).toBe('NotTheirs');
    // Nothing else goes wrong on the way.
    if (typeof answer === 'string') expect([name, answer]).not.toEqual([name, expect.stringMatching(/Error$/)]);
  }
  expect(await ofTheirs(at)).toBe(before);
});

/** Whoever asks the same about somebody of theirs: a coach, or what a coach can't ask, their own guardian. */
const whoMay = (name: LimitedQuery, { actor: { academyId, userId }, hidden }: At) =>
  queriesOf('coach').includes(name)
    ? dataOf({ kind: 'coach', academyId, userId })
    : dataOf({ kind: 'guardian', academyId, userId, players: [hidden] });

test('a coach, or their own guardian, who asks the same is shown it, and changes it', async () => {
  const same = await twoGroups();
  for (const name of new Set([...queriesOf('assistant'), ...queriesOf('guardian')] as LimitedQuery[])) {
    if (!SHOWN.includes(name) && !CHANGES.test(name)) continue;
    const at = CHANGES.test(name) ? await twoGroups() : same;
    const data = whoMay(name, at) as unknown as Record<string, (...asked: unknown[]) => Promise<unknown>>;
    const before = CHANGES.test(name) ? await ofTheirs(at) : '';
    const said = plain(await data[name]!(...ASKED[name](at)));
    if (SHOWN.includes(name)) expect([name, said.includes(MARK) || said.includes(at.hidden)]).toEqual([name, true]);
    else expect([name, (await ofTheirs(at)) !== before]).toEqual([name, true]);
  }
});

import { asc, eq, getTableColumns } from 'drizzle-orm';
import { newPlayer } from '@/core/people/player';
import { idOf } from '@/core/testing/make';
import { academy as academyTable, player, session } from '../schema';
import { academies } from '../testing/academy';
import { archivePlayer, savePlayer, saveRoundMix } from './players';
import { rowsInOne } from './rows-in-one';

const { db, pool, academy } = academies('rows-in-one', 61_000);
afterAll(() => pool.end());

test('the same rows in the same order, field by field, as if each had been asked for', async () => {
  const at = await academy();
  for (const [i, name] of ['Zélie', 'ábel', 'Bo "the wall"'].entries())
    await savePlayer(db, at.actor, idOf(at.n * 100_000 + 20 + i), { ...newPlayer(name, 'metric'), level: -2.5 + i });
  await saveRoundMix(db, at.actor, at.playerId, { 'putt|green|3': 9.25 });
  await archivePlayer(db, at.actor, at.playerId, true);
  for (const [table, order] of [
    [player, player.name],
    [session, session.startedAt],
    [academyTable, academyTable.academyId],
  ] as const) {
    const mine = eq(table.academyId, at.actor.academyId);
    const plain = await db.select().from(table).where(mine).orderBy(asc(order));
    expect(plain.length).toBeGreaterThan(0);
    expect(await rowsInOne(db, table, getTableColumns(table), mine, asc(order))).toEqual(plain);
  }
  expect(await rowsInOne(db, player, { name: player.name }, eq(player.academyId, 'nowhere'), asc(player.name))).toEqual([]);
});

import { asSquadQuery, MOST_PLAYERS, readSquadAsked, whoIsHere } from './asked';

const idOf = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
const ids = (count: number) => Array.from({ length: count }, (_, n) => idOf(n));
const read = (query: string) => {
  const params: Record<string, string[]> = {};
  for (const [name, value] of new URLSearchParams(query)) (params[name] ??= []).push(value);
  return readSquadAsked(Object.fromEntries(Object.entries(params).map(([name, all]) => [name, all.length === 1 ? all[0] : all])));
};

test('what is asked stands in the address, without what is usual, and is read from it again', () => {
  const asked = { ...readSquadAsked({}), group: idOf(1), with: ids(3), without: [idOf(7)], by: 'level' as const, minutes: 45 };
  expect(read(asSquadQuery(asked))).toEqual(asked);
  expect(asSquadQuery(readSquadAsked({}))).toBe('');
});

test('what makes no sense is passed over', () => {
  const asked = readSquadAsked({ with: ['x'], without: 'y', group: '1', stations: 'many', minutes: '5', by: 'luck' });
  expect(asked).toEqual(readSquadAsked({}));
});

test('of a squad all are there but those left out; of more than are arranged only who was chosen', () => {
  const asked = { ...readSquadAsked({}), with: ids(2), without: [idOf(0)] };
  const squad = whoIsHere(ids(MOST_PLAYERS), asked);
  expect([squad.chosen, squad.here.size, squad.here.has(idOf(0))]).toEqual([false, MOST_PLAYERS - 1, false]);
  const many = whoIsHere(ids(MOST_PLAYERS + 1), asked);
  expect([many.chosen, [...many.here]]).toEqual([true, ids(2)]);
});

import { whoIsShown } from './who-is-shown';

const player = (playerId: string, daysAgo: number | null) => ({
  player: { playerId },
  lastAt: daysAgo === null ? null : new Date(Date.UTC(2026, 4, 20 - daysAgo)),
});
const ids = (players: readonly { player: { playerId: string } }[]) => players.map((one) => one.player.playerId).join(' ');

test('whoever is usually here on this weekday comes first, then whoever was here last', () => {
  const players = [player('otto', 5), player('mia', 8), player('new', null), player('ada', 1)];
  const shown = whoIsShown(
    players,
    new Map([
      ['mia', 3],
      ['otto', 2],
    ]),
  );
  expect([ids(shown.expected), ids(shown.others), shown.usual]).toEqual(['mia', 'ada otto new', 1]);
});

test('of a large squad two dozen of those who are usually here are shown; else a dozen in all', () => {
  const players = Array.from({ length: 60 }, (_, i) => player(`p${i}`, i));
  const usually = (many: number) => new Map(players.slice(0, many).map((one) => [one.player.playerId, 6]));
  const counts = (many: number) => {
    const { expected, others, usual } = whoIsShown(players, usually(many));
    return [expected.length, others.length, usual];
  };
  expect([counts(40), counts(20), counts(5), counts(0)]).toEqual([
    [24, 0, 40],
    [20, 0, 20],
    [5, 7, 5],
    [0, 12, 0],
  ]);
});

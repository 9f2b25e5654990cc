import fc from 'fast-check';
import { conflictsOf } from '../green/conflicts';
import { partiesOf } from '../green/parties';
import { DEMO_GREENS } from '../demo/greens';
import { inTheWayOn } from './on-green';
import { grouped, GROUPINGS, squadSession, type Squaddie, type SquadWish } from './squad-session';

const squad = (n: number): Squaddie[] =>
  Array.from({ length: n }, (_, i) => ({
    playerId: `p${i}`,
    name: `Player ${i + 1}`,
    level: (i * 7) % 29,
    lost: i % 4 === 0 ? null : (i % 5) - 2,
    weakest: i % 3 === 0 ? null : ['chip|fairway', 'putt|green'][i % 2]!,
  }));
const clear = (n: number) => Array.from({ length: n }, () => new Array<boolean>(n).fill(false));
const wish = (players: number, stations: number, more: Partial<SquadWish> = {}): SquadWish => ({
  players: squad(players),
  stations: Array.from({ length: stations }, (_, i) => ({ name: `Station ${i + 1}`, balls: 4 })),
  inTheWay: clear(stations),
  groups: null,
  by: 'level',
  minutes: 600,
  roundMinutes: 6,
  changeMinutes: 2,
  ...more,
});

test('2 to 40 players over 1 to 12 stations: everybody everywhere once, groups within one of each other, nobody twice', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 2, max: 40 }),
      fc.integer({ min: 1, max: 12 }),
      fc.constantFrom(...GROUPINGS),
      (players, stations, by) => {
        const { groups, rounds, reasons } = squadSession(wish(players, stations, { by }));
        const sizes = groups.map((group) => group.length);
        expect(Math.max(...sizes) - Math.min(...sizes)).toBeLessThanOrEqual(1);
        expect(
          groups
            .flat()
            .map(({ playerId }) => playerId)
            .toSorted(),
        ).toEqual(
          squad(players)
            .map(({ playerId }) => playerId)
            .toSorted(),
        );
        expect(rounds).toHaveLength(stations);
        groups.forEach((_, group) => expect(new Set(rounds.map(({ at }) => at[group])).size).toBe(stations));
        expect(reasons).toEqual([]);
      },
    ),
    { numRuns: 80 },
  );
});

test('one bell for all, and the coach with each group in turn', () => {
  const { rounds, balls, groups } = squadSession(wish(11, 4));
  expect(rounds.map(({ from, to }) => [from, to])).toEqual([
    [0, 6],
    [8, 14],
    [16, 22],
    [24, 30],
  ]);
  expect(rounds.map(({ coach }) => coach)).toEqual([0, 1, 2, 3]);
  expect(groups.map((group) => group.length)).toEqual([3, 3, 3, 2]);
  expect(balls).toEqual([12, 12, 12, 12]);
});

test('an impossible wish gets the nearest answer and the reason', () => {
  expect(squadSession(wish(8, 6, { minutes: 30 })).reasons).toEqual([
    'In 30 minutes there is time for 4 of 6 rounds: everybody gets to 4 of the 6 stations.',
  ]);
  expect(squadSession(wish(8, 6, { minutes: 5 })).reasons).toEqual(['5 minutes are too short for a round of 6 minutes.']);
  expect(squadSession(wish(8, 3, { groups: 5 })).reasons).toEqual(['5 groups have no room at 3 stations: 3 it is.']);
  expect(squadSession(wish(3, 6, { groups: 5 })).reasons).toEqual(['There are only 3 players for 5 groups.']);
});

test('lines that cross: fewer groups where that helps and none gets much larger, else it says which', () => {
  const crossing = clear(6);
  for (const [a, b] of [
    [0, 1],
    [2, 3],
  ] as const)
    crossing[a]![b] = crossing[b]![a] = true;
  const avoided = squadSession(wish(9, 6, { inTheWay: crossing }));
  expect([avoided.groups.length, avoided.conflicts]).toEqual([3, []]);
  expect(avoided.reasons).toEqual(['With 6 groups, lines of play cross. We found none that cross with 3.']);
  // Twice as large they would be too large.
  expect(squadSession(wish(12, 6, { inTheWay: crossing })).groups).toHaveLength(6);
  const all = Array.from({ length: 3 }, (_, a) => Array.from({ length: 3 }, (_, b) => a !== b));
  const stuck = squadSession(wish(12, 3, { inTheWay: all }));
  expect(stuck.groups).toHaveLength(3);
  expect(stuck.reasons[0]).toBe(
    'In each other’s line, and not to be kept apart here: Station 1 with Station 2; Station 1 with Station 3; Station 2 with Station 3. Take turns there, or move one.',
  );
});

test('by level neighbours are together, by help each group has strong and weak, by weakness those with the same', () => {
  const players = squad(12);
  const spread = (groups: Squaddie[][]) =>
    Math.max(...groups.map((group) => Math.max(...group.map(({ level }) => level)) - Math.min(...group.map(({ level }) => level))));
  expect(spread(grouped(players, 4, 'level'))).toBeLessThan(spread(grouped(players, 4, 'help')));
  const [first] = grouped(players, 3, 'weakness');
  expect(new Set(first!.map(({ weakest }) => weakest)).size).toBe(1);
});

test('eleven on the practice green: no two stations in use that are in each other’s way, badly', () => {
  const [low] = DEMO_GREENS;
  const inTheWay = inTheWayOn(low!);
  const { rounds, reasons } = squadSession({
    ...wish(11, low!.stations.length, { inTheWay }),
    stations: low!.stations.map((_, i) => ({ name: `Station ${i + 1}`, balls: 4 })),
  });
  expect(rounds).toHaveLength(6);
  const red = rounds.map(({ at }) => {
    const stations = at.map((i) => low!.stations[i]!);
    return conflictsOf(partiesOf({ ...low!, stations, groups: [] })).filter(({ level }) => level === 'red').length;
  });
  if (reasons.every((reason) => !reason.includes('not to be kept apart'))) expect(red.every((n) => n === 0)).toBe(true);
  expect(inTheWay.flat().filter(Boolean).length % 2).toBe(0);
});

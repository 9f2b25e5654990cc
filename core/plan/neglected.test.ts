import { neglectedOf } from './neglected';

const DAY = '2026-05-01';
const shot = (key: string, uses: number, last: string | null) => ({
  key,
  uses,
  lastAt: last === null ? null : new Date(`${last}T18:00:00Z`),
});

test('never hit or not for four weeks, what comes up most first; nothing rare', () => {
  const shots = [
    shot('lately', 3, '2026-04-04'),
    shot('four weeks ago', 1, '2026-04-03'),
    shot('never', 2, null),
    shot('rare', 0.19, null),
    shot('once in five rounds', 0.2, null),
  ];
  expect(neglectedOf(shots, DAY)).toEqual(['never', 'four weeks ago', 'once in five rounds']);
});

test('three at a time, other ones each turn, until all came round', () => {
  const shots = ['a', 'b', 'c', 'd', 'e'].map((key, i) => shot(key, 9 - i, null));
  expect([0, 1, 2].map((turn) => neglectedOf(shots, DAY, turn).join(''))).toEqual(['abc', 'de', 'abc']);
  expect(neglectedOf([], DAY, 3)).toEqual([]);
});

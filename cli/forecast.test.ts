import { writeGameFile } from '@/core/game/file';
import { LIBRARY } from '@/core/game/library';
import { forecast } from './forecast';

type Answer = Record<string, number | string | null> & { suggested_goal: { goal: number; chance: number } };
const HEAD = 'player,shot_type,surface,distance_yd,left_ft,played_at';
const chips = (player: string, feet: number, n = 40) =>
  Array.from({ length: n }, () => `${player},chip,fairway,13,${feet},2026-05-01T10:00:00Z`).join('\n');
const game = writeGameFile(LIBRARY.find(({ key }) => key === 'three-hoops')!.spec);
const open = writeGameFile(LIBRARY.find(({ key }) => key === 'wander')!.spec);
const files: Record<string, string> = {
  'game.json': game,
  'open.json': open,
  'near.csv': `${HEAD}\n${chips('Ada', 2)}`,
  'far.csv': `${HEAD}\n${chips('Ada', 30)}`,
  'two.csv': `${HEAD}\n${chips('Ada', 2)}\n${chips('Bo', 20)}`,
  'wrong.csv': `${HEAD}\nAda,chip,moon,13,2,2026-05-01T10:00:00Z`,
};
const run = (...args: string[]) => forecast(args, (path) => files[path]!) as unknown as Answer;

test('a level: where eight of ten games end, the chance of the goal, a goal to try for, and what a ball tells', () => {
  const answer = run('game.json', '--level', '10', '--games', '4000');
  expect(answer).toMatchObject({ level: 10, games: 4000, seed: 1, unit: 'points', goal: 13 });
  const [p10, p50, p90] = [answer.p10, answer.p50, answer.p90] as number[];
  expect(p10).toBeLessThan(p50!);
  expect(p50).toBeLessThan(p90!);
  expect(answer.mean).toBeGreaterThan(p10!);
  expect(answer.goal_chance).toBeGreaterThan(0.4);
  expect(Math.abs(answer.suggested_goal.chance - 0.4)).toBeLessThan(0.05);
  expect(answer.information_per_ball).toBeGreaterThan(0.7);
  expect(run('game.json', '--level', '10', '--games', '4000')).toEqual(answer);
  expect(run('game.json', '--level', '10', '--games', '4000', '--seed', '2').mean).not.toBe(answer.mean);
});

test('records say more than the level: near ones make it easier, far ones harder', () => {
  const [near, far] = ['near.csv', 'far.csv'].map((shots) => run('game.json', '--shots', shots, '--games', '2000'));
  expect(near).toMatchObject({ player: 'Ada', balls: 40 });
  expect(near!.mean).toBeGreaterThan(far!.mean as number);
});

test('shots that came off as asked count in a game of such shots', () => {
  const matrix = (asAsked: string) => {
    const rows = Array.from({ length: 30 }, () => `Ada,pitch,fairway,30,9,2026-05-01T10:00:00Z,${asAsked}`);
    const table = [`${HEAD},executed`, ...rows].join('\n');
    const game = writeGameFile(LIBRARY.find(({ key }) => key === 'weathervane')!.spec);
    const read = (path: string) => (path === 'm.json' ? game : table);
    return (forecast(['m.json', '--shots', 't.csv', '--games', '1000'], read) as unknown as Answer).mean as number;
  };
  expect(matrix('true')).toBeGreaterThan(matrix('false') + 2);
});

test('what does not fit is refused with a sentence', () => {
  expect(() => run()).toThrow('Usage: npm run -s inch -- forecast GAME.json');
  expect(() => run('game.json', 'near.csv')).toThrow('Usage:');
  expect(() => run('game.json', '--level', 'good')).toThrow('--level: Enter a level such as 18');
  expect(() => run('game.json', '--games', '0')).toThrow('--games is at least 1.');
  expect(() => run('game.json', '--seed', '1.5')).toThrow('--seed is a whole number.');
  expect(() => run('game.json', '--shots', 'two.csv')).toThrow('it holds 2 players');
  expect(() => run('game.json', '--shots', 'wrong.csv')).toThrow(/wrong.csv: line 2: .*moon/);
  expect(() => run('open.json')).toThrow('it has no station yet');
});

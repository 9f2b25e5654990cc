import { diagnose } from './diagnose';

type Answer = {
  player: string;
  level: number;
  balls: number;
  as_of: string | null;
  half_life_days: number | null;
  summary: string;
  ignored_columns?: string[];
  cells: {
    shot_type: string;
    surface: string;
    band_min: number;
    balls: number;
    lost_per_shot: number;
    p_weakest3: number;
    uses_per_round: number;
  }[];
};
const HEAD = 'player,shot_type,surface,distance_yd,left_ft,played_at,mood';
const chips = (player: string, feet: number, day: string, n = 12) =>
  Array.from({ length: n }, () => `${player},chip,fairway,12,${feet},2026-${day}T10:00:00Z,fine`);
const run = (rows: readonly string[], ...args: string[]) =>
  diagnose(['shots.csv', ...args], () => [HEAD, ...rows].join('\n')) as unknown as Answer;
const chip = ({ cells }: Answer) => cells.find((cell) => cell.shot_type === 'chip' && cell.surface === 'fairway' && cell.band_min === 10)!;

test('one player’s balls: every skill, the likeliest weakness first, and columns that nobody knows are named', () => {
  const answer = run(chips('Ada', 40, '05-01', 30), '--level', '12');
  expect(answer).toMatchObject({ player: 'Ada', level: 12, balls: 30, half_life_days: 60, as_of: '2026-05-01T10:00:00.000Z' });
  expect(answer.cells).toHaveLength(77);
  expect(answer.cells[0]).toBe(chip(answer));
  expect(answer.cells.reduce((sum, cell) => sum + cell.p_weakest3, 0)).toBeCloseTo(3, 2);
  expect(answer.ignored_columns).toEqual(['mood']);
  expect(answer.summary).toMatch(/^Weakest: 10–20 yd chips from the fairway/);
});

test('of several players one is chosen by name', () => {
  const rows = [...chips('Ada', 40, '05-01'), ...chips('Bo', 2, '05-01')];
  expect(() => run(rows)).toThrow('it holds 2 players: choose one with --player (“Ada”, “Bo”)');
  expect(chip(run(rows, '--player', 'Ada')).lost_per_shot).toBeGreaterThan(chip(run(rows, '--player', 'Bo')).lost_per_shot);
  expect(() => run(rows, '--player', 'Cy')).toThrow('there is no player “Cy” in it');
});

test('old balls fade, or not; balls after the moment are not known yet', () => {
  const rows = [...chips('Ada', 40, '01-01'), ...chips('Ada', 3, '06-01')];
  const [fading, all] = [run(rows), run(rows, '--half-life', 'none')];
  expect(chip(fading).lost_per_shot).toBeLessThan(chip(all).lost_per_shot);
  expect(all.half_life_days).toBeNull();
  const early = run(rows, '--as-of', '2026-03-01');
  expect([early.balls, chip(early).lost_per_shot > chip(all).lost_per_shot]).toEqual([12, true]);
  expect(run(rows, '--as-of', '2020-01-01').balls).toBe(0);
});

test.each([
  [['--level', 'high'], '--level: Enter a level such as 18, or +2'],
  [['--level', ''], '--level: Enter a level such as 18'],
  [['--level', '0x10'], '--level: Enter a level such as 18'],
  [['--level', '90'], '--level: Levels run from +10 to 54.'],
  [['--as-of', 'yesterday'], '--as-of is a day'],
  [['--half-life', 'long'], '--half-life is a number of days, or none.'],
  [['--speed', '9'], 'Usage: npm run -s inch -- diagnose'],
  [['more.csv'], 'Usage: npm run -s inch -- diagnose'],
])('options that make no sense are said: %s', (args, sentence) => {
  expect(() => run(chips('Ada', 5, '05-01'), ...args)).toThrow(sentence);
});

test('a table without a ball is answered, one that is none is refused, and of many faults the first ten are told', () => {
  expect(run([]).balls).toBe(0);
  expect(() => diagnose(['x.csv'], () => 'hello,world\n1,2')).toThrow(
    'x.csv: line 1: This isn’t a shot table: it has no column this program knows.',
  );
  const wrong = Array.from({ length: 14 }, () => 'Ada,putt,sand,2,5,,');
  expect(() => run(wrong)).toThrow(/line 11: a putt is not played from sand; and 4 more$/);
});

test('levels better than scratch are written with a plus or a minus, and are not cut', () => {
  const rows = chips('Ada', 40, '05-01', 60);
  const [plus, minus, last] = [['--level', '+3'], ['--level', '-3'], ['--level=-3']].map((args) => run(rows, ...args));
  expect([plus!.level, minus!.level, last!.level]).toEqual([-3, -3, -3]);
  expect(plus!.summary).toContain('level +3');
  const lost = [-5, -3, 0, 28, 40, 54].map((level) => chip(run(rows, `--level=${level}`)).lost_per_shot);
  expect(lost).toEqual([...lost].sort((a, b) => b - a));
});

test('a ball that was not holed is evidence; what says nothing is counted and said', () => {
  const answer = (rows: readonly string[]) =>
    diagnose(['x.csv'], () => ['shot_type,distance_ft,holed', ...rows].join('\n')) as unknown as Answer & { says_nothing: number };
  const putts = answer([...Array(20).fill('putt,8,true'), ...Array(30).fill('putt,8,false')]);
  expect([putts.balls, putts.says_nothing]).toEqual([50, 0]);
  const lost = putts.cells.find((cell) => cell.shot_type === 'putt' && cell.band_min === 6)!.lost_per_shot;
  expect(Math.abs(lost)).toBeLessThan(0.15);
  // Nobody said whether these dropped.
  const silent = answer([...Array(20).fill('putt,8,true'), ...Array(12).fill('putt,8,')]);
  expect([silent.balls, silent.says_nothing]).toEqual([20, 12]);
});

test('every shot that can be recorded has a place: a pitch of 8 yd, a lob of 60, a chip of 35, a bump and run of 40, a pitch from the fringe', () => {
  for (const shot of [
    'pitch,fairway,8',
    'lob,fairway,60',
    'lob,light_rough,8',
    'chip,fairway,35',
    'bump_and_run,fairway,40',
    'pitch,fringe,15',
    'fringe_putt,fringe,6',
    'chip,fairway,100',
  ]) {
    const rows = Array.from({ length: 60 }, () => `${shot},${Math.max(40, 2.4 * Number(shot.split(',')[2]))}`);
    const { cells, balls, summary } = diagnose(['x.csv'], () =>
      ['shot_type,surface,distance_yd,left_ft', ...rows].join('\n'),
    ) as unknown as Answer;
    expect([shot, balls, cells.reduce((sum, cell) => sum + cell.balls, 0)]).toEqual([shot, 60, 60]);
    expect([shot, summary]).toEqual([shot, expect.not.stringMatching(/^Nothing/)]);
  }
});

test('balls landed near a spot a few yards away are no short game: 18 of 20 within 3 ft', () => {
  const table = (carry: number) => [
    'shot_type,surface,distance_yd,landed,zone_ft,carry_yd',
    ...Array.from({ length: 20 }, (_, i) => `pitch,fairway,20,${i < 18},3,${carry}`),
  ];
  const gained = (carry: number) => {
    const { cells } = diagnose(['x.csv', '--level', '18'], () => table(carry).join('\n')) as unknown as Answer;
    return -cells.find((cell) => cell.shot_type === 'pitch' && cell.surface === 'fairway' && cell.band_min === 20)!.lost_per_shot;
  };
  expect(gained(4)).toBeLessThan(0.2);
  expect(gained(4)).toBeGreaterThan(0);
  expect(gained(18)).toBeGreaterThan(gained(4));
  // A signed landing error is evidence of the same kind.
  const errors = (feet: number) => {
    const rows = Array.from({ length: 20 }, (_, i) => `pitch,fairway,20,${i % 2 ? feet : -feet},4`);
    const answer = diagnose(['x.csv', '--level', '18'], () =>
      ['shot_type,surface,distance_yd,landing_error_ft,carry_yd', ...rows].join('\n'),
    );
    const { cells } = answer as unknown as Answer;
    return cells.find((cell) => cell.shot_type === 'pitch' && cell.surface === 'fairway' && cell.band_min === 20)!.lost_per_shot;
  };
  expect(errors(8)).toBeGreaterThan(errors(1));
});

test('a long table is read to its end, and its faults are in their lines', () => {
  const rows = chips('Ada', 9, '05-01', 20_000);
  expect(run(rows).balls).toBe(20_000);
  expect(() => run([...rows, 'Ada,chip,fairway,12,-1,,'])).toThrow('line 20002: left_ft “-1” is negative');
});

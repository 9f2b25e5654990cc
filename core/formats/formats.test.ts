import { readFileSync } from 'node:fs';
import { LIBRARY } from '../game/library';
import { playSession } from '../play/play';
import { entrants, ft, game, holed, left, playList, station } from '../testing/make';
import { projectShots } from '../shot/project';
import { gameJsonSchema } from './game-schema';
import { scoreAnswer, scoreTable, UnscorableTable } from './score-table';
import { leftOf, readShotTable, SHOT_TABLE_COLUMNS } from './shot-table';

const rowsOf = (csv: string) => {
  const { rows, problems } = readShotTable(csv);
  expect(problems).toEqual([]);
  return rows;
};

describe('the shot table', () => {
  test('columns in any order; unknown ones are passed over and named', () => {
    const { rows, ignored } = readShotTable('Holed,colour,left_ft\ntrue,red,\n,blue,4.5\n');
    expect(ignored).toEqual(['colour']);
    expect(rows.map(leftOf)).toEqual([
      { holed: true, leftM: null, leftMinM: null, leftMaxM: null },
      { holed: false, leftM: ft(4.5), leftMinM: null, leftMaxM: null },
    ]);
  });

  test('rings, metres and a byte-order mark', () => {
    const rows = rowsOf('\uFEFFleft_m,left_min_ft,left_max_ft\n1.5,,\n,3,6\n,10,\n');
    expect(rows.map(leftOf).map((one) => [one.leftM, one.leftMinM, one.leftMaxM])).toEqual([
      [1.5, null, null],
      [null, ft(3), ft(6)],
      [null, ft(10), null],
    ]);
  });

  test.each([
    ['left_ft\nfar', 2, 'left_ft “far” is not a number'],
    ['left_ft\n1\n-2', 3, 'left_ft “-2” is negative'],
    ['holed\nmaybe', 2, 'isn’t true or false'],
    ['left_ft,finish\n1,water', 2, 'isn’t one of green, fringe, rough, sand, out'],
    ['strokes\n1.5', 2, 'not a whole number'],
    ['bearing_deg\n360', 2, '360 or more'],
    ['left_ft\n0x10', 2, 'left_ft “0x10” is not a number'],
    ['left_ft\n1e3', 2, 'is not a number'],
    // As an editor counts: blank lines, and lines inside quotes.
    ['\n\nleft_ft\n1\n\n\n-2', 7, 'is negative'],
    ['note,left_ft\n"two\nlines",1\n,-2', 4, 'is negative'],
    ['left_ft,note\r\n1,\r\n,\r\n-2,', 4, 'is negative'],
    ['nothing,known\n1,2', 1, 'it has no column this program knows'],
  ])('%j is refused with its line', (csv, line, message) => {
    const [problem] = readShotTable(csv).problems;
    expect(problem).toMatchObject({ line });
    expect(problem!.message).toContain(message);
  });

  test('a decimal comma is a decimal point', () => {
    expect(rowsOf('left_m;strokes\n1,5;2'.replaceAll(';', '\t')).map(leftOf)).toMatchObject([{ leftM: 1.5 }]);
    expect(rowsOf('left_m,note\n"1,5",x').map(leftOf)).toMatchObject([{ leftM: 1.5 }]);
  });

  test('every column of the open format is known', () => {
    for (const name of ['shot_id', 'played_at', 'left_max_ft', 'landing_error_ft', 'sum_left_ft', 'firmness', 'zone_ft', 'counts'])
      expect(SHOT_TABLE_COLUMNS).toContain(name);
  });
});

describe('scoring a table', () => {
  const spec = game({ stations: [station('a', { balls: 2 }), station('b', { balls: 1 })], goal: 9 });

  test('rows in the order of play, and rows that name their ball, give the same', () => {
    const plain = scoreAnswer(spec, scoreTable(spec, rowsOf('left_ft,holed\n2,\n5,\n,true\n')));
    const named = scoreAnswer(spec, scoreTable(spec, rowsOf('station,ball,left_ft,holed\nb,1,,true\n1,2,5,\na,1,2,\n')));
    expect(plain).toMatchObject({ total: 12, unit: 'points', goal_met: true, running: [4, 6, 12], over: true });
    expect(named).toMatchObject({
      total: 12,
      stations: [
        { station: 'a', score: 6 },
        { station: 'b', score: 6 },
      ],
    });
  });

  test('players are told apart; the one who leads is the total', () => {
    const answer = scoreAnswer(spec, scoreTable(spec, rowsOf('player,left_ft\nOtto,20\nMaren,2\nOtto,20\nMaren,20\n')));
    expect(answer.total).toBe(4);
    expect(answer.players.map((one) => [one.player, one.score, one.leads])).toEqual([
      ['Otto', 0, false],
      ['Maren', 4, true],
    ]);
  });

  test('marked balls take no turn; lengths are in metres', () => {
    const total = game({ stations: [station('a', { balls: 2 })], scoring: { scheme: 'total_left', farM: ft(30) } });
    const answer = scoreAnswer(total, scoreTable(total, rowsOf('left_ft,counts\n9,lie_rejected\n4,\n6,\n7,rehit\n')));
    expect([answer.total, answer.unit, answer.players[0]!.not_scored]).toEqual([ft(10), 'm', 2]);
  });

  test.each([
    ['left_ft\n1\n1\n1\n1\n', 'Line 5: the game is over'],
    ['station,left_ft\nz,1\n', 'no station “z”'],
    ['station,ball,left_ft\na,1,1\na,1,2\n', 'Line 3: station “a” has no such ball left.'],
    ['session,left_ft\nx,1\ny,1\n', '2 sessions'],
    ['left_ft,n_balls,sum_left_ft\n,5,30\n', 'a total of several balls gives no points'],
  ])('%j cannot be scored, and it says why', (csv, why) => {
    expect(() => scoreTable(spec, rowsOf(csv))).toThrow(UnscorableTable);
    expect(() => scoreTable(spec, rowsOf(csv))).toThrow(why);
  });

  test('several balls as one total, where distances are added up', () => {
    const total = game({ stations: [station('a', { balls: 4 })], scoring: { scheme: 'total_left', farM: ft(30) } });
    const answer = scoreAnswer(total, scoreTable(total, rowsOf('left_ft,n_balls,sum_left_ft\n4,,\n,3,26\n')));
    expect([answer.total, answer.over, answer.players[0]!.balls]).toEqual([ft(30), true, 4]);
    expect(() => scoreTable(total, rowsOf('left_ft,n_balls,sum_left_ft\n4,,\n,4,26\n'))).toThrow('has 3 of these 4 balls left');
    expect(() => scoreTable(total, rowsOf('left_ft,n_balls\n,3\n'))).toThrow('need sum_left_ft');
  });

  test('a club that was used is refused where each is played once; a trial answers with its ranking', () => {
    const once = game({ rules: { ...game().rules, clubOnce: true }, stations: [station('a', { balls: 2 })] });
    expect(scoreAnswer(once, scoreTable(once, rowsOf('club,left_ft\nPW,2\n58°,5\n'))).total).toBe(6);
    expect(() => scoreTable(once, rowsOf('club,left_ft\nPW,2\nPW,5\n'))).toThrow('Line 3: the PW can’t be played here: used.');
    const trial = game({ scoring: { scheme: 'club_trial', clubs: ['PW', '58°'], farM: ft(30) }, stations: [station('a', { balls: 1 })] });
    const answer = scoreAnswer(trial, scoreTable(trial, rowsOf('left_ft\n9\n4\n')));
    expect(answer.players[0]!.clubs).toMatchObject([{ station: 'a', ranking: [{ club: '58°' }, { club: 'PW' }], too_close: true }]);
  });

  test('par and up and downs are in the answer', () => {
    const { spec: doors } = LIBRARY.find(({ key }) => key === 'seven-doors')!;
    const rows = doors.stations.map(() => '2').join('\n');
    const [player] = scoreAnswer(doors, scoreTable(doors, rowsOf(`strokes\n${rows}\n`))).players;
    expect(player!.par).toBe(doors.stations.reduce((sum, { par }) => sum + (par ?? 2), 0));
    expect(player!.notes.map(({ label }) => label)).toContain('up and down');
  });

  test('a duel needs two', () => {
    const duel = LIBRARY.find(({ key }) => key === 'nearest-the-lamp')!.spec;
    expect(() => scoreTable(duel, rowsOf('left_ft\n1\n'))).toThrow('takes 2 players');
  });

  test('the same balls give the same score as play, for a ladder and in random order', () => {
    const feet = [3, 12, 4, 2, 20, 1, 5, 3, 2, 2, 2, 2];
    for (const key of ['cliff-walk', 'roll-call']) {
      const { spec: one } = LIBRARY.find((entry) => entry.key === key)!;
      const { table, events } = playList(
        one,
        feet.map((n) => (n === 1 ? holed : left(n))),
      );
      const rows = projectShots(events).map((shot) => `${shot.stationKey},${shot.holed},${shot.holed ? '' : shot.leftM}`);
      const answer = scoreAnswer(one, scoreTable(one, rowsOf(`station,holed,left_m\n${rows.join('\n')}\n`)));
      expect(answer.total).toBe(playSession(one, entrants(1), projectShots(events)).standings[0]!.score);
      expect(answer.over).toBe(table.over);
    }
  });
});

test('the JSON Schema in docs is that of the program', () => {
  expect(readFileSync(`${__dirname}/../../docs/game-file.schema.json`, 'utf8')).toBe(gameJsonSchema());
});

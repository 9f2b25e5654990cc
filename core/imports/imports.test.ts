import * as fc from 'fast-check';
import { UNMEASURED } from '../measures/read-length';
import { ft, yd } from '../testing/make';
import { batchReader, type Batch, type KeptRow } from './batch';
import { readClock, readWhen } from './dates';
import { BALL_FIELDS, SCORE_FIELDS } from './fields';
import { ImportFile, NoTable, type Look } from './import-file';
import { guessMapping, mappingSchema, orderOf, type Mapping } from './mapping';
import type { Given } from './rewrite';

const GIVEN: Given = { timeZone: 'Europe/Dublin', nowMs: Date.parse('2026-11-30T12:00:00Z'), own: { ...UNMEASURED, paceM: 0.8 } };

function lookAt(file: ImportFile, mapping: Mapping): Look {
  const looking = file.look(mapping, GIVEN, 'imperial');
  for (;;) {
    const next = looking.next();
    if (next.done) return next.value;
  }
}

/** The rows of a table that can be kept, read as they would be sent; and what it comes to. */
function taken(text: string, change: Partial<Mapping> = {}): { kept: KeptRow[]; look: Look; mapping: Mapping } {
  const file = new ImportFile(text);
  const mapping = mappingSchema.parse({ ...file.guess(), ...change });
  const batches: Batch[] = [...file.batches(mapping, GIVEN, (name) => name)];
  const kept = batches.flatMap(({ columns, rows }) => {
    const read = batchReader(mapping.kind, columns);
    return rows.map(({ cells, line }) => {
      const found = read(cells, line);
      if ('problems' in found) throw new Error(JSON.stringify(found));
      return found.kept;
    });
  });
  return { kept, look: lookAt(file, mapping), mapping };
}
const shots = (text: string, change: Partial<Mapping> = {}) => {
  const { kept, look } = taken(text, change);
  expect(look.badRows).toEqual([]);
  return kept.map((row) => (row.kind === 'balls' ? row.ball.shot : null)!);
};

describe('a table of balls', () => {
  test('a notebook with semicolons, decimal commas and names as people use them', () => {
    const text = [
      'Name;Date;Time;Shot;Lie;Distance (m);Left (m);Club;Comments',
      'Otto;3.5.2026;18:05;Chip;Fringe;12,5;1,25;PW;"soft, wet"',
      'Otto;3.5.2026;18:06;Putting;;2,5;in;Putter;',
    ].join('\n');
    const [chip, putt] = shots(text);
    expect(chip).toMatchObject({ shotType: 'chip', surface: 'fringe', distanceM: 12.5, leftM: 1.25, clubLabel: 'PW', note: 'soft, wet' });
    expect(chip!.playedAt).toBe('2026-05-03T17:05:00.000Z');
    expect(putt).toMatchObject({ shotType: 'putt', surface: 'green', distanceM: 2.5, holed: true, leftM: null });
  });

  test('units in the cells, feet and inches, paces, and rings as people write them', () => {
    const text = [
      'player,date,shot,lie,distance,left',
      `Otto,2026-05-03,pitch,light rough,20 yd,"4 ft 3"`,
      'Otto,2026-05-03,pitch,light-rough,25 paces,3-6 ft',
      'Otto,2026-05-03,lob,rough,30 yards,<3 ft',
      'Otto,2026-05-03,sand shot,,15 yd,outside 10 ft',
      'Otto,2026-05-03,bump & run,fairway,20 m,3 ft to 6 ft',
    ].join('\n');
    expect(shots(text)).toMatchObject([
      { distanceM: yd(20), leftM: ft(4.25) },
      { distanceM: 20, leftM: null, leftMinM: ft(3), leftMaxM: ft(6), measured: 'ring' },
      { shotType: 'lob', surface: 'light_rough', leftMinM: 0, leftMaxM: ft(3) },
      { shotType: 'bunker', surface: 'sand', leftMinM: ft(10), leftMaxM: null },
      { shotType: 'bump_and_run', distanceM: 20, leftMinM: ft(3), leftMaxM: ft(6) },
    ]);
  });

  test('where no unit can be told it is asked for, and nothing is taken for granted', () => {
    const text = 'player,date,shot,distance,left\nOtto,2026-05-03,putt,12,3\n';
    const { look, kept } = taken(text);
    expect(look).toMatchObject({ rows: 1, unitless: ['distance', 'left'] });
    expect(kept).toEqual([]);
    expect(shots(text, { units: { distance: 'ft', left: 'ft' } })).toMatchObject([{ distanceM: ft(12), leftM: ft(3) }]);
    expect(shots(text, { units: { distance: 'paces', left: 'clubs' } })).toMatchObject([{ distanceM: 9.6, leftM: 2.667 }]);
  });

  test('what no column says can hold for all rows; what a cell says comes first', () => {
    const text = 'who\tdate\tdistance ft\tmade\tshot\nOtto\t1 May 2026\t6\tyes\t\nMia\tMay 2, 2026\t8\tno\tchip\n';
    const { look } = taken(text, { all: {} });
    expect(look).toMatchObject({ good: 0, bad: 2 });
    const both = shots(text, { all: { shot_type: 'putt', surface: 'fringe' }, columns: { ...taken(text).mapping.columns } }).map(
      (one) => one,
    );
    expect(both).toMatchObject([
      { shotType: 'putt', holed: true },
      { shotType: 'chip', surface: 'fringe' },
    ]);
  });

  test('bad rows are told with line and reason, and can be corrected there', () => {
    const text = [
      'player,date,shot,lie,distance_yd,left_ft',
      'Otto,2026-05-03,chip,fringe,10,4',
      '',
      'Otto,31/2/2026,chip,fringe,10,4',
      'Otto,2026-05-03,drive,fringe,10,4',
      'Otto,2026-05-03,chip,fringe,far,4',
      ',2026-05-03,chip,fringe,10,4',
      'Otto,2026-05-03,chip,fringe,10,',
      'Otto,2027-05-03,chip,fringe,10,4',
      'Otto,2026-05-03,chip,fringe,400,4',
    ].join('\n');
    const file = new ImportFile(text);
    const mapping = file.guess();
    const look = lookAt(file, mapping);
    expect(look).toMatchObject({ rows: 8, good: 1, bad: 7 });
    expect(look.badRows.map(({ line, problems }) => [line, problems[0]!.field, problems[0]!.message])).toEqual([
      [4, 'played_at', 'Date: “31/2/2026” isn’t a day of the calendar.'],
      [5, 'shot_type', 'Shot: “drive” isn’t one of putt, fringe putt, bump and run, chip, pitch, lob, bunker.'],
      [6, 'distance', 'Distance to the hole: “far” isn’t a length.'],
      [7, 'player', 'The player is missing.'],
      [8, 'left', 'Where it finished is missing.'],
      [9, 'played_at', 'Date: “2027-05-03” is in the future.'],
      [10, 'distance', 'no chip is played from 366 m'],
    ]);
    file.correct(6, ['Otto', '2026-05-03', 'chip', 'fringe', '11', '4']);
    expect(lookAt(file, mapping)).toMatchObject({ good: 2, bad: 6 });
    expect([...file.batches(mapping, GIVEN, () => 'x')].flatMap(({ rows }) => rows.map(({ line }) => line))).toEqual([2, 6]);
  });
});

test('usual names are known with any case and blanks', () => {
  expect(guessMapping(['Date', 'Golfer', 'Test', 'HITS'], []).columns).toEqual({ played_at: 0, player: 1, game: 2, score: 3 });
  expect(guessMapping(['Shot', 'Total left (ft)', 'Distance to hole yds'], [])).toMatchObject({
    columns: { shot_type: 0, sum_left: 1, distance: 2 },
    units: { sum_left: 'ft', distance: 'yd' },
  });
});

test('a table of scores is seen as one; a game and its unit can hold for all rows', () => {
  const { kept, mapping } = taken('Date,Player,Drill,Points,Notes\n03/05/26,Otto,Three Hoops,38,windy\n17/05/26,Mia,Three Hoops,"41,5",\n');
  expect(mapping).toMatchObject({ kind: 'scores', dates: 'dmy' });
  expect(kept).toMatchObject([
    { kind: 'scores', player: 'Otto', result: { game: 'Three Hoops', score: 38, note: 'windy' } },
    { player: 'Mia', playedAt: '2026-05-17T11:00:00.000Z', result: { score: 41.5 } },
  ]);
});

test('a date that could be two is asked about; dates tell their order where one of them can', () => {
  expect(orderOf(['3/5/2026', '4/5/2026'])).toBeNull();
  expect(orderOf(['3/5/2026', '14/5/2026'])).toBe('dmy');
  expect(orderOf(['3/5/2026', '5/14/2026'])).toBe('mdy');
  expect(orderOf(['3.5.2026'])).toBe('dmy');
  expect(readWhen('3/5/2026', null, null, 'UTC')).toEqual({ wrong: expect.stringContaining('could be two dates') });
  expect(readWhen('3/5/2026', 'mdy', null, 'UTC')).toEqual({ moment: '2026-03-05T12:00:00.000Z' });
  // The same day and month: there is nothing to ask.
  expect(readWhen('5/5/2026', null, null, 'UTC')).toEqual({ moment: '2026-05-05T12:00:00.000Z' });
});

test.each([
  ['2026-05-03', '2026-05-03T11:00'],
  ['2026/5/3 18:05', '2026-05-03T17:05'],
  ['2026-05-03T18:05:30Z', '2026-05-03T18:05'],
  ['2026-05-03 18:05:30+02:00', '2026-05-03T16:05'],
  ['Sun 3 May 2026', '2026-05-03T11:00'],
  ['3rd May 2026, 6.05 pm', '2026-05-03T17:05'],
  ['3-May-26', '2026-05-03T11:00'],
  ['May 3, 2026', '2026-05-03T11:00'],
  ['Sept. 3 2026', '2026-09-03T11:00'],
  ['3.1.2026', '2026-01-03T12:00'],
])('“%s” is %s in Dublin', (text, utc) => {
  const when = readWhen(text, 'dmy', null, 'Europe/Dublin');
  expect('moment' in when && when.moment.slice(0, 16)).toBe(utc);
});

test.each(['32/1/2026', '2026-13-01', 'yesterday', '3 Mai 2026', '29/2/2026', '1/1/1026', '3/5/2026 25:00'])('“%s” is no date', (text) => {
  expect(readWhen(text, 'dmy', null, 'UTC')).toHaveProperty('wrong');
});

test('times of day', () => {
  expect(['18:05', '6.05 pm', '12 am', '12pm', '7h30', '18:05:59'].map(readClock)).toEqual([
    '18:05',
    '18:05',
    '00:00',
    '12:00',
    '07:30',
    '18:05',
  ]);
  expect(['24:00', '7', '13 pm', '12:60', 'noon'].map(readClock)).toEqual([null, null, null, null, null]);
});

test('our own names are known by themselves, whatever else a table has', () => {
  for (const { name, reads } of [...BALL_FIELDS, ...SCORE_FIELDS]) {
    if (name === 'clock') continue;
    const column = reads === 'length' ? `${name}_m` : name;
    const kind = BALL_FIELDS.some((one) => one.name === name) ? 'balls' : 'scores';
    const head = kind === 'balls' ? ['shot_type', column] : ['score', column];
    const { columns, units } = guessMapping(name === head[0] ? [column] : head, []);
    expect([name, columns[name]]).toEqual([name, name === head[0] ? 0 : 1]);
    if (reads === 'length') expect(units[name]).toBe('m');
  }
});

test.each([
  ['', 'empty'],
  ['\n \n', 'empty'],
  ['a\u0000b,c\n1,2', 'isn’t a text file'],
])('%j is no table', (text, sentence) => {
  expect(() => new ImportFile(text)).toThrow(sentence);
});

test('whatever a file holds is read or refused in sentences, never thrown out of', () => {
  const cell = fc.oneof(
    fc.string(),
    fc.constantFrom('=1+1', '-', '@x', '3/5/2026', '12 yd', '1e999', '“', '"', ';', '\n', '3-6', '<', 'yes', 'chip', '½', '４'),
    fc.double().map(String),
  );
  fc.assert(
    fc.property(fc.array(fc.array(cell, { maxLength: 9 }), { maxLength: 12 }), fc.constantFrom(',', ';', '\t'), (rows, between) => {
      const text = ['player', 'date', 'shot', 'lie', 'distance yd', 'left ft', 'holed', 'note'].join(between);
      let file: ImportFile;
      try {
        file = new ImportFile([text, ...rows.map((row) => row.join(between))].join('\n'));
      } catch (error) {
        expect(error).toBeInstanceOf(NoTable);
        return;
      }
      const look = lookAt(file, file.guess());
      const asks = look.missing.length + look.unitless.length > 0 || look.eitherDate;
      expect(look.good + look.bad).toBe(asks ? 0 : look.rows);
      const sent = [...file.batches(file.guess(), GIVEN, (name) => name)].reduce((sum, batch) => sum + batch.rows.length, 0);
      if (!asks) expect(sent).toBe(look.good);
      for (const { problems } of look.badRows) expect(problems.length).toBeGreaterThan(0);
    }),
    { numRuns: 300 },
  );
});

test('what is sent at once stays small, however long the notes are', () => {
  const note = 'x'.repeat(400);
  const rows = Array.from({ length: 1500 }, () => `Otto,2026-05-03,chip,fringe,10,4,${note}`);
  const file = new ImportFile(['player,date,shot,lie,distance_yd,left_ft,note', ...rows].join('\n'));
  const batches = [...file.batches(file.guess(), GIVEN, () => 'x')];
  expect(batches.reduce((sum, batch) => sum + batch.rows.length, 0)).toBe(1500);
  for (const batch of batches) {
    expect(batch.rows.length).toBeLessThanOrEqual(500);
    expect(JSON.stringify(batch).length).toBeLessThan(400_000);
  }
  const short = new ImportFile(
    ['player,date,shot,lie,distance_yd,left_ft', ...rows.map((row) => row.slice(0, row.lastIndexOf(',')))].join('\n'),
  );
  expect([...short.batches(short.guess(), GIVEN, () => 'x')].map((batch) => batch.rows.length)).toEqual([500, 500, 500]);
});

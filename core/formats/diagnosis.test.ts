import { cellsOf } from '../skill/cells';
import { shippedReference } from '../golf/reference';
import { METRES_PER } from '../units/length';
import { readReferenceTable, writeReferenceTable } from './reference-table';
import { eachShot, type TableShot } from './shot-rows';

const cells = cellsOf(shippedReference);
const table = (...lines: string[]) => {
  const shots: TableShot[] = [];
  return { shots, ...eachShot(lines.join('\n'), (shot) => shots.push(shot)) };
};
const HEAD =
  'shot_type,surface,distance_yd,left_ft,left_min_ft,left_max_ft,holed,strokes,penalty,n_balls,sum_left_ft,zone_ft,landed,played_at,counts';

test('rows become balls, with everything that the model reads', () => {
  const { shots, problems } = table(
    HEAD,
    'chip,fairway,12,5,,,,,,,,,,2026-05-01T10:00:00Z,',
    'chip,fairway,12,,3,6,,,,,,,,,',
    'chip,fairway,12,,6,,,,,,,,,,',
    'putt,,2,,,,true,,,,,,,,',
    'pitch,light_rough,22,,,,,,,4,32,,,,',
    'pitch,fairway,30,,,,,,,,,6,true,,',
    'bunker,,12,9,,,,3,1,,,,,,rehit',
  );
  expect(problems).toEqual([]);
  expect(shots.map(({ shot: { surface, leftM, leftMinM, leftMaxM, measured } }) => [surface, leftM, leftMinM, leftMaxM, measured])).toEqual(
    [
      ['fairway', 1.524, null, null, 'tape'],
      ['fairway', null, 0.9144, 1.8288, 'ring'],
      ['fairway', null, 1.8288, null, 'ring'],
      ['green', null, null, null, 'tape'],
      ['light_rough', null, null, null, 'tape'],
      ['fairway', null, null, null, 'tape'],
      ['sand', 2.7432, null, null, 'tape'],
    ],
  );
  expect(shots[4]!.shot).toMatchObject({ nBalls: 4, sumLeftM: 9.7536 });
  expect(shots[5]!.zone!.sizeM).toBeCloseTo(6 * METRES_PER.ft, 10);
  expect(shots[6]!.shot).toMatchObject({ counts: 'rehit', strokes: 3, penalty: 1 });
  // Rows without a moment were played with the last that has one.
  expect(shots.filter(({ dated }) => dated).map(({ shot }) => Date.parse(shot.playedAt))).toEqual(
    shots.filter(({ dated }) => dated).map(() => Date.parse('2026-05-01T10:00:00Z')),
  );
});

test.each([
  ['putt,sand,2,,,,,,,,,,,,', 'a putt is not played from sand'],
  ['chip,fairway,300,5,,,,,,,,,,,', 'no chip is played from 274 m'],
  ['chip,fairway,12,5,,,true,,,,,,,,', 'A holed ball has no distance left.'],
  ['chip,fairway,12,,,,true,3,,,,,,,', 'a holed ball took one stroke'],
  ['chip,,12,5,,,,,,,,,,,', 'surface is missing'],
  [',fairway,12,5,,,,,,,,,,,', 'shot_type is missing'],
  ['chip,fairway,,5,,,,,,,,,,,', 'the distance is missing'],
  ['chip,fairway,12,9000,,,,,,,,,,,', 'left_ft is more than can be'],
  ['chip,fairway,12,,6,3,,,,,,,,,', 'must be farther out'],
])('an impossible row is refused in a sentence: %s', (row, sentence) => {
  const { shots, problems } = table(HEAD, row);
  expect(shots).toEqual([]);
  expect(problems).toHaveLength(1);
  expect(problems[0]).toMatchObject({ line: 2 });
  expect(problems[0]!.message).toContain(sentence);
});

test('a reference table comes back as it was written; a part of one is enough', () => {
  const expected = cells.map((_, i) => 2 + i / 100);
  const { reference, problems } = readReferenceTable(writeReferenceTable(cells, expected), cells);
  expect(problems).toEqual([]);
  expect(cells.map(({ key }) => reference[key])).toEqual(expected.map((value) => Number(value.toFixed(3))));
  expect(readReferenceTable('shot_type,surface,band_min,expected_strokes\nputt,green,40,2.2', cells).reference).toEqual({
    'putt|green|40': 2.2,
  });
});

test.each([
  ['shot_type,surface,band_min\nputt,green,40', 1, 'expected_strokes is missing'],
  ['shot_type,surface,band_min,expected_strokes', 1, 'no row'],
  ['shot_type,surface,band_min,expected_strokes\nputt,green,7,2', 2, 'there is no skill “putt, green, from 7”'],
  ['shot_type,surface,band_min,expected_strokes\nputt,green,6,0.4', 2, 'less than one stroke'],
  ['shot_type,surface,band_min,expected_strokes\nputt,green,6,two', 2, 'is no number'],
  ['shot_type,surface,band_min,expected_strokes\nputt,green,6,', 2, 'is no number'],
  ['shot_type,surface,band_min,expected_strokes\nputt,green,6,2\nputt,green,6,2.1', 3, 'another row'],
  ['level,shot_type,surface,band_min,expected_strokes\n0,putt,green,6,2\n5,putt,green,10,2.1', 1, 'several levels'],
])('a reference table that can’t be taken: %s', (csv, line, sentence) => {
  const { problems } = readReferenceTable(csv, cells);
  expect(problems[0]).toMatchObject({ line });
  expect(problems[0]!.message).toContain(sentence);
});

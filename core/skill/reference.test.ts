import { REFERENCE_CSV } from '../golf/reference-data';
import { yd } from '../testing/make';
import { parseReference, shippedReference as reference } from './reference';

const rows = parseReference(REFERENCE_CSV);

test('the table has five levels of 68 rows', () => {
  expect(rows).toHaveLength(5 * 68);
  expect(reference.levels).toEqual([0, 5, 10, 18, 28]);
});

test('at its own levels and distances it says what stands in the table', () => {
  for (const row of rows.filter((one) => one.shot_type !== 'putt')) {
    const shot = reference.shot(row.level, row.shot_type, row.surface, yd(row.distance))!;
    expect(shot.expectedStrokes).toBeCloseTo(row.expected_strokes, 6);
    expect(shot.medianLeftFt).toBeCloseTo(row.median_left_ft!, 6);
    expect(shot.holeOutRate).toBeCloseTo(row.hole_out_rate!, 6);
  }
});

test('between two levels it lies halfway, and beyond the ends it stays', () => {
  const chip = (level: number) => reference.shot(level, 'chip', 'fairway', yd(15))!.expectedStrokes;
  expect(chip(14)).toBeCloseTo((chip(10) + chip(18)) / 2, 9);
  expect([chip(-5), chip(40)]).toEqual([chip(0), chip(28)]);
});

test('expected strokes rise with the distance, within and beyond the rows', () => {
  let before = 0;
  for (let yards = 2; yards <= 30; yards++) {
    const { expectedStrokes } = reference.shot(7, 'chip', 'light_rough', yd(yards))!;
    expect(expectedStrokes).toBeGreaterThan(before);
    before = expectedStrokes;
  }
});

test('a shot that the table does not know has no reference', () => {
  expect(reference.shot(10, 'fringe_putt', 'fringe', yd(5))).toBeNull();
});

test('a faulty table is refused with its line and the reason', () => {
  const [head, first] = REFERENCE_CSV.split('\n');
  expect(() => parseReference(`${head}\n${first}\n${first!.replace('bump_and_run', 'hop')}`)).toThrow(/line 3, shot_type/);
});

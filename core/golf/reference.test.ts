import { REFERENCE_CSV } from './reference-data';
import { yd } from '../testing/make';
import { modelOf } from '../skill/model';
import { besidePublished } from '../made-up/published';
import { makeRate, referencePutting } from './putting';
import { parseReference, shippedReference as reference } from './reference';
import { referenceRows } from '../made-up/reference-csv';

const rows = parseReference(REFERENCE_CSV);

test('the table has eight levels of 156 rows, and is what `npm run docs:reference` writes', () => {
  expect(rows).toHaveLength(8 * 156);
  expect(reference.levels).toEqual([-5, 0, 5, 10, 18, 28, 40, 54]);
  const lines = REFERENCE_CSV.split('\n');
  for (const level of [-5, 18]) expect(lines.filter((line) => line.startsWith(`${level},`))).toEqual(referenceRows(level));
});

test('every published figure is within its tolerance', () => {
  const apart = besidePublished(reference).filter(({ published, ours, within }) => Math.abs(ours - published) > within);
  expect(apart).toEqual([]);
});

test('putts have one truth: what the table says, what the model counts against, and how often they drop', () => {
  const model = modelOf(reference);
  for (const level of reference.levels)
    model.cells.forEach((cell, i) => {
      if (cell.shotType !== 'putt') return;
      const row = rows.find((one) => one.level === level && one.shot_type === 'putt' && one.band_min === cell.band.min)!;
      expect(model.expects(i, level)).toBeCloseTo(row.expected_strokes, 2);
      expect(model.judge(level, level).levelExpects(i)).toBeCloseTo(row.expected_strokes, 2);
      expect(makeRate(referencePutting(level), row.distance)).toBeCloseTo(row.hole_out_rate!, 3);
    });
});

test('at its own levels and distances it says what stands in the table', () => {
  for (const row of rows.filter((one) => one.shot_type !== 'putt')) {
    const shot = reference.shot(row.level, row.shot_type, row.surface, yd(row.distance))!;
    expect(shot.expectedStrokes).toBeCloseTo(row.expected_strokes, 6);
    expect(shot.medianLeftFt).toBeCloseTo(row.median_left_ft!, 6);
    expect(shot.holeOutRate).toBeCloseTo(row.hole_out_rate!, 6);
  }
});

test('between two levels it lies halfway, and beyond the ends it is read on', () => {
  const chip = (level: number) => reference.shot(level, 'chip', 'fairway', yd(15))!.expectedStrokes;
  expect(chip(14)).toBeCloseTo((chip(10) + chip(18)) / 2, 9);
  expect(chip(-7.5)).toBeCloseTo(chip(-5) - (chip(0) - chip(-5)) / 2, 9);
  let before = 0;
  for (let level = -10; level <= 54; level += 2) {
    expect(chip(level)).toBeGreaterThan(before);
    before = chip(level);
  }
});

test('more shots come from off the green, and more putts, the weaker the level', () => {
  const model = modelOf(reference);
  const sums = [-5, 0, 10, 28, 54].map((level) => {
    const mix = model.mix(level);
    const of = (putts: boolean) =>
      model.cells.reduce((sum, { key, shotType }) => sum + ((shotType === 'putt') === putts ? mix.get(key)! : 0), 0);
    return { off: of(false), putts: of(true) };
  });
  for (let i = 1; i < sums.length; i++) {
    expect(sums[i]!.off).toBeGreaterThan(sums[i - 1]!.off);
    expect(sums[i]!.putts).toBeGreaterThan(sums[i - 1]!.putts);
  }
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
  expect(reference.shot(10, 'lob', 'sand', yd(5))).toBeNull();
});

test('a faulty table is refused with its line and the reason', () => {
  const [head, first] = REFERENCE_CSV.split('\n');
  expect(() => parseReference(`${head}\n${first}\n${first!.replace('putt', 'hop')}`)).toThrow(/line 3, shot_type/);
});

import { left, shot, yd } from '../testing/make';
import { believe, diagnose } from '../skill/diagnose';
import { gather, talliesOf } from '../skill/evidence';
import { modelOf } from '../skill/model';
import { shippedReference as reference } from '../golf/reference';
import { saySilent, summaryOf } from './summary';

const model = modelOf(reference);
const LEVEL = 14;
const median = reference.shot(LEVEL, 'chip', 'fairway', yd(15))!.medianLeftFt;

/** What is said of so many chips that were left so much farther than the level leaves them. */
function said(balls: number, farther: number) {
  const spread = [0.3, 0.55, 0.8, 1, 1.25, 1.6, 2.2];
  const shots = Array.from({ length: balls }, (_, i) =>
    shot({ shotType: 'chip', surface: 'fairway', distanceM: yd(15), stationKey: `s${i}` }, left(farther * median * spread[i % 7]!)),
  );
  const evidence = gather(talliesOf(shots, new Date('2027-01-01'), null));
  const diagnosis = diagnose(model, believe(evidence, model, LEVEL), evidence, { level: LEVEL, mix: model.mix(LEVEL) });
  return summaryOf(diagnosis, 'shot', 'level 14', evidence.balls);
}

test('a weakness is a headline, a hundredth of a stroke is none', () => {
  expect(said(70, 2.5).most).toMatch(/^Weakest: 10–20 yd chips from the fairway, 0\.\d\d lost a shot, \d\d?% (sure|likely)/);
  const { most, best } = said(70, 1.03);
  expect(most).not.toMatch(/^Weakest/);
  expect(best).toBe('No clear strength against level 14 yet.');
});

test('nothing is said to be surer than 99%', () => {
  for (const farther of [1.5, 2.5, 5]) expect(said(700, farther).most).not.toContain('100%');
});

test('few balls claim nothing', () => {
  expect(said(12, 3)).toMatchObject({ most: expect.stringMatching(/^Only 12 balls so far/), best: '' });
});

test('balls that are not counted are named, with the reason', () => {
  expect(saySilent(0, 0)).toBe('');
  expect(saySilent(1, 0)).toBe('1 ball not counted: no distance, ring or strokes recorded.');
  expect(saySilent(12, 2)).toBe(
    '12 balls not counted: no distance, ring or strokes recorded. 2 balls not counted: the reference has no such shot.',
  );
});

import { typeWith } from './shot-types';

test('with a putter nobody chips, where one can putt from off the green', () => {
  expect(typeWith('chip', 'fringe', 'putter')).toBe('fringe_putt');
  expect(typeWith('bump_and_run', 'fairway', 'Old Putter')).toBe('fringe_putt');
  expect(typeWith('chip', 'fringe', 'PW')).toBe('chip');
  expect(typeWith('chip', 'fringe', null)).toBe('chip');
  // Nobody putts out of heavy rough; a putt stays a putt.
  expect(typeWith('chip', 'heavy_rough', 'putter')).toBe('chip');
  expect(typeWith('putt', 'green', 'putter')).toBe('putt');
});

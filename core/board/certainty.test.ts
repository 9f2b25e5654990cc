import { certaintyOf, percentOf } from './certainty';

test('sure from 95%, likely from 75%, below too close to call: by the figure that is shown', () => {
  expect([0.5, 0.744, 0.746, 0.75, 0.944, 0.946, 0.999].map(certaintyOf)).toEqual([
    'too close to call',
    'too close to call',
    'likely',
    'likely',
    'likely',
    'sure',
    'sure',
  ]);
});

test('nothing is surer than 99% or less sure than 1%', () => {
  expect([0, 0.001, 0.5, 0.996, 1].map(percentOf)).toEqual([1, 1, 50, 99, 99]);
});

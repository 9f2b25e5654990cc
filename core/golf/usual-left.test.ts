import { METRES_PER } from '../units/length';
import { shippedReference } from './reference';
import { usualLeft } from './usual-left';

const chip = { key: 'a', shotType: 'chip', surface: 'fairway', distanceM: 15 * METRES_PER.yd } as const;

test('what half of the balls leave, by the reference; less at a better level; putts say nothing', () => {
  expect(usualLeft(18, [chip, { ...chip, key: 'p', shotType: 'putt', surface: 'green' }])).toEqual({
    a: shippedReference.shot(18, 'chip', 'fairway', chip.distanceM)!.medianLeftFt * METRES_PER.ft,
  });
  expect(usualLeft(0, [chip]).a).toBeLessThan(usualLeft(28, [chip]).a!);
});

import { game, station, yd } from '../testing/make';
import type { Station } from './station';
import { kindOfShot, proposedNext } from './proposed';

const chip = station('s1', { balls: 5 });
const bunker = station('s2', { shotType: 'bunker', surface: 'sand', distanceM: yd(12), balls: 5 });
const pitch = station('s3', { shotType: 'pitch', distanceM: yd(25), balls: 5 });
const next = [chip, bunker, chip, pitch].map((one, i) => ({ station: one, more: 100 - 5 * i }));
const after = (played: Station[], notHere: string[] = []) =>
  proposedNext(
    game({
      open: true,
      stations: played.map((one, i) => ({ ...one, key: `p${i}` })),
      goal: null,
      calls: { stations: null, balls: 5, next },
    }),
    notHere,
  )?.station ?? null;

test('one after another, however many were called', () => {
  expect([after([]), after([chip]), after([chip, bunker]), after([chip, bunker, chip])]).toEqual([chip, bunker, chip, pitch]);
  expect(after([chip, bunker, chip, pitch])).toBeNull();
});

test('the place that was called last does not come again, whoever called it', () => {
  expect(after([pitch, chip])).toEqual(pitch);
  expect(after([chip, { ...bunker, key: 'x' }, { ...chip, key: 'y' }])).toEqual(pitch);
  // Another distance is another place.
  expect(after([pitch, station('x', { distanceM: yd(30) })])).toEqual(chip);
});

test('what can’t be hit here is left out', () => {
  expect(after([chip], [kindOfShot(bunker)])).toEqual(pitch);
  expect(after([], [kindOfShot(chip), kindOfShot(bunker), kindOfShot(pitch)])).toBeNull();
});

test('a game that proposes nothing', () => {
  expect(proposedNext(game(), [])).toBeNull();
});

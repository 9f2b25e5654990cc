import type { Result } from '../game/scoring/ball';
import { between, ft, game, holed, left, playList, playOut, station } from '../testing/make';
import { addedUp } from './added-up';
import { byWay } from './by-way';

const facts = (results: Result[], more: object = {}) => {
  const { table } = playList(game(more), results);
  return Object.fromEntries(addedUp(table.standings[0]!, 'imperial').map(({ label, value }) => [label, value]));
};
const with_ = (result: Result, more: Partial<Result>): Result => ({ ...result, ...more });

test('rings: a measured ball stands in the ring in which it lies; what nobody hit is left out', () => {
  expect(facts([holed, left(2), between(3, 6), left(40), left(9), between(6, 10)])['where they stopped']).toBe(
    'Holed: 1 · 3 ft: 1 · 6 ft: 1 · 10 ft: 2 · out: 1',
  );
});

test('the mean of what was left, where all of it is known', () => {
  expect(facts([holed, left(2), left(4)])['left on average']).toBe('2 ft, 3 balls');
  // A mean without the balls of which only the ring is known would be that of the near ones.
  expect(facts([holed, left(2), between(3, 6)])).not.toHaveProperty('left on average');
});

test('clubs, flights, shapes and sides, the most first, with what each left where it is known', () => {
  const [pw, wedge] = [{ clubLabel: 'PW' }, { clubLabel: '58°' }];
  const of = facts([
    with_(left(2, 180), { ...pw, trajectory: 'low' }),
    with_(left(4, 180), { ...pw, trajectory: 'low' }),
    with_(left(9, 0), { ...wedge, trajectory: 'high' }),
  ]);
  expect(of).toMatchObject({
    clubs: 'PW: 2 (3 ft) · 58°: 1 (9 ft)',
    flights: 'low: 2 (3 ft) · high: 1 (9 ft)',
    finished: 'short: 2 · long: 1',
  });
  expect(of).not.toHaveProperty('shapes');
});

test('where they landed, by a press or by how much it was off the spot', () => {
  const of = facts([with_(left(2), { landedSide: 'short' }), with_(left(4), { landingErrorM: -1 }), with_(left(9), { landingErrorM: 2 })]);
  expect(of['landed']).toBe('short: 2 · long: 1');
});

test('an out and back has two halves; more passes stand each by itself', () => {
  const serial = { order: 'serial', stations: ['a', 'b'].map((key) => station(key, { balls: 2 })) };
  // Rings are worth 4, 2 and 1; holed 6.
  expect(facts([holed, left(2), left(5), left(9)], serial)['out and back']).toBe('out 10 · back 3');
  expect(facts([holed, left(2), left(5)], serial)).not.toHaveProperty('out and back');
  const three = { order: 'serial', stations: ['a', 'b'].map((key) => station(key, { balls: 3 })) };
  expect(facts([holed, holed, left(2), left(2), left(5), left(5)], three)['each time through']).toBe('12 · 8 · 4');
});

test('a trial: each club’s mean, spread, greens, second chips and strokes; near ones are too close to call', () => {
  const trial = game({
    scoring: { scheme: 'club_trial', clubs: ['PW', '58°'], farM: ft(30) },
    stations: [station('a', { balls: 3 })],
  });
  const results: Record<string, Result[]> = {
    PW: [
      with_(left(4), { finish: 'green', strokes: 2 }),
      with_(left(6), { finish: 'green', strokes: 2 }),
      with_(left(8), { finish: 'fringe', strokes: 3 }),
    ],
    '58°': [left(6), left(12), { ...left(0), leftM: null, leftMinM: ft(30) }],
  };
  const at = new Map<string, number>();
  const { table } = playOut(trial, ({ asked: { club } }) => {
    const n = at.get(club!) ?? 0;
    at.set(club!, n + 1);
    return results[club!]![n]!;
  });
  const [from] = byWay(table.standings[0]!)!;
  expect(from!.ways.map(({ way, balls }) => [way, balls])).toEqual([
    ['PW', 3],
    ['58°', 3],
  ]);
  const [pw, wedge] = from!.ways;
  // 4, 6 and 8 ft: 6 on average, 2 apart.
  expect([pw!.meanM, pw!.spreadM].map((m) => Number((m! / ft(1)).toFixed(6)))).toEqual([6, 2]);
  expect(pw).toMatchObject({ onGreen: { balls: 2, of: 3 }, strokes: { of: 3 } });
  expect(pw!.strokes!.mean).toBeCloseTo(7 / 3, 9);
  // What was not measured counts as far as the game measures: 6, 12 and 30 ft.
  expect(Number((wedge!.meanM / ft(1)).toFixed(6))).toBe(16);
  expect(wedge).toMatchObject({ onGreen: null, strokes: null });
  // 10 ft apart; two standard errors of 2 and 12.5 ft are 14.6.
  expect(from!.tooClose).toBe(true);
  expect(byWay(playList(game(), [holed]).table.standings[0]!)).toBeNull();
});

test('clubs that differ by more than chance are told apart', () => {
  const trial = game({ scoring: { scheme: 'club_trial', clubs: ['PW', '58°'], farM: ft(30) }, stations: [station('a', { balls: 3 })] });
  const { table } = playOut(trial, (turn) => left(turn.asked.club === 'PW' ? 4 + turn.ballNo / 10 : 20 + turn.ballNo / 10));
  expect(byWay(table.standings[0]!)![0]!.tooClose).toBe(false);
});

test('with a putter from the fringe a ball of a trial is a putt, and no chip', () => {
  const trial = game({
    scoring: { scheme: 'club_trial', clubs: ['PW', 'putter'], farM: ft(30) },
    stations: [station('a', { balls: 1, surface: 'fringe' })],
  });
  const { table } = playOut(trial, () => left(4));
  expect(table.standings[0]!.played.map(({ clubLabel, shotType }) => [clubLabel, shotType])).toEqual([
    ['PW', 'chip'],
    ['putter', 'fringe_putt'],
  ]);
});

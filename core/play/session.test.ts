import fc from 'fast-check';
import { projectShots } from '../shot/project';
import { between, bundleOf, entrants, ft, game, holed, left, PLAYER, playList, record, station, yd } from '../testing/make';
import { onTheDay } from '../game/on-the-day';
import { play, playSession } from './play';
import { readingSchema } from '../exchange/reading';
import { schemeOf } from '../game/scoring';
import { stoodOut } from './stood-out';
import { aboutOf, mayNote, noted, type SessionNote } from '../exchange/session-note';
import { whoseBall, type Rotation } from './whose';

const totalLeft = game({
  scoring: { scheme: 'total_left', farM: ft(100) },
  stations: [station('a', { balls: 4 }), station('b', { balls: 2 })],
});

describe('several balls entered as one total', () => {
  const total = (balls: number, feet: number, turn = 0) =>
    record(totalLeft, turn, { ...left(1), leftM: null, nBalls: balls, sumLeftM: ft(feet) }, 50 + turn);

  test('they take the next balls of their station, and the total is theirs', () => {
    const standing = play(totalLeft, projectShots([record(totalLeft, 0, left(2)), total(3, 14, 1)]));
    expect(standing.score).toBeCloseTo(ft(16), 3);
    expect([standing.played.length, standing.next!.station.key, standing.stations[0]!.balls]).toEqual([4, 'b', 4]);
  });

  test('more of them than the station has take no ball of another', () => {
    const standing = play(totalLeft, projectShots([total(9, 9)]));
    expect([standing.played.length, standing.next!.station.key]).toEqual([4, 'b']);
  });

  test('however they are divided, all balls together come to the same total', () => {
    const feet = fc.integer({ min: 1, max: 60 });
    fc.assert(
      fc.property(fc.tuple(feet, feet, feet, feet), fc.integer({ min: 2, max: 4 }), (each, balls) => {
        const alone = play(totalLeft, projectShots(each.map((one, turn) => record(totalLeft, turn, left(one)))));
        const sum = each.slice(0, balls).reduce((a, b) => a + b);
        const rest = each.slice(balls).map((one, i) => record(totalLeft, balls + i, left(one)));
        expect(play(totalLeft, projectShots([total(balls, sum), ...rest])).score).toBeCloseTo(alone.score, 2);
      }),
    );
  });
});

describe('whose ball it is', () => {
  const spec = game({ stations: [station('a', { balls: 2 }), station('b', { balls: 1 })] });
  const after = (n: number, rotation: Rotation) => {
    const people = entrants(2);
    let events: ReturnType<typeof playList>['events'] = [];
    const seats: number[] = [];
    for (let i = 0; i < n; i++) {
      const table = playSession(spec, people, projectShots(events));
      const seat = whoseBall(table, rotation, seats.at(-1) ?? null)!;
      seats.push(seat);
      const turn = table.standings[seat]!.next!;
      const event = record(spec, turn.turnNo, holed, i);
      events = [...events, { ...event, payload: { ...event.payload, playerId: people[seat]!.playerId } } as (typeof events)[number]];
    }
    return { seats, last: whoseBall(playSession(spec, people, projectShots(events)), rotation) };
  };
  test('ball by ball, everybody plays one and then the next', () => {
    expect(after(6, 'ball')).toEqual({ seats: [0, 1, 0, 1, 0, 1], last: null });
  });
  test('a station each, one plays it out before the next player, and all are through before anybody goes on', () => {
    expect(after(6, 'station')).toEqual({ seats: [0, 0, 1, 1, 0, 1], last: null });
  });
  test('at their own pace, whoever is at it stays until all their balls are played', () => {
    expect(after(6, 'own')).toEqual({ seats: [0, 0, 0, 1, 1, 1], last: null });
  });
});

describe('what stood out', () => {
  const of = (results: Parameters<typeof playList>[1], more: Parameters<typeof game>[0] = {}) => {
    const { table } = playList(game(more), results);
    return stoodOut(table.standings[0]!, 'imperial');
  };
  test('the same mishit again and again comes first', () => {
    const thin = { ...left(9, 180), mishit: 'thin' as const };
    expect(of([thin, thin, thin, left(2, 180), left(2, 0), left(2, 0)])).toBe('Hit thin: 3 of 6 balls.');
    expect(of([thin, thin, left(2, 0), left(2, 0)])).not.toContain('Hit thin');
  });
  test('then the side, then the stations, each with the balls it rests on', () => {
    expect(of([left(2, 180), left(4, 170), left(4, 190), left(5, 0)])).toBe('Finished short, 3 of 4 with a known direction.');
    expect(of([holed, left(2), left(2), between(6, 10), between(6, 10), left(40)])).toBe(
      'Best from the 15 yd chip (4.7 a ball, 3 balls), poorest from the 25 yd pitch (0.7 a ball, 3 balls).',
    );
  });
  test('of stations that came out the same none is called the poorest, or the best', () => {
    const three = { stations: ['a', 'b', 'c'].map((key, i) => station(key, { distanceM: yd(10 + i), balls: 3 })) };
    const nine = left(20);
    expect(of([holed, holed, holed, nine, nine, nine, nine, nine, nine], three)).toBe('Best from the 10 yd chip (6 a ball, 3 balls).');
    expect(of([holed, holed, holed, holed, holed, holed, nine, nine, nine], three)).toBe(
      'Poorest from the 12 yd chip (0 a ball, 3 balls).',
    );
  });
  test('stations that differ by chance are not told apart, and two that read the same are numbered', () => {
    // Means 4 and 2.7 with a spread of 2 to 3 points: t = 0.7 on 4 degrees of freedom.
    expect(of([holed, left(2), left(5), left(2), left(2), left(40)])).not.toContain('est from');
    const same = { stations: ['a', 'b'].map((key) => station(key, { balls: 3 })) };
    expect(of([holed, holed, holed, left(5), left(5), left(5)], same)).toBe(
      'Best from station 1, 15 yd chip (6 a ball, 3 balls), poorest from station 2, 15 yd chip (2 a ball, 3 balls).',
    );
  });
  test('where half of them went in, that is said as such', () => {
    expect(of([holed, holed, holed, left(5)], { stations: [station('a', { balls: 4 })] })).toBe('Holed 3 of 4 balls.');
  });
  test('where nothing else does, how near half of them came; of too few, nothing', () => {
    const one = { stations: [station('a', { balls: 5 })] };
    expect(of([left(2), left(3), left(4), left(5), left(6)], one)).toBe('Median left 4 ft (5 balls).');
    expect(of([left(2)], one)).toBeNull();
  });
});

describe('what is told of a session', () => {
  const bundle = bundleOf(game());
  const note: SessionNote = { say: 'note', playerId: PLAYER, whose: 'own', text: 'too quick' };
  const far: SessionNote = { say: 'station', station: { key: 'a', distanceM: 12, source: 'tape' } };

  test('it changes just that, and a newer one takes its place', () => {
    expect(noted(bundle, { say: 'stopped', stopped: true }).stopped).toBe(true);
    expect(noted(bundle, note).players[0]!.notes).toEqual({ own: 'too quick', coach: '', coaches: [] });
    const twice = noted(noted(bundle, far), { say: 'station', station: { key: 'a', distanceM: 13, source: 'laser' } });
    expect(twice.stations).toEqual([{ key: 'a', distanceM: 13, source: 'laser' }]);
    expect(aboutOf(far)).toBe('station a');
    expect(aboutOf(note)).not.toBe(aboutOf({ ...note, whose: 'coach' } as SessionNote));
  });

  test('a game stands as far as it was measured', () => {
    const spec = onTheDay(game(), [{ key: 'a', distanceM: 12, source: 'tape' }]);
    expect(spec.stations.map((one) => one.distanceM)).toEqual([12, yd(25)]);
  });

  test('by a personal link one tells one’s own note, and of the session only where one is alone in it', () => {
    const may = (note: SessionNote, players: string[]) => mayNote(note, PLAYER, players);
    expect([
      may(note, [PLAYER, 'b']),
      may({ ...note, whose: 'coach' } as SessionNote, [PLAYER]),
      may({ ...note, playerId: 'b' } as SessionNote, [PLAYER]),
    ]).toEqual([true, false, false]);
    expect([may(far, [PLAYER]), may(far, [PLAYER, 'b']), mayNote(far, null, [PLAYER, 'b'])]).toEqual([true, false, true]);
  });
});

test('a reading that is absurd or too late is none', () => {
  const of = (change: object) => readingSchema.safeParse({ readingId: PLAYER, seq: 1, distanceM: 1.23456, ageMs: 0, ...change });
  expect(of({}).data?.distanceM).toBe(1.2346);
  const refused = [
    { distanceM: 0.01 },
    { distanceM: -3 },
    { distanceM: 151 },
    { distanceM: NaN },
    { distanceM: '3' },
    { ageMs: 30_001 },
    { ageMs: -1 },
    { seq: 0 },
    { more: 1 },
  ];
  expect(refused.map((change) => of(change).success)).toEqual(refused.map(() => false));
});

test('every scheme that takes a total counts lengths', () => {
  expect(schemeOf(totalLeft.scoring).unit(totalLeft.scoring)).toBe('length');
});

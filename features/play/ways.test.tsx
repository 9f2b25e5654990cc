import { render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { plainEntrant } from '@/core/game/entrant';
import { playSession } from '@/core/play/play';
import { PLAIN_RULES } from '@/core/game/rules';
import { schemeOf, type SchemeKind } from '@/core/game/scoring';
import { UNKNOWN } from '@/core/game/scoring/ball';
import type { GameSpec } from '@/core/game/spec';
import { projectShots } from '@/core/shot/project';
import { bundleOf, bundlePlayer, entrants, ft, game, holed, left, PLAYER, playList, SESSION, station } from '@/core/testing/make';
import { Afterwards } from './afterwards';
import { CountingScreen } from './counting-screen-in-test';
import { recordBall, type Sitting } from './record';
import { Summary } from '../session/summary';

jest.mock('./record', () => ({ recordBall: jest.fn(async () => true), undoBall: jest.fn(async () => []) }));
const calls = () => jest.mocked(recordBall).mock.calls;
const recorded = () => calls().at(-1)![3];
beforeEach(() => jest.mocked(recordBall).mockClear());

const player = (playerId = PLAYER, name = 'Otto', clubs: string[] = []) =>
  bundlePlayer(name, { entrant: plainEntrant(playerId), clubs: clubs.map((label) => ({ clubId: null, label })), favourite: 'PW' });
const of = (scheme: SchemeKind, more: Partial<GameSpec> = {}, scoring: object = {}) => {
  const counts = schemeOf({ scheme }).countsBalls;
  const stations = ['a', 'b'].map((key) => station(key, { balls: counts ? 3 : 1, carryM: 4, par: 2 }));
  return game({ stations, scoring: { ...schemeOf({ scheme }).fresh('imperial'), ...scoring } as GameSpec['scoring'], ...more });
};

function show(spec: GameSpec, results: Parameters<typeof playList>[1] = []) {
  const people = entrants(schemeOf(spec.scoring).players);
  const { events } = playList(spec, results, { people });
  const table = playSession(spec, people, projectShots(events));
  const seat = table.turn ?? 0;
  const one = player(PLAYER, 'Otto', ['9 iron', 'PW', '54°']);
  const sitting: Sitting = { sessionId: SESSION, only: null, spec, players: people.map(() => one) };
  render(
    <CountingScreen sitting={sitting} seat={seat} standing={table.standings[seat]!} bag={one} system="imperial" balls={events.length} />,
  );
  return userEvent.setup();
}
/** Presses a key once it can be pressed: a press right after another is the same press. */
/** Until the press before is taken: here the screen never shows what it came to. */
const taken = () => waitFor(() => expect(screen.getByRole('main')).not.toHaveAttribute('aria-busy', 'true'), { timeout: 3_000 });

const press = async (user: ReturnType<typeof userEvent.setup>, name: string | RegExp) => {
  await taken();
  await user.click(screen.getByRole('button', { name }));
};

test.each<[SchemeKind, string, object]>([
  ['hits', '6 ft', { leftMinM: 0, leftMaxM: ft(6) }],
  ['landing_zone', 'missed', { landed: false }],
  ['hole_out', '3', { strokes: 3, holed: false }],
  ['ladder', 'out', { leftMinM: ft(6), leftMaxM: null }],
  ['shot_matrix', 'as asked', { executed: true }],
  ['streak', 'Holed', { holed: true }],
])('%s: the plain record is one press', async (scheme, key, result) => {
  const user = show(of(scheme));
  await press(user, key);
  expect(recorded()).toMatchObject(result);
  expect(calls()).toHaveLength(1);
});

test.each<SchemeKind>(['total_left', 'nearest_wins', 'club_trial'])(
  '%s: the number pad is there at once, with Holed and outside beside it',
  async (scheme) => {
    const user = show(of(scheme));
    await user.keyboard('7');
    await press(user, 'Record 7 ft');
    expect(recorded()).toMatchObject({ leftM: ft(7) });
    await press(user, /^outside/);
    expect(recorded()).toMatchObject({ leftMinM: ft(30), leftMaxM: null });
    await taken();
    await user.keyboard('h');
    expect(recorded()).toMatchObject({ holed: true });
  },
);

test('hole out: where it finished off the green is pressed before, and goes with the strokes', async () => {
  const user = show(of('hole_out'));
  await press(user, 'sand');
  await press(user, '4');
  expect(recorded()).toMatchObject({ strokes: 4, finish: 'sand' });
});

test('what is asked of a ball stands out; what came before is a card', () => {
  show(of('shot_matrix', { stations: [station('a', { balls: 1 })] }), [{ ...UNKNOWN, executed: true }]);
  expect(screen.getByText('low draw')).toBeVisible();
  expect(within(screen.getByRole('list', { name: 'Balls so far' })).getAllByRole('listitem')).toHaveLength(1);
});

test('a one-sided zone asks for the side after the ring, and can be taken back', async () => {
  const user = show(of('hits', { rules: { ...PLAIN_RULES, goodSide: 'long' } }));
  await press(user, '6 ft');
  expect(recordBall).not.toHaveBeenCalled();
  await press(user, 'Back');
  await press(user, '6 ft');
  await press(user, 'short of it');
  expect(recorded()).toMatchObject({ leftMaxM: ft(6), bearingDeg: 180 });
});

test('clubs that may not be used are named with the reason', async () => {
  const user = show(of('hits', { rules: { ...PLAIN_RULES, favouriteBanned: true } }));
  expect(screen.getByRole('button', { name: /PW.*the favourite/ })).toBeDisabled();
  await press(user, '54°');
  await press(user, '6 ft');
  expect(recorded()).toMatchObject({ clubLabel: '54°', leftMaxM: ft(6) });
});

test('a call is said before the ball and kept with it; whether it was kept is asked after it', async () => {
  const user = show(of('nearest_wins', {}, { callPoints: 1 }));
  await user.click(screen.getByRole('radio', { name: 'low' }));
  await user.type(screen.getByLabelText('In your own words'), 'past the ridge');
  await press(user, 'Called');
  await user.keyboard('5');
  await press(user, /^Record/);
  expect(screen.getByRole('heading', { name: 'Called: low, past the ridge. Kept?' })).toBeVisible();
  await press(user, 'not kept');
  expect(recorded()).toMatchObject({ leftM: ft(5), executed: false, called: 'low, past the ridge' });
});

test('undo takes a call back before any ball; said aloud, it keeps no words', async () => {
  const user = show(of('nearest_wins', {}, { callPoints: 1 }));
  await press(user, 'Called aloud');
  await press(user, 'Undo');
  expect(calls()).toHaveLength(0);
  await press(user, 'Called aloud');
  await press(user, /^Holed/);
  await press(user, 'kept');
  expect(recorded()).toMatchObject({ holed: true, executed: true, called: '' });
});

test('the player chooses the station, and can go elsewhere again', async () => {
  const user = show(of('hits', { order: 'choice', stations: [station('a', { balls: 1 }), station('b', { balls: 1, shotType: 'pitch' })] }));
  await press(user, /^15 yd pitch/);
  expect(screen.getByRole('heading', { name: '15 yd pitch' })).toBeVisible();
  await press(user, 'Elsewhere');
  await press(user, /^15 yd chip/);
  await press(user, 'Holed');
  expect(calls().at(-1)![2]).toMatchObject({ station: { key: 'a' }, turnNo: 0 });
});

test('an open game begins with a call; what is wrong with it is said', async () => {
  const user = show(game({ stations: [], open: true }));
  await press(user, 'Play it');
  expect(screen.getByText('Enter the distance to the hole as a number.')).toBeVisible();
  await user.click(screen.getByRole('radio', { name: 'bunker shot' }));
  await user.type(screen.getByLabelText('Distance to the hole, yd'), '12');
  await press(user, 'Play it');
  expect(screen.getByRole('heading', { name: '12 yd bunker shot' })).toBeVisible();
  await press(user, 'Holed, 6 points');
  expect(calls().at(-1)![2].station).toMatchObject({ shotType: 'bunker', surface: 'sand' });
});

describe('afterwards', () => {
  const summary = (spec: GameSpec, results: Parameters<typeof playList>[1]) => {
    const { table } = playList(spec, results);
    return render(<Summary spec={spec} standing={table.standings[0]!} best={{ score: 3, sessions: 2 }} system="imperial" />);
  };

  test('fewer strokes are better than the best', () => {
    const spec = of('hole_out', { stations: [station('a', { balls: 1 })], goal: 2 });
    summary(spec, [{ ...UNKNOWN, strokes: 2 }]);
    expect(
      screen.getByText((_, element) => element?.tagName === 'P' && element.textContent!.includes('personal best, 1 better than 3')),
    ).toBeVisible();
    expect(screen.getByText('reached')).toBeVisible();
    expect(screen.getByText('against the par').nextSibling).toHaveTextContent('level through one (par 2)');
  });

  test('a total of distances is said to the inch, and missed by how much', () => {
    const spec = of('total_left', { stations: [station('a', { balls: 2 })], goal: ft(20) });
    summary(spec, [left(20.5), left(4)]);
    expect(screen.getByLabelText('Score')).toHaveTextContent('24 ft 6');
    expect(screen.getByText('missed by 4 ft 6')).toBeVisible();
  });

  test('of several, who won, and each one’s balls', async () => {
    const spec = of('hits', { stations: [station('a', { balls: 1 })] });
    const { table } = playList(spec, [holed, left(20)], { seats: 2 });
    const players = entrants(2).map((entrant, i) => player(entrant.playerId, i === 0 ? 'Otto' : 'Mia'));
    render(
      <Afterwards bundle={bundleOf(spec, [], { players, gameId: null })} table={table} home="/a/here" onBack={null} onRemoved={() => {}} />,
    );
    expect(screen.getByRole('heading', { name: 'Otto wins, 1 hit' })).toBeVisible();
    expect(screen.getByLabelText('Score')).toHaveTextContent('1');
    await userEvent.setup().click(screen.getByRole('button', { name: /Mia/ }));
    expect(screen.getByLabelText('Score')).toHaveTextContent('0');
  });
});

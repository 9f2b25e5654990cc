import { render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { playSession, type Table } from '@/core/play/play';
import type { GameSpec } from '@/core/game/spec';
import { bundleOf, bundlePlayer, entrants, ft, game, holed, left, playList, station, yd } from '@/core/testing/make';
import { CountingScreen } from './counting-screen-in-test';
import { PlayHeader } from './play-header';
import { recordBall, recordSet } from './record';
import { Summary } from '../session/summary';

jest.mock('./record', () => ({
  recordBall: jest.fn(async () => true),
  recordSet: jest.fn(async () => true),
  undoBall: jest.fn(async () => []),
}));
jest.mock('./device/use-session', () => ({ useWaiting: () => ({ waiting: 0, why: 'idle' }) }));
const recorded = () => jest.mocked(recordBall).mock.calls.at(-1)![3];
beforeEach(() => {
  jest.mocked(recordBall).mockClear();
  window.localStorage.clear();
  Element.prototype.scrollIntoView = jest.fn();
});

function show(spec: GameSpec, more: Partial<React.ComponentProps<typeof CountingScreen>> = {}) {
  const people = entrants(1);
  const standing = playSession(spec, people, []).standings[0]!;
  const one = bundlePlayer('Otto', { entrant: people[0]!, measures: { paceM: 0.75, clubM: 0.9 } });
  const sitting = bundleOf(spec, [], { players: [one] });
  render(<CountingScreen sitting={sitting} seat={0} standing={standing} bag={one} system="imperial" balls={0} {...more} />);
  return userEvent.setup();
}
const press = async (user: ReturnType<typeof userEvent.setup>, ...names: (string | RegExp)[]) => {
  for (const name of names) await user.click(await screen.findByRole('button', { name }));
};

const totalLeft = game({ scoring: { scheme: 'total_left', farM: ft(30) }, stations: [station('a', { balls: 4 })] });

describe('the number pad', () => {
  test('counts in paces and club-lengths of one’s own, and the unit stays as it was set', async () => {
    const user = show(totalLeft);
    await press(user, 'In ft: change', '2', '.', '5', /^Record/);
    expect(recorded()).toMatchObject({ leftM: 1.875, measured: 'pace' });
    await press(user, 'In paces: change');
    expect(screen.getByText('– clubs')).toBeVisible();
    expect(window.localStorage.getItem('inch-pad-unit')).toBe('club');
  });

  test('takes several balls as one total, no more than the station has', async () => {
    const user = show(totalLeft);
    await press(user, '1 at once: change', '2 at once: change', '1', '4', /^Record/);
    expect(recorded()).toMatchObject({ leftM: null, nBalls: 3, sumLeftM: ft(14) });
    await press(user, '3 at once: change', '4 at once: change');
    expect(screen.getByRole('button', { name: '1 at once: change' })).toBeVisible();
  });

  test('offers what the reader reads, and takes nothing by itself', async () => {
    const user = show(totalLeft, { offer: { sessionId: 's', readingId: 'r', distanceM: ft(4.25), readAt: 0 } });
    expect(recordBall).not.toHaveBeenCalled();
    await press(user, /^The reader says 4 ft 3/);
    expect(recorded()).toMatchObject({ leftM: ft(4.25), measured: 'laser' });
  });
});

describe('a set that is counted together', () => {
  const set = game({ stations: [station('a', { balls: 10 })] });
  const tally = async (user: ReturnType<typeof userEvent.setup>, ...names: string[]) => {
    for (const name of names) await user.click(screen.getByRole('button', { name }));
  };

  test('is held to the balls that were hit, and says what it earns', async () => {
    const user = show(set);
    await press(user, 'Tally');
    await tally(user, 'Holed: one more', '3 ft: one more', '3 ft: one more', '6 ft: one more');
    expect(screen.getByText('6 balls to count')).toBeVisible();
    await press(user, 'Record 10 balls');
    expect(screen.getByRole('alert')).toHaveTextContent('Count 6 more balls, or take some off the balls hit.');
    expect(recordSet).not.toHaveBeenCalled();
    await tally(user, 'out: the rest');
    await user.click(screen.getByRole('radio', { name: 'all short' }));
    // 6 + 4 + 4 + 2.
    expect(screen.getByText('all counted · 16 points')).toBeVisible();
    expect(screen.getByRole('button', { name: '3 ft: one more' })).toBeDisabled();
  });

  test('counts fewer than the station has, where fewer were hit', async () => {
    const user = show(set);
    await press(user, 'Tally');
    await tally(user, ...Array<string>(7).fill('balls hit: one less'), '3 ft: the rest');
    await press(user, 'Record 3 balls');
    const [, , turns, results] = jest.mocked(recordSet).mock.calls.at(-1)!;
    expect([turns.map((turn) => turn.ballNo).slice(0, 3), results.map((result) => result.leftMaxM)]).toEqual([
      [1, 2, 3],
      [ft(3), ft(3), ft(3)],
    ]);
  });
});

describe('what is kept on the screen', () => {
  const keep = async (user: ReturnType<typeof userEvent.setup>, ...rows: string[]) => {
    await press(user, 'More');
    const choice = within(screen.getByRole('group', { name: 'Always show' }));
    for (const row of rows) await user.click(choice.getByRole('button', { name: row }));
    await press(user, 'Done');
  };

  test('a club, a flight and a side are one press each; the side is for one ball, how it is played stays', async () => {
    const user = show(totalLeft);
    await keep(user, 'club', 'flight', 'short or long');
    await press(user, '54°', 'low', 'short', '7', /^Record/);
    expect(recorded()).toMatchObject({ leftM: ft(7), clubLabel: '54°', trajectory: 'low', bearingDeg: 180 });
    expect(screen.getByRole('button', { name: 'low' })).toHaveAttribute('aria-pressed', 'true');
    expect(screen.getByRole('button', { name: 'short' })).toHaveAttribute('aria-pressed', 'false');
    // What stands on its row isn't said a second time.
    expect(screen.queryByRole('button', { name: 'clear' })).toBeNull();
    await press(user, 'low', 'long', '3', /^Record/);
    expect(recorded()).toMatchObject({ clubLabel: '54°', bearingDeg: 0 });
    expect(recorded()).not.toHaveProperty('trajectory');
  });

  test('on which side a ball landed is one press, and for one ball', async () => {
    const user = show(game());
    await keep(user, 'landed short or long');
    await press(user, 'short', /^6 ft, /);
    expect(recorded()).toMatchObject({ leftMaxM: ft(6), landedSide: 'short', bearingDeg: null });
    await press(user, /^10 ft, /);
    expect(recorded()).not.toHaveProperty('landedSide');
  });

  test('a holed ball stopped on no side; what was kept is kept on this device', async () => {
    const user = show(game());
    await keep(user, 'short or long');
    await press(user, 'long', /^Holed, /);
    expect(recorded()).toMatchObject({ holed: true, bearingDeg: null });
    await press(user, 'short', /^6 ft, /);
    expect(recorded()).toMatchObject({ leftMaxM: ft(6), bearingDeg: 180 });
    expect(window.localStorage.getItem('inch-rows-shown')).toBe('side');
  });
});

describe('where a ball lands', () => {
  const zone = { scheme: 'landing_zone', shape: 'strip', sizeM: ft(4), finishM: ft(8) } as const;
  const at = station('a', { distanceM: yd(24), carryM: yd(15), hole: 'B', note: 'land it past the ridge' });

  test('is drawn with its size, and with what near the hole means; what to think of stands beside it', () => {
    show(game({ scoring: zone, stations: [at, station('b', { carryM: yd(9) })] }));
    expect(screen.getByRole('group', { name: 'From above: land at 15 yd, within 4 ft; near the hole is within 8 ft' })).toBeVisible();
    expect(screen.getByText('Station 1 · hole B')).toBeVisible();
    expect(screen.getByText('land it past the ridge')).toBeVisible();
  });

  test('is not drawn where landing counts for nothing', () => {
    show(game({ stations: [at] }));
    expect(screen.queryByRole('group', { name: /^From above/ })).toBeNull();
    expect(screen.getByText('hole B')).toBeVisible();
  });
});

describe('strokes to hole out', () => {
  const spec = game({
    scoring: { scheme: 'hole_out', counts: 'strokes', pickUpAfter: 6, extraFromLevel: null },
    stations: [station('a', { balls: 1, par: 2 })],
  });

  test('carry the leave, with one more tap for the pad', async () => {
    const user = show(spec);
    await press(user, 'Leave', '4', /^Record/);
    expect(recordBall).not.toHaveBeenCalled();
    await press(user, '2');
    expect(recorded()).toMatchObject({ strokes: 2, leftM: ft(4), measured: 'tape', holed: false });
  });

  test('a holed one has no leave, whatever was typed before', async () => {
    const user = show(spec);
    await press(user, 'Leave', '4', /^Record/, '1 · holed it');
    expect(recorded()).toMatchObject({ holed: true, leftM: null });
  });
});

describe('more about a ball', () => {
  test('a mark that was set by mistake is taken back, and what is wrong in a field is said and kept', async () => {
    const user = show(game());
    await press(user, 'More');
    await user.click(screen.getByRole('radio', { name: 'shank' }));
    await user.click(screen.getByRole('radio', { name: 'shank' }));
    await user.type(screen.getByLabelText(/^Played for/), 'far');
    expect(screen.getByText('A number, at most 164.')).toBeVisible();
    expect(screen.getByLabelText(/^Played for/)).toHaveValue('far');
    await press(user, 'Done', 'Holed, 6 points');
    expect(recorded()).not.toHaveProperty('mishit', 'shank');
    expect(recorded().intendedM ?? null).toBeNull();
  });

  test('a swing without a ball says all: it is recorded at once, and its turn is still to be played', async () => {
    const user = show(game());
    await press(user, 'More');
    await user.click(screen.getByRole('radio', { name: 'without a ball' }));
    await press(user, 'Done');
    expect(recorded()).toMatchObject({ counts: 'no_ball', holed: false, leftM: null });
  });

  test('a putt is asked for no flight and no strike', async () => {
    const user = show(game({ stations: [station('a', { shotType: 'putt', surface: 'green', distanceM: ft(6), distanceUnit: 'ft' })] }));
    await press(user, 'More');
    expect(screen.queryByRole('radiogroup', { name: 'Flight' })).toBeNull();
    expect(screen.queryByRole('radiogroup', { name: 'Strike' })).toBeNull();
    expect(screen.getByRole('radiogroup', { name: 'Stance' })).toBeVisible();
  });
});

test('a squad of 24: everybody is two taps away, and who plays is chosen', async () => {
  const people = entrants(24);
  const players = people.map((entrant, i) => bundlePlayer(`Player ${i + 1}`, { entrant }));
  const bundle = bundleOf(game(), [], { players });
  const table: Table = playSession(game(), people, []);
  const onSeat = jest.fn();
  render(<PlayHeader bundle={bundle} table={table} seat={0} playing leftMs={null} onSeat={onSeat} home="/" onMenu={() => {}} />);
  const user = userEvent.setup();
  await user.click(screen.getByRole('button', { name: 'all 24' }));
  const tabs = within(screen.getByRole('tablist', { name: 'Players' })).getAllByRole('tab');
  expect(tabs).toHaveLength(24);
  await user.click(tabs[17]!);
  expect(onSeat).toHaveBeenCalledWith(17);
});

test('by a personal link the others are there to look at', () => {
  const people = entrants(2);
  const players = people.map((entrant, i) => bundlePlayer(`Player ${i + 1}`, { entrant }));
  const bundle = bundleOf(game(), [], { players, only: people[1]!.playerId });
  render(
    <PlayHeader
      bundle={bundle}
      table={playSession(game(), people, [])}
      seat={1}
      playing
      leftMs={null}
      onSeat={() => {}}
      home="/j#x"
      onMenu={() => {}}
    />,
  );
  expect(screen.getByRole('tab', { name: /Player 1/ })).toBeDisabled();
  expect(screen.getByRole('link', { name: 'Leave play' })).toHaveAttribute('href', '/j#x');
});

test('where less is better, a few balls of a game that ended early reach no goal', () => {
  const spec = game({ scoring: { scheme: 'total_left', farM: ft(30) }, goal: ft(40), stations: [station('a', { balls: 4 })] });
  const standing = (results: Parameters<typeof playList>[1]) => playList(spec, results).table.standings[0]!;
  const { rerender } = render(<Summary spec={spec} standing={standing([left(5)])} best={null} system="imperial" />);
  expect(screen.queryByText('reached')).toBeNull();
  rerender(<Summary spec={spec} standing={standing([left(5), holed, holed, holed])} best={null} system="imperial" />);
  expect(screen.getByText('reached')).toBeVisible();
  rerender(<Summary spec={spec} standing={standing([left(28), left(28)])} best={null} system="imperial" />);
  expect(screen.getByText('missed by 16 ft')).toBeVisible();
});

import { fireEvent, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { play } from '@/core/play/play';
import { projectShots } from '@/core/shot/project';
import type { UnitSystem } from '@/core/units/length';
import { bundlePlayer, ft, game, left, record, SESSION } from '@/core/testing/make';
import { CountingScreen } from './counting-screen-in-test';
import { recordBall, undoBall, type Sitting } from './record';

jest.mock('./record', () => ({ recordBall: jest.fn(async () => true), undoBall: jest.fn(async () => []) }));
const recorded = () => jest.mocked(recordBall).mock.calls.at(-1)![3];

function show(system: UnitSystem = 'imperial', balls = 1) {
  const spec = game({ goal: 20 });
  const events = Array.from({ length: balls }, (_, turn) => record(spec, turn, left(5, 90)));
  const standing = play(spec, projectShots(events));
  const player = bundlePlayer('Otto', { entrant: standing.entrant, units: system });
  const sitting: Sitting = { sessionId: SESSION, only: null, spec, players: [player] };
  render(<CountingScreen sitting={sitting} seat={0} standing={standing} bag={player} system={system} balls={balls} />);
  return userEvent.setup();
}

beforeEach(() => {
  jest.mocked(recordBall).mockClear();
  jest.mocked(undoBall).mockClear();
  window.localStorage.clear();
});

test('it says what to play, how it stands and what comes next', () => {
  show();
  expect(screen.getByRole('heading', { name: '15 yd chip' })).toBeVisible();
  expect(screen.getByLabelText('Score')).toHaveTextContent('2');
  expect(screen.getByText(/goal 20/).closest('p')).toHaveTextContent(
    'points · goal 20 · 3.6 a ball needed5 balls left · then the same again',
  );
});

test('before a change of station it names the next one', () => {
  show('imperial', 2);
  expect(screen.getByText(/then 25 yd pitch/)).toBeVisible();
});

test.each([
  ['Holed, 6 points', { holed: true, measured: 'ring' }],
  ['3 ft, 4 points', { leftMinM: 0, leftMaxM: ft(3) }],
  ['6 ft, 2 points', { leftMinM: ft(3), leftMaxM: ft(6) }],
  ['out, 0 points', { leftMinM: ft(10), leftMaxM: null }],
])('the key “%s” records just that, in one press', async (name, result) => {
  const user = show();
  await user.click(screen.getByRole('button', { name }));
  expect(recorded()).toMatchObject(result);
});

test.each([
  ['h', { holed: true }],
  ['2', { leftMinM: ft(3), leftMaxM: ft(6) }],
  ['0', { leftMinM: ft(10), leftMaxM: null }],
])('the keyboard’s %s does the same', async (key, result) => {
  const user = show();
  await user.keyboard(key);
  expect(recorded()).toMatchObject(result);
});

test('U takes back; a key that stands for nothing does nothing', async () => {
  const user = show();
  await user.keyboard('9x');
  expect(recordBall).not.toHaveBeenCalled();
  await user.keyboard('u');
  expect(undoBall).toHaveBeenCalledTimes(1);
});

test('a distance is typed on the pad, and how it was measured stays', async () => {
  const user = show();
  await user.click(screen.getByRole('button', { name: 'Type distance' }));
  await user.click(screen.getByRole('radio', { name: 'paced' }));
  for (const key of ['7', 'ft', '6']) await user.click(screen.getByRole('button', { name: key }));
  expect(screen.getByText('1 point')).toBeVisible();
  await user.click(screen.getByRole('button', { name: 'Record 7 ft 6 in' }));
  expect(recorded()).toMatchObject({ leftM: 2.286, measured: 'pace', bearingDeg: null });
});

test('nothing typed is not recorded, and the reason is said', async () => {
  const user = show();
  await user.click(screen.getByRole('button', { name: 'Type distance' }));
  await user.click(screen.getByRole('button', { name: /^Record/ }));
  expect(screen.getByText('Type the distance left.')).toBeVisible();
  expect(recordBall).not.toHaveBeenCalled();
  await user.keyboard('{Escape}');
  expect(screen.getByRole('button', { name: 'Type distance' })).toBeVisible();
});

test('a metric player types metres', async () => {
  const user = show('metric');
  expect(screen.getByRole('heading', { name: '13.7 m chip' })).toBeVisible();
  await user.click(screen.getByRole('button', { name: 'Type distance' }));
  await user.keyboard('1,25');
  await user.keyboard('{Enter}');
  expect(recorded()).toMatchObject({ leftM: 1.25, measured: 'tape' });
});

/** Taps the target as if it were 300 pixels wide: 11.8 ft from its middle to its edge. */
function tap(rightFt: number, beyondFt: number) {
  const target = screen.getByLabelText('The target from above: tap where the ball stopped');
  target.getBoundingClientRect = () => ({
    left: 0,
    top: 0,
    width: 300,
    height: 300,
    right: 300,
    bottom: 300,
    x: 0,
    y: 0,
    toJSON: () => '',
  });
  const perFt = 150 / 11.8;
  const at = { clientX: 150 + rightFt * perFt, clientY: 150 - beyondFt * perFt, identifier: 0, target };
  // The test's browser has no pointer events, but fingers.
  fireEvent.touchStart(target, { touches: [at], targetTouches: [at], changedTouches: [at] });
  fireEvent.touchEnd(target, { touches: [], targetTouches: [], changedTouches: [at] });
}

test('a tap on the target reads out distance, direction and points, and is moved in small steps', async () => {
  const user = show();
  tap(0, 2);
  expect(await screen.findByText('long · 4 points · by eye')).toBeVisible();
  for (let i = 0; i < 5; i++) await user.click(screen.getByRole('button', { name: 'A little longer' }));
  expect(screen.getByText('long · 2 points · by eye')).toBeVisible();
  await user.click(screen.getByRole('button', { name: /^Record 3 ft/ }));
  expect(recorded()).toMatchObject({ measured: 'eye', bearingDeg: 0 });
  expect(recorded().leftM).toBeCloseTo(ft(3.25), 2);
});

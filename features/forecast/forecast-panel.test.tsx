import { act, render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { packDraws } from '@/core/skill/posterior';
import { LIBRARY } from '@/core/game/library';
import type { GameSpec } from '@/core/game/spec';
import { believe } from '@/core/skill/diagnose';
import { modelOf } from '@/core/skill/model';
import { evidenceOf, hitterOf, madeUp } from '@/core/made-up/players';
import { shippedReference } from '@/core/golf/reference';
import { seededRandom } from '@/core/math/random';
import { ForecastPanel } from './forecast-panel';
import { startForecastWorker } from './start-worker';
import type { Candidate } from './use-beliefs';
import { WorkerInTest } from './worker-in-test';

jest.setTimeout(60_000);
jest.mock('./start-worker', () => ({ startForecastWorker: jest.fn() }));
const start = jest.mocked(startForecastWorker);

const spec = (key: string) => LIBRARY.find((entry) => entry.key === key)!.spec;
const coach = { paceM: null, clubM: null, putterM: null };
const candidate = (name: string, level: number, balls: number): Candidate => ({ playerId: name, name, level, balls, ...coach });
const people = [candidate('Ada', 20, 400), candidate('Bo', 8, 0)];

const model = modelOf(shippedReference);
const truth = { ...madeUp(model.cells, seededRandom(3)), level: 20 };
const hits = hitterOf(truth, shippedReference, seededRandom(5));
const draws = packDraws(believe(evidenceOf(hits, model.cells, shippedReference, 400, seededRandom(4)), model, 20).draws);

let worker: WorkerInTest;
const onSet = jest.fn();
beforeEach(() => {
  onSet.mockReset();
  start.mockReset().mockImplementation(() => (worker = new WorkerInTest()) as unknown as Worker);
  globalThis.fetch = jest.fn(async () => ({
    ok: true,
    headers: new Headers({ 'as-asked': '3/4', 'model-version': String(modelOf(shippedReference).version) }),
    arrayBuffer: async () => draws.slice().buffer,
  })) as unknown as typeof fetch;
});

const panel = (game: GameSpec | null, problem: string | null = null) => (
  <ForecastPanel
    game={game}
    problem={problem}
    desk={{ slug: 'here', units: 'imperial', candidates: people, coach }}
    onSet={onSet}
    goalField={<input aria-label="Goal" />}
  />
);
const row = (key: string) => document.querySelector<HTMLElement>(`[data-row="${key}"]`)!;
const fine = (key: string) =>
  waitFor(() => expect(row(key)).toMatchObject({ dataset: { rough: 'false', old: 'false' } }), { timeout: 20_000 });

test('every level gets its scores and its chance of the goal, a better one a better chance', async () => {
  render(panel(spec('three-hoops')));
  for (const level of [0, 5, 10, 18, 28]) await fine(`level-${level}`);
  const chances = [0, 5, 10, 18, 28].map((level) => Number(row(`level-${level}`).querySelectorAll('b')[1]!.textContent!.replace('%', '')));
  expect(chances).toEqual([...chances].sort((a, b) => b - a));
  expect(row('level-10')).toHaveTextContent(/Level 10: median 15 points, 8 games in 10 from [78] points to 2[234] points/);
  expect(screen.getByText(/10,000 games a row$/)).toBeVisible();
});

test('a goal and ring sizes are offered for whom one chooses, with their own chance, and set what they say', async () => {
  const user = userEvent.setup();
  render(panel(spec('three-hoops')));
  await fine('level-10');
  const goal = () => screen.getByRole('button', { name: /^Set \d+: / });
  await waitFor(() => expect(goal()).toBeEnabled());
  expect(goal()).toHaveTextContent(/^Set 17: 3\d%$/);
  await user.click(goal());
  expect(onSet).toHaveBeenLastCalledWith('goal', 17);
  await user.click(screen.getByRole('button', { name: /^Set .* ft/ }));
  const rings = [0, 1, 2].map((ring) => `scoring.rings.${ring}.radiusM`);
  expect(onSet.mock.calls.slice(1).map(([path]) => path as string)).toEqual(rings);
  // What was there before can be had again.
  await user.click(screen.getByRole('button', { name: 'Put back what they were before' }));
  expect(onSet.mock.calls.slice(4)).toEqual(rings.map((path, i) => [path, [0.9144, 1.8288, 3.048][i]]));
  expect(screen.queryByRole('button', { name: /^Put back/ })).toBeNull();
  await user.click(screen.getByLabelText('Level 28'));
  await waitFor(() => expect(screen.getByText('for level 28')).toBeVisible());
  await waitFor(() => expect(goal()).toBeEnabled(), { timeout: 20_000 });
  expect(Number(/Set (\d+)/.exec(goal().textContent!)![1])).toBeLessThan(15);
});

test('a player is read from the records, one without a ball stands as the level, and both meet evenly', async () => {
  const user = userEvent.setup();
  render(panel(spec('doorstep')));
  await user.selectOptions(screen.getByLabelText('Forecast it for a player'), 'Ada');
  await user.selectOptions(screen.getByLabelText('Forecast it for a player'), 'Bo');
  await fine('Ada');
  await fine('Bo');
  expect(fetch).toHaveBeenCalledTimes(1);
  expect(fetch).toHaveBeenCalledWith('/a/here/players/Ada/belief');
  expect(row('Ada')).toHaveTextContent('from 400 balls');
  expect(row('Bo')).toHaveTextContent('no ball yet: as any player of level 8');
  await waitFor(() => expect(screen.getByText('from scratch')).toBeVisible(), { timeout: 20_000 });
  expect(screen.getByText(/beats Bo \d+%/)).toBeVisible();
  expect(screen.getByText(/^((½|1) point|\d+½? points)$/)).toBeVisible();
  await user.click(screen.getByRole('button', { name: /Leave out Ada/ }));
  expect(row('Ada')).toBeNull();
  expect(screen.queryByText('from scratch')).toBeNull();
});

test('records that can’t be fetched leave the level, and are fetched again when there is a network', async () => {
  const user = userEvent.setup();
  jest.mocked(fetch).mockRejectedValueOnce(new TypeError('no network'));
  render(panel(spec('doorstep')));
  await user.selectOptions(screen.getByLabelText('Forecast it for a player'), 'Ada');
  await waitFor(() => expect(row('Ada')).toHaveTextContent('the records can’t be fetched now: as any player of level 20'));
  act(() => void window.dispatchEvent(new Event('online')));
  await waitFor(() => expect(row('Ada')).toHaveTextContent('from 400 balls'));
});

test('an edit is answered anew and what was asked before is dropped; another way of scoring shows no old figure', async () => {
  const { rerender } = render(panel(spec('three-hoops')));
  await fine('level-0');
  const before = row('level-0').textContent;
  rerender(panel({ ...spec('three-hoops'), goal: 30 }));
  rerender(panel({ ...spec('three-hoops'), goal: 31 }));
  await waitFor(() => expect(row('level-0').textContent).not.toBe(before), { timeout: 20_000 });
  const questions = worker.asked.filter((message) => 'ask' in message);
  // Changes that follow each other at once are one question.
  expect(questions).toHaveLength(2);
  rerender(panel(spec('reckoning')));
  expect(row('level-0')).not.toHaveTextContent('points');
  await fine('level-0');
  expect(row('level-0')).toHaveTextContent(/ft/);
});

test('no game and no station: what is missing is said, and nothing is asked', () => {
  const { rerender, unmount } = render(panel(null, 'At least one ring.'));
  expect(screen.getByText(/Forecast once this is complete: At least one ring\./)).toBeVisible();
  rerender(panel(spec('wander')));
  expect(screen.getByText(/Stations called during play can’t be forecast/)).toBeVisible();
  expect(within(document.body).getByLabelText('Goal')).toBeVisible();
  expect(worker.asked).toEqual([]);
  unmount();
  expect(worker.ended).toBe(1);
});

test('where the worker can’t start, that is said and the rest of the page goes on', async () => {
  start.mockImplementation(() => {
    throw new Error('no workers here');
  });
  render(panel(spec('doorstep')));
  expect(await screen.findByRole('alert')).toHaveTextContent('The forecast did not start.');
  expect(screen.getByLabelText('Goal')).toBeVisible();
});

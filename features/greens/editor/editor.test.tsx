import { fireEvent, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { green, standing } from '@/core/testing/make-green';
import { saveGreenAction } from '../actions';
import { fitted, panned, toPixels, toPlan, zoomed } from '../plan-view';
import { GreenEditor } from './editor';

jest.mock('../actions', () => ({ saveGreenAction: jest.fn() }));
jest.mock('next/navigation', () => ({ useRouter: () => ({ push: jest.fn() }) }));
const save = saveGreenAction as jest.MockedFunction<typeof saveGreenAction>;

const savedAt = new Date('2026-05-20T18:00:00Z');
const plan = green({ stations: [standing('s1', [0, -18.288]), standing('s2', [20, 0], 'h2')] });
const editor = (more: Partial<React.ComponentProps<typeof GreenEditor>> = {}) =>
  render(
    <GreenEditor
      slug="here"
      greenId="g"
      initial={plan}
      system="imperial"
      paceM={0.762}
      last={{ version: 1, savedAt }}
      games={[]}
      {...more}
    />,
  );

test('a view goes from metres to pixels and back, keeps the point under a zoom, and fits the plan', () => {
  const view = fitted(plan, 400, 300);
  expect(toPlan(view, toPixels(view, [3, -7])).map((n) => Math.round(n * 1e6) / 1e6)).toEqual([3, -7]);
  const at = [120, 80] as const;
  const near = zoomed(view, 2, at);
  expect(near.perM).toBeCloseTo(view.perM * 2);
  expect(toPlan(near, at).map((n) => n.toFixed(6))).toEqual(toPlan(view, at).map((n) => n.toFixed(6)));
  expect(toPixels(panned(view, [10, -5]), [0, 0]).map((n, i) => Math.round(n - toPixels(view, [0, 0])[i]!))).toEqual([10, -5]);
  for (const point of plan.outline) for (const [i, n] of toPixels(view, point).entries()) expect(n > 0 && n < [400, 300][i]!).toBe(true);
});

test('a figure that can’t be used stays as it was typed, with the reason, and holds back saving', async () => {
  const user = userEvent.setup();
  editor();
  const fringe = screen.getByLabelText(/^Fringe/);
  await user.clear(fringe);
  await user.type(fringe, '99');
  expect(fringe).toHaveValue('99');
  expect(screen.getByText('A fringe is at most 10 m (33 ft) wide.')).toBeVisible();
  expect(screen.getByRole('button', { name: 'Save the green' })).toBeDisabled();
  await user.clear(fringe);
  await user.type(fringe, '4');
  expect(screen.getByRole('button', { name: 'Save the green' })).toBeEnabled();
  await user.clear(screen.getByLabelText('Name'));
  expect(screen.getAllByText('A green needs a name.').length).toBeGreaterThan(0);
  expect(screen.getByRole('button', { name: 'Save the green' })).toBeDisabled();
});

test('a station is chosen from the list, says its distance in the coach’s paces, and is moved by its figures', async () => {
  const user = userEvent.setup();
  editor();
  await user.click(screen.getByRole('button', { name: /^1\. 20 yd/ }));
  // 18.288 m are 24 paces of 30 in.
  expect(screen.getByText('20 yd · 24 of your paces')).toBeVisible();
  fireEvent.change(screen.getByLabelText(/^From the hole/), { target: { value: '0' } });
  expect(screen.getByText('Station 1 stands on its hole.')).toBeVisible();
  fireEvent.change(screen.getByLabelText(/^From the hole/), { target: { value: '25' } });
  expect(screen.getByText('25 yd · 30 of your paces')).toBeVisible();
  await user.selectOptions(screen.getByLabelText('From'), 'sand');
  expect(screen.getByText(/said to lie in sand, where the plan has light rough/)).toBeVisible();
  await user.click(screen.getByRole('button', { name: 'Remove station 1' }));
  expect(screen.getByText(/2 holes, 1 station$/)).toBeVisible();
  await user.click(screen.getByRole('button', { name: 'Undo' }));
  expect(screen.getByText(/2 holes, 2 stations$/)).toBeVisible();
});

test('after saving it says what became of the games; what could not be sent is still there', async () => {
  const user = userEvent.setup();
  editor({ games: [{ gameId: 'x', title: 'Round it' }] });
  await user.type(screen.getByLabelText('Name'), ' two');
  save.mockRejectedValueOnce(new Error('no network'));
  await user.click(screen.getByRole('button', { name: 'Save the green' }));
  expect(await screen.findByText(/No connection/)).toBeVisible();
  expect(screen.getByLabelText('Name')).toHaveValue('Square two');
  save.mockResolvedValueOnce({
    ok: true,
    saved: {
      version: 2,
      savedAt,
      followed: [{ title: 'Round it', version: 3, isNew: true }],
      kept: [{ title: 'Other', reason: 'Too far.' }],
    },
  });
  await user.click(screen.getByRole('button', { name: 'Save the green' }));
  expect(await screen.findByText('Round it followed: it has results, so it is version 3 now.')).toBeVisible();
  expect(screen.getByText('Other keeps its stations as they were. Too far.')).toBeVisible();
  expect(screen.getByRole('button', { name: 'Saved' })).toBeDisabled();
});

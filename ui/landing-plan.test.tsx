import { fireEvent, render, screen } from '@testing-library/react';
import { LandingPlan } from './landing-plan';

const plain = { label: 'plan', distanceM: 20, carryM: 12, shape: 'circle', sizeM: 1, finishM: null } as const;
const circles = () =>
  [...document.querySelectorAll('circle')].map((one) => ['cx', 'cy', 'r'].map((name) => Number(one.getAttribute(name))));

test('everything is where it is, to one scale: ball, landing zone, hole', () => {
  render(<LandingPlan {...plain} finishM={2} />);
  const [finish, landing, hole, ball] = circles() as [number[], number[], number[], number[]];
  const perM = (ball[1]! - hole[1]!) / 20;
  expect((ball[1]! - landing[1]!) / perM).toBeCloseTo(12, 6);
  expect(landing[2]! / perM).toBeCloseTo(1, 6);
  expect([finish[1], finish[2]! / perM]).toEqual([hole[1], expect.closeTo(2, 6)]);
});

test('a strip lies across the line, as deep as it is', () => {
  render(<LandingPlan {...plain} shape="strip" />);
  const [hole, ball] = circles() as [number[], number[]];
  const strip = [...document.querySelectorAll('rect')].find((one) => one.getAttribute('fill') === 'var(--ring-1)')!;
  expect((Number(strip.getAttribute('height')) * 20) / (ball[1]! - hole[1]!)).toBeCloseTo(2, 6);
});

test('grips are moved with the arrow keys, from step to step, and never to nothing', () => {
  const moved = jest.fn();
  const grip = { says: '12 m', stepM: 0.5, onMove: moved };
  render(<LandingPlan {...plain} carry={{ ...grip, name: 'Lands at' }} size={{ ...grip, name: 'Size' }} />);
  fireEvent.keyDown(screen.getByRole('slider', { name: 'Lands at' }), { key: 'ArrowUp' });
  fireEvent.keyDown(screen.getByRole('slider', { name: 'Size' }), { key: 'PageDown' });
  fireEvent.keyDown(screen.getByRole('slider', { name: 'Size' }), { key: 'x' });
  expect(moved.mock.calls).toEqual([[12.5], [0.5]]);
});

test('where nothing can be dragged the figures stand beside the zones', () => {
  render(<LandingPlan {...plain} finishM={2} figures={{ carry: '12 m', size: '1 m', finish: '2 m' }} />);
  for (const text of ['12 m', '1 m', '2 m']) expect(screen.getByText(text)).toBeVisible();
  expect(screen.queryByRole('slider')).toBeNull();
});

import { fireEvent, render, screen } from '@testing-library/react';
import { METRES_PER } from '@/core/units/length';
import { Target, targetReach } from './target';

const ft = METRES_PER.ft;
const rings = [2, 5, 9].map((feet, i) => ({ radiusM: feet * ft, label: String(4 - i) }));

test('rings are drawn to scale, widest first, so that the inner ones lie on top', () => {
  const { container } = render(<Target label="Target" rings={rings} system="imperial" size={400} />);
  const drawn = [...container.querySelectorAll('[data-ring]')];
  expect(drawn.map((ring) => ring.getAttribute('data-ring'))).toEqual(['3', '2', '1']);
  const perMetre = drawn.map((ring, i) => Number(ring.getAttribute('r')) / rings.toReversed()[i]!.radiusM);
  for (const scale of perMetre) expect(scale).toBeCloseTo(200 / targetReach(rings), 6);
});

test('a ball lies where it stopped: beyond the hole is up, right is right', () => {
  const { container } = render(
    <Target
      label="Target"
      rings={rings}
      system="imperial"
      size={400}
      balls={[{ right: 3 * ft, beyond: 4 * ft }]}
      placing={{ right: 0, beyond: -5 * ft }}
    />,
  );
  const scale = 200 / targetReach(rings);
  const ball = container.querySelector('circle[r="5"]')!;
  expect(Number(ball.getAttribute('cx'))).toBeCloseTo(200 + 3 * ft * scale, 6);
  expect(Number(ball.getAttribute('cy'))).toBeCloseTo(200 - 4 * ft * scale, 6);
  const placed = container.querySelector('circle[r="9"]')!;
  expect(Number(placed.getAttribute('cy'))).toBeCloseTo(200 + 5 * ft * scale, 6);
});

test('with no ring yet it still draws the hole', () => {
  const { container } = render(<Target label="Target" rings={[]} system="metric" />);
  expect(container.querySelector('circle[fill="var(--hole)"]')).not.toBeNull();
});

test('an edge is moved with the arrow keys, from step to step, within what is drawn', () => {
  const moved = jest.fn();
  const rings = [{ radiusM: 1, label: '4' }];
  const handle = { radiusM: 1, name: 'Edge', says: '1 m', stepM: 0.1, onMove: moved };
  render(<Target label="target" rings={rings} system="metric" reachM={1.25} handles={[handle]} />);
  const edge = screen.getByRole('slider', { name: 'Edge' });
  expect(edge).toHaveAttribute('aria-valuetext', '1 m');
  fireEvent.keyDown(edge, { key: 'ArrowRight' });
  fireEvent.keyDown(edge, { key: 'ArrowLeft' });
  fireEvent.keyDown(edge, { key: 'PageUp' });
  expect(moved.mock.calls).toEqual([[1.1], [0.9], [1.2]]);
});

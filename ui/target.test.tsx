import { render } from '@testing-library/react';
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

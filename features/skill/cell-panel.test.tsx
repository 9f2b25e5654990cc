import { render, screen } from '@testing-library/react';
import { gather, talliesOf } from '@/core/skill/evidence';
import { believe, diagnose } from '@/core/skill/diagnose';
import { shippedReference } from '@/core/golf/reference';
import { modelOf } from '@/core/skill/model';
import type { Shot } from '@/core/shot/shot';
import { holed, left, shot, yd } from '@/core/testing/make';
import { readAsked } from './asked';
import { CellPanel } from './cell-panel';
import { gamesOverTime } from '../../server/known/over-time';

jest.mock('./curve-chart', () => ({ CurveChart: () => null }));

const model = modelOf(shippedReference);
const NOW = new Date('2026-06-01T12:00:00Z');
const chip = { shotType: 'chip', surface: 'fairway', distanceM: yd(15), playedAt: '2026-05-30T10:00:00Z' } as const;

function show(shots: Shot[], system: 'imperial' | 'metric' = 'imperial') {
  const evidence = gather(talliesOf(shots, NOW, null));
  const belief = believe(evidence, model, 14);
  const { findings } = diagnose(model, belief, evidence, { level: 14, mix: model.mix(14) });
  render(
    <CellPanel
      strokes="lost"
      model={model}
      finding={findings.find(({ key }) => key === 'chip|fairway|10')!}
      shots={shots}
      belief={belief}
      level={14}
      per="shot"
      system={system}
      asked={readAsked({})}
      timeZone="UTC"
      now={NOW}
    />,
  );
}

test('what stands behind a cell is said in words, with of how many balls', () => {
  show([
    shot({ ...chip, strokes: 2, clubLabel: '50', mishit: 'fat' }, left(4, 180)),
    shot({ ...chip, strokes: 3, clubLabel: '50' }, left(8, 180)),
    shot({ ...chip, strokes: 3, clubLabel: '60', finish: 'rough' }, left(40, 180)),
    shot({ ...chip, clubLabel: '60', landingErrorM: -0.9144, intendedM: yd(13) }, left(6, 100)),
    shot(chip, holed),
  ]);
  expect(screen.getByRole('heading', { level: 2 })).toHaveTextContent('10–20 yd chips from the fairway');
  expect(screen.getByText(/^5 balls, the last 2 days ago/)).toBeInTheDocument();
  expect(screen.getByText('Short, 3 of 4.')).toBeInTheDocument();
  // Finishes 4, 8 and 40 ft short and one beside the hole: in the middle 6 ft short.
  expect(screen.getByText(/^Misses on average: 6 ft short.*0% of 4 left of the line/)).toBeInTheDocument();
  expect(screen.getByText('1 fat.')).toBeInTheDocument();
  expect(screen.getByText('1 missed the green, of 5 balls.')).toBeInTheDocument();
  expect(screen.getByText('Played for 2 yd less than the tape says, on average of 1.')).toBeInTheDocument();
  expect(screen.getByText('Landed 3 ft short of the spot, on average of 1.')).toBeInTheDocument();
  expect(screen.getByText(/^Up and down 33% of 3/)).toBeInTheDocument();
  expect(screen.getByRole('img', { name: /^50: .* eight times in ten$/ })).toBeInTheDocument();
});

test('lengths are said in the player’s own units', () => {
  show([shot(chip, left(4, 180)), shot(chip, left(6, 180)), shot(chip, left(8, 180))], 'metric');
  expect(screen.getByText('Median 1.83 m')).toBeInTheDocument();
});

test('a cell without a ball says where its figure comes from', () => {
  show([]);
  expect(screen.getByText(/^Not played yet/)).toBeInTheDocument();
  expect(screen.queryByText(/Middle of the misses/)).not.toBeInTheDocument();
});

test('no game, no scores over time', () => {
  expect(gamesOverTime([], NOW)).toEqual([]);
});

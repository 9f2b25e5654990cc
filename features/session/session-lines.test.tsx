import { render, screen } from '@testing-library/react';
import { game, idOf, PLAYER } from '@/core/testing/make';
import { SessionLines } from './session-lines';

type Lines = React.ComponentProps<typeof SessionLines>['lines'];
const startedAt = new Date('2026-05-20T17:00:00Z');
const people = [
  { playerId: PLAYER, name: 'Otto', units: 'imperial' },
  { playerId: idOf(9001), name: 'Mia', units: 'metric' },
];
const line = (sessionId: string, spec: object, players: object[], balls: number, outcome: object) =>
  ({
    session: { sessionId, spec, startedAt, gameId: 'g', given: null },
    players,
    balls,
    outcome,
    before: null,
  }) as unknown as Lines[number];
const show = (lines: Lines, more: object = {}) =>
  render(<SessionLines slug="here" lines={lines} timeZone="UTC" now={new Date('2026-05-21T18:00:00Z')} {...more} />);

test('every row says what came of it: a goal, a winner, and what was stopped', () => {
  const [otto, mia] = [PLAYER, idOf(9001)];
  show([
    line('s1', game({ goal: 17 }), people.slice(0, 1), 6, { through: true, scores: [{ playerId: otto, score: 21, met: true }], ahead: [] }),
    line('s2', game(), people, 9, {
      through: true,
      scores: [
        { playerId: otto, score: 0, met: null },
        { playerId: mia, score: 3, met: null },
      ],
      ahead: [mia],
    }),
    line('s3', game(), people.slice(0, 1), 2, { through: false, scores: [{ playerId: otto, score: 8, met: null }], ahead: [] }),
  ]);
  const [met, duel, stopped] = screen.getAllByRole('listitem');
  expect(met).toHaveTextContent('21 pointsgoal met');
  expect(duel).toHaveTextContent('3–0Mia won');
  // Won before its last ball by its own rule: nobody stopped it.
  expect(duel).toHaveTextContent('9 balls');
  expect(duel).not.toHaveTextContent('stopped');
  expect(stopped).toHaveTextContent('2 of 6 balls, stopped');
});

test('on a game’s own page its title is not said again', () => {
  const outcome = { through: true, scores: [{ playerId: PLAYER, score: 21, met: null }], ahead: [] };
  show([line('s1', game(), people.slice(0, 1), 6, outcome)], { withTitle: false });
  expect(screen.getByRole('link')).toHaveTextContent(/^Otto/);
  expect(screen.queryByText(/Two spots/)).toBeNull();
});

test('a score alone says how it compares with the time before', () => {
  const outcome = { through: true, scores: [{ playerId: PLAYER, score: 21, met: true }], ahead: [] };
  show([{ ...line('s1', game({ goal: 17 }), people.slice(0, 1), 6, outcome), before: { score: 21, last: 17, best: 25 } }]);
  expect(screen.getByRole('listitem')).toHaveTextContent('goal met · 4 better than last time');
});

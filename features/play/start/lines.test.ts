import { bundleOf, game, holed, idOf, PLAYER, record, SESSION } from '@/core/testing/make';
import { projectShots } from '@/core/shot/project';
import type { Home } from '@/core/exchange/home';
import { linesOf } from './lines';

const home: Home = {
  version: 1,
  academy: { slug: 'here', name: 'Here' },
  player: null,
  expiresAt: null,
  at: '2026-05-02T00:00:00.000Z',
  sessions: [
    {
      sessionId: SESSION,
      gameId: null,
      title: 'Two spots',
      startedAt: '2026-05-01T18:00:00.000Z',
      over: false,
      balls: 1,
      score: null,
      players: [{ playerId: PLAYER, name: 'Otto' }],
    },
  ],
  hours: [],
  kit: null,
};
const held = (balls: number, more: object = {}, sessionId = SESSION) => {
  const events = Array.from({ length: balls }, (_, turn) => ({ ...record(game(), turn, holed), sessionId }));
  const bundle = bundleOf(game(), [], { sessionId, ...more });
  return { bundle, shots: projectShots(events), events, token: undefined, desk: true, offer: null, waits: false, hourId: null };
};

test('what the device knows newer stands in place of what the server said', () => {
  expect(linesOf(home, [], undefined)).toMatchObject([{ balls: 1, over: false }]);
  expect(linesOf(home, [held(4)], undefined)).toMatchObject([{ balls: 4, over: false, score: null, players: [{ name: 'Otto' }] }]);
  expect(linesOf(home, [held(6)], undefined)).toMatchObject([{ balls: 6, over: true, score: '36 points' }]);
  expect(linesOf(home, [held(2, { stopped: true })], undefined)).toMatchObject([{ over: true, score: '12 points' }]);
});

test('a session begun here comes first; one of another link or academy, or one long over, does not come', () => {
  const begun = { ...held(1, { startedAt: '2026-05-03T18:00:00.000Z' }, idOf(7)), waits: true };
  expect(linesOf(home, [begun], undefined).map(({ sessionId, waits }) => [sessionId, waits])).toEqual([
    [idOf(7), true],
    [SESSION, false],
  ]);
  expect(linesOf(home, [{ ...begun, token: 'here.secret' }], undefined)).toHaveLength(1);
  expect(linesOf({ ...home, academy: { slug: 'there', name: 'There' } }, [begun], undefined)).toHaveLength(1);
  expect(linesOf(home, [held(1, { startedAt: '2026-04-01T18:00:00.000Z' }, idOf(8))], undefined)).toHaveLength(1);
});

test('on a link’s page a score is the player’s own', () => {
  const player = { playerId: PLAYER, name: 'Otto', units: 'imperial' as const };
  expect(linesOf({ ...home, player }, [{ ...held(6), token: 't' }], 't')).toMatchObject([{ balls: 6, score: '36 points' }]);
});

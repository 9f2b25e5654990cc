import { ft, game, station } from '../testing/make';
import { PLAIN_RULES, type Rules } from './rules';
import { schemeOf, type SchemeKind, type Scoring } from './scoring';
import { gameSpecSchema } from './spec';

/** What the schema says about a game, by path. */
function faultsOf(change: object): Record<string, string> {
  const parsed = gameSpecSchema.safeParse({ ...game(), ...change });
  return Object.fromEntries((parsed.error?.issues ?? []).map((issue) => [issue.path.join('.'), issue.message]));
}
const fresh = (scheme: SchemeKind, more: object = {}) => ({ scoring: { ...schemeOf({ scheme }).fresh('imperial'), ...more } as Scoring });
const rules = (change: Partial<Rules>) => ({ rules: { ...PLAIN_RULES, ...change } });
const lead = {
  title: 'First',
  balls: 2,
  stations: null,
  order: 'blocked' as const,
  scoring: schemeOf({ scheme: 'hits' }).fresh('imperial'),
};
const low = station('z', { trajectory: 'low' });
const both: Scoring = { scheme: 'unscored', cue: '', flights: ['low', 'high'] };
const routes = (farM: number | null): Scoring => ({
  scheme: 'shot_matrix',
  route: ['bold', 'careful'],
  trajectory: ['low', 'high'],
  shape: ['draw', 'fade'],
  swingWidth: [],
  farM,
});
const one = (more = {}) => station('a', { balls: 1, ...more });
const two = [one(), station('b', { balls: 1 })];

test.each([
  ['a ladder in random order', { ...fresh('ladder'), stations: two, order: 'random' }, 'order', 'decides by itself'],
  ['a ladder with several balls a rung', fresh('ladder'), 'stations.0.balls', 'one ball at a time'],
  ['a ladder of one rung', { ...fresh('ladder'), stations: [one()] }, 'stations', 'at least two rungs'],
  [
    'a ladder with fewer balls than rungs',
    { ...fresh('ladder', { mostBalls: 2 }), stations: [...two, station('c', { balls: 1 })] },
    'scoring.mostBalls',
    'With 3 rungs',
  ],
  ['a ladder by turns that counts balls', { ...fresh('ladder', { byTurns: true }), stations: two }, 'scoring.counts', 'count the rungs'],
  ['a matrix of one attribute', { ...fresh('shot_matrix', { shape: [] }), stations: [one()] }, 'scoring.trajectory', 'at least two'],
  [
    'a matrix at a station that fixes the flight',
    { ...fresh('shot_matrix'), stations: [one({ trajectory: 'low' })] },
    'stations.0.trajectory',
    'leave it free',
  ],
  ['a landing zone without a carry', fresh('landing_zone'), 'stations.0.carryM', 'Say how far'],
  [
    'a landing zone for a putt',
    { ...fresh('landing_zone'), stations: [one({ shotType: 'putt', surface: 'green' })] },
    'stations.0.shotType',
    'does not land',
  ],
  ['holing out at a peg', { ...fresh('hole_out'), stations: [one({ target: 'peg' })] }, 'stations.0.target', 'not at a peg'],
  ['a streak longer than the game', fresh('streak', { until: 7 }), 'scoring.until', 'only 6 balls'],
  ['a streak that counts balls to nothing', fresh('streak', { until: null, counts: 'balls' }), 'scoring.counts', 'how many in a row'],
  ['the same club twice in a trial', fresh('club_trial', { clubs: ['PW', 'pw'] }), 'scoring.clubs.1', 'already listed'],
  ['a fixed club in a trial', { ...fresh('club_trial'), stations: [one({ club: 'PW' })] }, 'stations.0.club', 'leave it free'],
  [
    'three clubs kept apart',
    { ...fresh('club_trial', { clubs: ['8 iron', 'PW', '54°'] }), ...rules({ clubsApart: true }) },
    'rules.clubsApart',
    'fewer than four',
  ],
  [
    'clubs kept apart in random order',
    { ...fresh('club_trial'), order: 'random', ...rules({ clubsApart: true }) },
    'order',
    'sets the order of play',
  ],
  [
    'random with one station of most balls',
    { order: 'random', stations: [station('a', { balls: 5 }), station('b', { balls: 1 })] },
    'order',
    'twice running',
  ],
  ['nearest wins by choice', { ...fresh('nearest_wins'), order: 'choice' }, 'order', 'common order'],
  ['a side in hole out', { ...fresh('hole_out'), ...rules({ goodSide: 'long' }) }, 'rules.goodSide', 'no zone'],
  [
    'a side without a cost in total left',
    { ...fresh('total_left'), ...rules({ goodSide: 'long' }) },
    'rules.wrongSideCost',
    'give the wrong side a cost',
  ],
  ['a cost without a side', rules({ wrongSideCost: 1 }), 'rules.wrongSideCost', 'choose the side'],
  ['a cost of a third', rules({ offGreenCost: 1 / 3 }), 'rules.offGreenCost', 'half figures'],
  ['a cost in a streak', { ...fresh('streak'), ...rules({ offGreenCost: 1 }) }, 'rules.offGreenCost', 'no points'],
  [
    'again until it works in total left',
    { ...fresh('total_left'), ...rules({ attempts: 'until_works' }) },
    'rules.attempts',
    'first attempts only',
  ],
  ['a perfect round in blocked order', rules({ endOnPerfectRound: true }), 'rules.endOnPerfectRound', 'out and back'],
  [
    'a perfect round of total left',
    { ...fresh('total_left'), order: 'serial', ...rules({ endOnPerfectRound: true }) },
    'rules.endOnPerfectRound',
    'no perfect round',
  ],
  [
    'putting out at a peg',
    { stations: [one({ target: 'peg' })], ...rules({ puttOut: 'each' }) },
    'rules.puttOut',
    'can’t putt out at a peg',
  ],
  [
    'no club twice with a fixed one',
    { stations: [one({ club: 'PW' })], ...rules({ clubOnce: true }) },
    'rules.clubOnce',
    'no choice of clubs',
  ],
  ['no club twice in 20 balls', { stations: [station('a', { balls: 20 })], ...rules({ clubOnce: true }) }, 'rules.clubOnce', '14 clubs'],
  [
    'allowances in a club trial',
    { ...fresh('club_trial'), ...rules({ allowances: true }) },
    'rules.allowances',
    'not played against others',
  ],
  ['zones that grow where there are none', { ...fresh('hole_out'), sizes: { unit: 'ft', scaled: true } }, 'sizes.scaled', 'no zone'],
  ['the player’s own flagstick', { sizes: { unit: 'flagstick', of: 'player' } }, 'sizes.of', 'belongs to the green'],
  ['whose foot', { sizes: { unit: 'ft', of: 'player' } }, 'sizes.of', 'the same for everybody'],
  ['an open ladder', { ...fresh('ladder'), stations: two, open: true }, 'open', 'before it begins'],
  ['an open game with a goal and no plan', { open: true, goal: 3 }, 'goal', 'plan the stations'],
  ['an open game with a goal beyond its plan', { open: true, goal: 50, calls: { stations: 2, balls: 3 } }, 'goal', '36 at most'],
  ['nothing that counts', { scoring: { scheme: 'unscored', cue: '', flights: [] } }, 'scoring', 'choose what counts'],
  ['a phase without a station of its own', { leadIn: [{ ...lead, stations: [] }] }, 'leadIn.0.stations', 'needs one'],
  ['a phase with a key of the game', { leadIn: [{ ...lead, stations: [station('a')] }] }, 'stations', 'the same key'],
  ['a flight twice said', { leadIn: [{ ...lead, stations: [low], scoring: both }] }, 'leadIn.0.scoring.flights', 'already sets the flight'],
  ['bold against careful as asked', { scoring: routes(null) }, 'scoring.route', 'by the distance left'],
  [
    'a comparison of nothing',
    { scoring: { ...routes(9), route: [], trajectory: [], shape: [] } as Scoring },
    'scoring.trajectory',
    'Choose at least two shots',
  ],
  ['a goal that cannot be so low', { ...fresh('hole_out'), goal: 5 }, 'goal', 'at least 6'],
  ['a third of a point as a goal', { goal: 1 / 3 }, 'goal', 'whole or a half'],
  [
    'a duel as a phase before',
    { leadIn: [{ title: 'x', balls: 1, order: 'blocked', ...fresh('nearest_wins') }] },
    'leadIn.0.scoring',
    'a game of its own',
  ],
  ['a carry far beyond the hole', { stations: [one({ carryM: 40 })] }, 'stations.0.carryM', 'a fifth beyond'],
  ['a pass to nowhere', { stations: [one({ par: 9 })] }, 'stations.0.par', '1 to 6'],
])('%s is refused with the reason', (_, change, path, reason) => {
  expect(faultsOf(change)[path]).toContain(reason);
});

test('what makes sense is not refused', () => {
  expect(faultsOf({ ...fresh('total_left'), ...rules({ goodSide: 'long', wrongSideCost: 2, offGreenCost: 0.5 }) })).toEqual({});
  expect(
    faultsOf({ ...fresh('hits'), order: 'serial', ...rules({ endOnPerfectRound: true, attempts: 'until_works', goodSide: 'short' }) }),
  ).toEqual({});
  expect(faultsOf({ sizes: { unit: 'club', of: 'coach', scaled: true }, scoring: { scheme: 'hits', radiusM: ft(3) } })).toEqual({});
});

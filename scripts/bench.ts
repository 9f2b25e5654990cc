import { playAll, seatOf } from '@/core/forecast/games';
import { playerOfLevel } from '@/core/forecast/levels';
import { DEMO_PLAYERS } from '@/core/demo/people';
import { demoSeason, DEMO_WEEKS } from '@/core/demo/season';
import { compile } from '@/core/play/compile';
import { plainEntrant } from '@/core/game/entrant';
import { LIBRARY } from '@/core/game/library';
import { playSession } from '@/core/play/play';
import { recordOf } from '@/core/play/record';
import { UNKNOWN } from '@/core/game/scoring/ball';
import { schemeOf } from '@/core/game/scoring';
import { gameSpecSchema, type GameSpec } from '@/core/game/spec';
import { turnsOf } from '@/core/game/turn';
import { cholesky } from '@/core/math/linear';
import { Normals } from '@/core/math/normals';
import { seededRandom } from '@/core/math/random';
import { cellsOf } from '@/core/skill/cells';
import { believe, diagnose } from '@/core/skill/diagnose';
import { gather, talliesOf, type Evidence } from '@/core/skill/evidence';
import { fit } from '@/core/skill/fit';
import { Judge } from '@/core/skill/judge';
import { modelOf } from '@/core/skill/model';
import { evidenceOf, hitterOf, madeUp } from '@/core/made-up/players';
import { drawsOf } from '@/core/skill/posterior';
import { priorOf } from '@/core/skill/prior';
import { shippedReference } from '@/core/golf/reference';
import { projectShots } from '@/core/shot/project';
import type { Shot } from '@/core/shot/shot';
import { isPutt } from '@/core/golf/shot-types';

/**
 * Speeds of the game engine, as medians of many runs and as ratios: a ratio says the same on every machine.
 * Run it on an idle one: `npm run bench`.
 */
const PLAYER = '00000000-0000-7000-8000-000000000001';

function medianMs(run: () => void, times = 200): number {
  for (let i = 0; i < times; i++) run();
  const took = Array.from({ length: times }, () => {
    const start = performance.now();
    run();
    return performance.now() - start;
  });
  return took.sort((a, b) => a - b)[Math.floor(times / 2)]!;
}

/** A ring game of 20 stations with 50 balls each. */
const rings = LIBRARY.find(({ key }) => key === 'three-hoops')!.spec;
const long = gameSpecSchema.parse({
  ...rings,
  order: 'blocked',
  goal: null,
  stations: Array.from({ length: 20 }, (_, i) => ({ ...rings.stations[0]!, key: `s${i}`, balls: 50 })),
});
const random = seededRandom(1);
const shots = turnsOf(long).map((turn, i): Shot => ({
  ...recordOf(
    turn,
    { ...UNKNOWN, leftM: 0.2 + 3 * random.uniform(), measured: 'tape' },
    { playerId: PLAYER, sessionId: PLAYER },
    new Date(1000 * i),
  ),
  shotId: PLAYER,
}));
const reduced = medianMs(() => playSession(long, [plainEntrant(PLAYER)], shots));
console.log(`reducer: ${shots.length} balls in ${reduced.toFixed(2)} ms (median of 200)`);

/** A ring game of 40 balls, as it is forecast: every ball hit, every game scored, 400 players that the level allows. */
const model = modelOf(shippedReference);
const forty = gameSpecSchema.parse({
  ...rings,
  order: 'serial',
  stations: rings.stations.slice(0, 2).map((one) => ({ ...one, balls: 20 })),
});
console.log('\nforecasts, one core:         games/s   time against drawing the same random numbers alone');
for (const spec of [forty, ...LIBRARY.filter((entry) => !entry.spec.open).map((entry) => entry.spec)]) {
  const seats = schemeOf(spec.scoring).players;
  const players = Array.from({ length: seats }, () => playerOfLevel(spec, 10, model));
  const games = spec === forty ? 50_000 : 5000;
  // Balls and random numbers of a game, counted on a few.
  const stepper = compile(
    spec,
    players.map(({ entrant }) => entrant),
  );
  const drawn = numbersDrawn(spec, players.length, stepper);
  const played = medianMs(() => playAll(spec, players, model, { games, seed: 1 }), spec === forty ? 9 : 5);
  const numbers = new Normals(1);
  const alone = medianMs(() => {
    for (let i = 0; i < drawn * games; i++) numbers.normal();
  }, 9);
  console.log(
    `${(spec === forty ? 'two stations, 40 balls' : spec.title).padEnd(24)} ${Math.round((1000 * games) / played)
      .toLocaleString('en')
      .padStart(12)}   ${(played / alone).toFixed(2)}`,
  );
}

/** How many normal numbers a game of level-10 players takes on average. */
function numbersDrawn(spec: GameSpec, seats: number, stepper: ReturnType<typeof compile>): number {
  const numbers = new Normals(2);
  const { shooter, be } = seatOf(spec, playerOfLevel(spec, 10, model), model, 0, 200, numbers);
  for (let g = 0; g < 200; g++) {
    be(g);
    shooter.day(0);
    stepper.play(Array.from({ length: seats }, () => shooter));
  }
  return numbers.taken / 200;
}

const REAL_BALLS = 2500;
/** The skill model: a made-up player of all cells, and one of whom there are records of games. */
const cells = cellsOf(shippedReference);
const player = madeUp(cells, seededRandom(5));
const hits = hitterOf(player, shippedReference, seededRandom(6));
const prior = priorOf(cells, shippedReference, player.level);
const square = Float64Array.from({ length: 84 * 84 }, (_, i) => (i % 85 === 0 ? 84 : 1 / (1 + (i % 7))));
for (let i = 0; i < 84; i++) for (let j = 0; j < i; j++) square[j * 84 + i] = square[i * 84 + j]!;
const once = medianMs(() => cholesky(square, 84), 100);
console.log('\nskill model, one core          ms   in factorisations of 84 × 84');
const say = (what: string, ms: number) =>
  console.log(`${what.padEnd(24)} ${ms.toFixed(1).padStart(8)}   ${(ms / once).toFixed(0).padStart(6)}`);
for (const balls of [1000, 10_000]) {
  // A player plays some of the cells: twenty-four off the green, and all putts.
  const some = cells.filter(({ shotType }, i) => isPutt(shotType) || i % 5 < 2).slice(-30);
  const { groups } = evidenceOf(hits, some, shippedReference, balls, seededRandom(balls));
  say(
    `${balls.toLocaleString('en')} balls`,
    medianMs(() => fit(groups, prior), 20),
  );
}
// Records as people keep them: half by the ring, the others by the eye or the tape, from wherever the games ask.
const recorded = recordsOf(REAL_BALLS);
const { level } = DEMO_PLAYERS[0]!.form;
say(
  `${REAL_BALLS.toLocaleString('en')} balls of games`,
  medianMs(() => fit(recorded.groups, model.prior(level)), 20),
);
say(
  '  what a page needs of it',
  medianMs(() => diagnose(model, believe(recorded, model, level), recorded, { level, mix: model.mix(level) }), 20),
);

/** The last balls of the demo's first player, from as many seasons as it takes. */
function recordsOf(balls: number): Evidence {
  const ids = DEMO_PLAYERS.map((_, i) => `00000000-0000-7000-8000-00000000000${i}`);
  const shots = Array.from({ length: Math.ceil(balls / 1000) }, (_, season) =>
    demoSeason(season, new Date(Date.UTC(2026, 0, 1 + season * 7 * DEMO_WEEKS)), ids, shippedReference)
      .filter(({ player: at }) => at === 0)
      .flatMap(({ events }) => projectShots(events)),
  );
  const last = shots.flat().slice(-balls);
  return gather(talliesOf(last, new Date(last.at(-1)!.playedAt), null));
}
const everywhere = evidenceOf(hits, cells, shippedReference, 10_000, seededRandom(3)).groups;
say(
  '10,000 balls, all cells',
  medianMs(() => fit(everywhere, prior), 20),
);
const judge = new Judge(prior, shippedReference, player.level);
const draws = drawsOf(fit(everywhere, prior), 400, seededRandom(4));
say(
  '400 draws judged',
  medianMs(() => judge.lost(draws), 20),
);

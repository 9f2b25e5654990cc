import { blankBall, compile } from '@/core/game/compile';
import { plainEntrant } from '@/core/game/entrant';
import { LIBRARY } from '@/core/game/library';
import { playSession } from '@/core/game/play';
import { recordOf } from '@/core/game/record';
import { UNKNOWN } from '@/core/game/scoring/scheme';
import { gameSpecSchema } from '@/core/game/spec';
import { turnsOf } from '@/core/game/turn';
import { cholesky } from '@/core/math/linear';
import { seededRandom } from '@/core/math/random';
import { cellsOf } from '@/core/skill/cells';
import { fit } from '@/core/skill/fit';
import { Judge } from '@/core/skill/judge';
import { evidenceOf, madeUp } from '@/core/skill/players';
import { drawsOf } from '@/core/skill/posterior';
import { priorOf } from '@/core/skill/prior';
import { shippedReference } from '@/core/skill/reference';
import type { Shot } from '@/core/shot/shot';

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

console.log('\ncompiled games, one core:    games/s   time against drawing the same random numbers alone');
for (const { spec } of LIBRARY.filter((entry) => !entry.spec.open)) {
  const stepper = compile(spec, [plainEntrant(PLAYER), plainEntrant(PLAYER)].slice(0, spec.scoring.scheme === 'nearest_wins' ? 2 : 1));
  const ball = blankBall();
  const draw = () => {
    ball.leftM = 6 * random.uniform();
    ball.holed = random.uniform() < 0.1;
    ball.landed = ball.executed = ball.leftM < 3;
    ball.strokes = ball.holed ? 1 : 2;
  };
  let balls = 0;
  const game = () => {
    stepper.reset();
    for (let seat = stepper.turn(); seat >= 0; seat = stepper.turn()) {
      draw();
      stepper.take(seat, ball);
      balls += 1;
    }
  };
  const GAMES = 300;
  const played = medianMs(() => {
    balls = 0;
    for (let i = 0; i < GAMES; i++) game();
  }, 30);
  const count = balls;
  const drawn = medianMs(() => {
    for (let i = 0; i < count; i++) draw();
  }, 30);
  console.log(
    `${spec.title.padEnd(24)} ${Math.round((1000 * GAMES) / played)
      .toLocaleString('en')
      .padStart(12)}   ${(played / drawn).toFixed(2)}`,
  );
}

/** The skill model: a made-up player of all cells, fitted from nothing, and again after ten more balls. */
const cells = cellsOf(shippedReference);
const player = madeUp(cells, seededRandom(5));
const prior = priorOf(cells, shippedReference, player.level);
const square = Float64Array.from({ length: 84 * 84 }, (_, i) => (i % 85 === 0 ? 84 : 1 / (1 + (i % 7))));
for (let i = 0; i < 84; i++) for (let j = 0; j < i; j++) square[j * 84 + i] = square[i * 84 + j]!;
const once = medianMs(() => cholesky(square, 84), 100);
console.log('\nskill model, one core          ms   in factorisations of 84 × 84');
const say = (what: string, ms: number) =>
  console.log(`${what.padEnd(24)} ${ms.toFixed(1).padStart(8)}   ${(ms / once).toFixed(0).padStart(6)}`);
for (const balls of [1000, 10_000]) {
  // A player plays some of the cells: twenty-four off the green, and all putts.
  const some = cells.filter(({ shotType }, i) => shotType === 'putt' || i % 5 < 2).slice(-30);
  const { groups } = evidenceOf(player, some, shippedReference, balls, seededRandom(balls));
  const more = evidenceOf(player, some, shippedReference, 10, seededRandom(balls + 1)).groups;
  const fitted = fit(groups, prior);
  say(
    `${balls.toLocaleString('en')} balls, cold`,
    medianMs(() => fit(groups, prior), 20),
  );
  say(
    '  ten balls more',
    medianMs(() => fit([...groups, ...more], prior, fitted), 20),
  );
}
const everywhere = evidenceOf(player, cells, shippedReference, 10_000, seededRandom(3)).groups;
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

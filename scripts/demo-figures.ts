import { readFileSync, writeFileSync } from 'node:fs';
import { summaryOf } from '@/core/board/summary';
import { DEMO_GAMES } from '@/core/demo/games';
import { DEMO_GREEN_GAME } from '@/core/demo/greens';
import { forecast, type Part } from '@/core/forecast/forecast';
import { playAll } from '@/core/forecast/games';
import { entrantOfLevel, playerOfLevel } from '@/core/forecast/levels';
import { outlookOf } from '@/core/forecast/outlook';
import { budgetOf, shortened } from '@/core/game/budget';
import { plainEntrant } from '@/core/game/entrant';
import { goalInWords } from '@/core/game/words/goal-words';
import { LIBRARY } from '@/core/game/library';
import { playSession } from '@/core/play/play';
import { answered, NO_ANSWERS, nextQuestion } from '@/core/play/questions';
import { recordOf } from '@/core/play/record';
import { PLAIN_RULES, type PlayingOrder, type Rules } from '@/core/game/rules';
import { rulesInWords, scoringInWords } from '@/core/game/words/say-game';
import { sayKey } from '@/core/game/words/say-key';
import { SCHEME_KINDS, schemeOf } from '@/core/game/scoring';
import { gameSpecSchema, type GameSpec } from '@/core/game/spec';
import { seededRandom } from '@/core/math/random';
import { setUpSheet } from '@/core/sheet/sheet';
import type { Shot } from '@/core/shot/shot';
import { believe, diagnose } from '@/core/skill/diagnose';
import { gather } from '@/core/skill/evidence';
import { modelOf } from '@/core/skill/model';
import { shippedReference } from '@/core/golf/reference';
import { idOf } from '@/core/testing/make';
import { openDb } from '@/db/client';
import { tallyBalls } from '@/db/queries/evidence';
import { listPlayers } from '@/db/queries/players';
import { scoresOf } from '@/db/queries/sessions';
import { authOrganization } from '@/db/schema';
import { loadDemo } from './demo-data';

/**
 * Every figure and sentence of the demo and of the ready games, so that a change which should change none can be shown to: `npm run
 * demo:figures -- FILE` writes them; with a second file, it compares instead and says what differs. The demo is loaded as of one moment.
 */
const AS_OF = new Date('2026-06-01T12:00:00Z');
const GAMES = 400;
const model = modelOf(shippedReference);
const games: [string, GameSpec][] = [
  ...LIBRARY.map(({ key, spec }): [string, GameSpec] => [key, spec]),
  ...[...DEMO_GAMES, DEMO_GREEN_GAME].map((spec, i): [string, GameSpec] => [`demo ${i + 1}`, spec]),
];

/** A game in words, in both systems, with its sheet, its time and its short version. */
function saidOf(spec: GameSpec) {
  const measures = { paceM: 0.8, clubM: null, putterM: 0.86, flagstickM: null };
  return (['imperial', 'metric'] as const).map((system) => ({
    scoring: [spec, ...spec.leadIn].map(({ scoring }) => scoringInWords(scoring, spec.sizes, system)),
    rules: rulesInWords(spec, system),
    goal: goalInWords(spec, system),
    sheet: setUpSheet(spec, null, measures, system),
    budget: [1, 4].map((players) => budgetOf(spec, players)),
    short: [5, 15, 25].map((minutes) => shortened(spec, minutes)),
  }));
}

/** A game as two players play it who press any key, with all that is said of it on the way. */
function playedOf(spec: GameSpec) {
  if (spec.stations.length === 0) return null;
  const random = seededRandom(7);
  const entrants = [1, 2].map((n) => ({ ...plainEntrant(idOf(n), n * 10), unitM: n === 1 ? null : 0.9 }));
  const shots: Shot[] = [];
  const said: unknown[] = [];
  for (let n = 0; n < 400; n++) {
    const table = playSession(spec, entrants, shots, { seed: 3 });
    const turn = table.turn;
    const standing = turn === null ? null : table.standings[turn]!;
    if (!standing?.next) break;
    const bag = { clubs: [], favourite: null };
    let answers = NO_ANSWERS;
    for (;;) {
      const question = nextQuestion(standing, standing.next, bag, answers);
      if (!question) break;
      const { phase } = standing;
      const names = question.keys.map((key) => sayKey(key, phase.sizes, 'imperial', standing.next!.station.target));
      if (shots.length < 12) said.push([question.title, names, question.keys.map(({ worth }) => worth)]);
      answers = answered(answers, question, question.keys[random.below(question.keys.length)]!);
    }
    const at = new Date(AS_OF.getTime() + n * 20_000);
    const shot = recordOf(
      standing.next,
      { ...{ holed: false, leftM: null, leftMinM: null, leftMaxM: null, bearingDeg: null, measured: 'ring' as const }, ...answers.given },
      { playerId: entrants[turn!]!.playerId, sessionId: idOf(9) },
      at,
    );
    shots.push({ ...shot, shotId: idOf(1000 + n) });
    said.push([standing.now, schemeOf(standing.phase.scoring).verdict(shots.at(-1)!, standing.next.station, standing.phase)]);
  }
  const table = playSession(spec, entrants, shots, { seed: 3 });
  return {
    said,
    ahead: table.ahead,
    standings: table.standings.map(({ score, running, now, notes, par }) => ({ score, running, now, notes, par })),
  };
}

/** What is forecast of a game: all pieces of an answer but the fine rows, and what two players play out. */
function forecastOf(spec: GameSpec) {
  if (spec.stations.length === 0) return null;
  const level = 12;
  const row = { key: 'one', ...playerOfLevel(spec, level, model) };
  const question = {
    game: spec,
    rows: [row],
    target: 'one',
    wantedChance: 0.4,
    wantedRate: 0.6,
    wantedPar: 0.5,
    goalStepM: 0.3048,
    together: [],
  };
  const parts: Part[] = [];
  for (const part of forecast(question, model)) {
    if (part?.kind === 'row' && !part.rough) break;
    if (part) parts.push(part);
  }
  const players = [8, 20].map((n) => ({ ...playerOfLevel(spec, n, model), entrant: entrantOfLevel(spec, n) }));
  const played = playAll(spec, players, model, { games: GAMES, seed: 5 });
  return { parts, two: outlookOf(spec, played), scores: played.scores.map((list) => list.slice(0, 40)) };
}

/** What is refused of a game when it is scored otherwise, led into otherwise, or has another rule. */
function refusedOf(spec: GameSpec) {
  const refusal = (game: GameSpec) => {
    const parsed = gameSpecSchema.safeParse(game);
    return parsed.success ? null : parsed.error.issues.map(({ path, message }) => `${path.join('.')}: ${message}`).sort();
  };
  const scorings = SCHEME_KINDS.map((scheme) => schemeOf({ scheme }).fresh('imperial'));
  const rules: Partial<Rules>[] = [
    { goodSide: 'long', wrongSideCost: 1 },
    { goodSide: 'long' },
    { offGreenCost: 1 },
    { attempts: 'until_works' },
    { endOnPerfectRound: true },
    { puttOut: 'each' },
    { clubOnce: true },
    { clubsApart: true },
    { shotOnce: true },
    { allowances: true },
  ];
  const orders: PlayingOrder[] = ['blocked', 'serial', 'random', 'choice'];
  const changes: Partial<GameSpec>[] = [
    {},
    ...orders.map((order) => ({ order })),
    { open: true },
    { sizes: { ...spec.sizes, scaled: true } },
    { goal: 1 },
    { goal: 9999 },
    ...rules.map((rule) => ({ rules: { ...PLAIN_RULES, ...rule } })),
    ...scorings.map((scoring) => ({ leadIn: [{ title: 'First', balls: 2, order: 'serial' as const, stations: null, scoring }] })),
  ];
  return [spec.scoring, ...scorings].map((scoring) => changes.map((change) => refusal({ ...spec, scoring, ...change })));
}

/** The scores and boards of the demo's players, from a database. */
async function recordsOf(url: string) {
  const { db, pool } = openDb(url);
  try {
    await loadDemo(db, AS_OF);
    const [academy] = await db.select({ id: authOrganization.id }).from(authOrganization);
    const actor = { kind: 'reader', academyId: academy!.id } as const;
    const all = [];
    for (const { player, balls } of await listPlayers(db, actor)) {
      const { level, name } = player;
      const tallies = await tallyBalls(db, actor, player.playerId, { asOf: AS_OF }, 60);
      const evidence = gather(tallies);
      const belief = believe(evidence, model, level);
      const diagnosis = diagnose(model, belief, evidence, { level, mix: model.mix(level) });
      const scores = (await scoresOf(db, actor, player.playerId)).map(({ session, score }) => [
        session.spec.title,
        session.startedAt,
        score,
      ]);
      all.push({ name, balls, scores, findings: diagnosis.findings, summary: summaryOf(diagnosis, 'round', `level ${level}`, balls) });
    }
    return all;
  } finally {
    await pool.end();
  }
}

/** Figures that differ by less than this share are the same: a database may add up in another order. */
const ROUNDING = 1e-9;

/** The paths at which two JSON values differ. */
function differences(a: unknown, b: unknown, path = ''): string[] {
  if (Object.is(a, b)) return [];
  if (typeof a === 'number' && typeof b === 'number' && Math.abs(a - b) <= ROUNDING * Math.max(Math.abs(a), Math.abs(b))) return [];
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null)
    return [`${path}: ${JSON.stringify(a)} → ${JSON.stringify(b)}`];
  const names = new Set([...Object.keys(a), ...Object.keys(b)]);
  return [...names].flatMap((name) =>
    differences((a as Record<string, unknown>)[name], (b as Record<string, unknown>)[name], path ? `${path}.${name}` : name),
  );
}

const [, , file, other] = process.argv;
if (!file) throw new Error('Name the file to write.');
const figures = JSON.stringify(
  {
    games: Object.fromEntries(
      games.map(([key, spec]) => [
        key,
        { said: saidOf(spec), played: playedOf(spec), forecast: forecastOf(spec), refused: refusedOf(spec) },
      ]),
    ),
    players: await recordsOf(process.env.DATABASE_URL ?? ''),
  },
  null,
  1,
);
writeFileSync(file, figures);
const lines = figures.split('\n').length.toLocaleString('en');
if (!other) console.log(`${lines} lines of figures are in ${file}.`);
else {
  const found = differences(JSON.parse(readFileSync(other, 'utf8')), JSON.parse(figures));
  console.log(found.length === 0 ? `All ${lines} lines are equal.` : `${found.length} differences:\n${found.slice(0, 40).join('\n')}`);
  process.exitCode = found.length === 0 ? 0 : 1;
}

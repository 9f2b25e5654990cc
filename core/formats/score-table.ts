import { plainEntrant } from '../game/entrant';
import { byWay } from '../play/by-way';
import { goalMet, playSession, type Standing, type Table } from '../play/play';
import { choosesClub, refusedBy } from '../play/questions';
import { recordOf } from '../play/record';
import { schemeOf } from '../game/scoring';
import type { Result } from '../game/scoring/ball';
import type { GameSpec } from '../game/spec';
import { turnsOf, type Turn } from '../game/turn';
import type { Shot } from '../shot/shot';
import { takesTurn } from '../play/verdict';
import { leftOf, metresOf, storedLength, type ShotTableRow } from './shot-table';

/** Why a table can't be scored, with the line. */
export class UnscorableTable extends Error {}

const idOf = (n: number) => `00000000-0000-7000-8000-${n.toString(16).padStart(12, '0')}`;
const SESSION = idOf(0);

/**
 * Scores the balls of one session by a game, as play does: each row is the ball of its `station` (a key, or a number
 * from 1) and `ball`; where these are not given, the next ball that the game asks for.
 * @param seed of a random order, for rows that do not say their station
 * @throws UnscorableTable for rows that the game has no place for
 */
export function scoreTable(game: GameSpec, rows: readonly ShotTableRow[], seed = 0): { table: Table; players: string[] } {
  const sessions = new Set(rows.map((row) => row.session_id ?? row.session ?? ''));
  if (sessions.size > 1) throw new UnscorableTable(`This table holds ${sessions.size} sessions: keep the rows of one.`);
  const players = [...new Set(rows.map((row) => row.player ?? ''))];
  const fewest = schemeOf(game.scoring).players;
  if (players.length < fewest) throw new UnscorableTable(`This game takes ${fewest} players, and the table has ${players.length}.`);
  // A table says no level: par is as the game has it.
  const entrants = players.map((_, i) => plainEntrant(idOf(i + 1), 0));
  const clubs = new Map(
    players.map((name) => [name, new Set(rows.flatMap(({ player = '', club }) => (player === name && club !== undefined ? [club] : [])))]),
  );
  const shots: Shot[] = [];
  const play = () => playSession(game, entrants, shots, { seed });
  rows.forEach((row, i) => {
    const seat = players.indexOf(row.player ?? '');
    const standing = play().standings[seat]!;
    const turn = turnFor(game, standing, row, seed);
    refuseTotal(game, standing, turn, row);
    refuseClub(standing, turn, row, clubs.get(row.player ?? '')!);
    const who = { playerId: entrants[seat]!.playerId, sessionId: SESSION };
    const playedAt = new Date(row.played_at ?? 1000 * i);
    shots.push({ ...recordOf(turn, resultOf(row), who, playedAt), shotId: idOf(1000 + i) });
  });
  return { table: play(), players };
}

const refusal = (row: ShotTableRow, why: string) => new UnscorableTable(`Line ${row.line}: ${why}`);

/** Several balls entered as one total are scored where distances are added up, and where as many are left at the station. */
function refuseTotal(game: GameSpec, { played, phase }: Standing, turn: Turn, row: ShotTableRow): void {
  const balls = row.n_balls ?? 1;
  if (balls === 1) return;
  if (schemeOf(game.scoring).unit(game.scoring) !== 'length') throw refusal(row, 'a total of several balls gives no points or hits.');
  if (metresOf(row, 'sum_left') === undefined) throw refusal(row, 'several balls as one total need sum_left_ft.');
  const of = phase.lots?.filter((lot) => phase.stations[lot.at]!.key === turn.station.key).length ?? Infinity;
  const left = of - played.filter((shot) => shot.phase === phase.index && shot.stationKey === turn.station.key).length;
  if (balls > left) throw refusal(row, `station “${turn.station.key}” has ${left} of these ${balls} balls left.`);
}

/** A club that the rules of the game don't allow. @param clubs of this player in the table: what they have with them */
function refuseClub(standing: Standing, turn: Turn, row: ShotTableRow, clubs: ReadonlySet<string>): void {
  if (row.club === undefined || !choosesClub(standing, turn)) return;
  const bag = { clubs: [...clubs].map((label) => ({ clubId: null, label })), favourite: null };
  const why = refusedBy(standing, turn, bag, row.club);
  if (why) throw refusal(row, `the ${row.club} can’t be played here: ${why}.`);
}

function turnFor(game: GameSpec, standing: Standing, row: ShotTableRow, seed: number): Turn {
  const refuse = (why: string) => refusal(row, why);
  const marked = row.counts !== undefined && !takesTurn({ counts: row.counts });
  if (row.station === undefined) {
    const next = standing.next ?? (marked ? lastTurn(game, standing.played, seed) : null);
    if (!next) throw refuse('the game is over before this ball.');
    return next;
  }
  const station = game.stations.find((one, i) => one.key === row.station || String(i + 1) === row.station);
  if (!station) throw refuse(`the game has no station “${row.station}”.`);
  const { phase } = standing;
  if (phase.lots === null || game.open) {
    const next = standing.next;
    if (!next || next.station.key !== station.key) throw refuse(`the game is not at station “${row.station}” now.`);
    return next;
  }
  const open = [...standing.choice, ...turnsOf(standing.game, seed)].filter(
    (turn) =>
      turn.station.key === station.key &&
      (row.phase === undefined || turn.phase === row.phase - 1) &&
      (row.ball === undefined || turn.ballNo === row.ball) &&
      !standing.played.some((shot) => shot.phase === turn.phase && shot.stationKey === station.key && shot.ballNo === turn.ballNo),
  );
  const turn = open[0] ?? (marked ? lastTurn(game, standing.played, seed) : undefined);
  if (!turn) throw refuse(`station “${row.station}” has no such ball left.`);
  if (phase.order !== 'choice') return turn;
  return { ...turn, turnNo: Math.max(-1, ...standing.played.map((shot) => shot.turnNo)) + 1 };
}

const lastTurn = (game: GameSpec, played: readonly Shot[], seed: number) =>
  turnsOf(game, seed).find((turn) => turn.turnNo === (played.at(-1)?.turnNo ?? 0)) ?? null;

function resultOf(row: ShotTableRow): Result {
  return {
    ...leftOf(row),
    bearingDeg: row.bearing_deg ?? null,
    measured: row.measured ?? (metresOf(row, 'left_min') !== undefined || metresOf(row, 'left_max') !== undefined ? 'ring' : 'tape'),
    strokes: row.strokes ?? null,
    penalty: row.penalty ?? 0,
    finish: row.finish ?? null,
    landed: row.landed ?? null,
    executed: row.executed ?? null,
    ...(row.club === undefined ? {} : { clubLabel: row.club }),
    ...(row.trajectory === undefined ? {} : { trajectory: row.trajectory }),
    ...(row.shape === undefined ? {} : { shape: row.shape }),
    ...(row.swing_width === undefined ? {} : { swingWidth: row.swing_width }),
    ...(row.mishit === undefined ? {} : { mishit: row.mishit }),
    ...((row.n_balls ?? 1) > 1 ? { nBalls: row.n_balls!, sumLeftM: storedLength(row, 'sum_left') } : {}),
    ...(row.counts === undefined ? {} : { counts: row.counts }),
  };
}

/** What `score` answers, with the keys of the open format; lengths are in metres. */
export function scoreAnswer(game: GameSpec, { table, players }: { table: Table; players: string[] }) {
  const best = table.standings[table.ahead[0] ?? 0]!;
  const unit = schemeOf(game.scoring).unit(game.scoring);
  const stations = (standing: Table['standings'][number]) =>
    standing.stations.map(({ station, score, balls }) => ({ station: station.key, score, balls }));
  return {
    total: best.score,
    unit: unit === 'length' ? 'm' : unit,
    goal_met: goalMet(game, best.score, best.early),
    running: best.running,
    stations: stations(best),
    over: table.over,
    players: table.standings.map((standing, i) => ({
      player: players[i]!,
      score: standing.score,
      running: standing.running,
      stations: stations(standing),
      balls: standing.played.length,
      par: standing.par === 0 ? null : standing.par,
      notes: standing.notes,
      clubs: byWay(standing)?.map(({ station, what, ways, tooClose }) => ({
        station: station.key,
        ranking: ways.map(({ way, balls, meanM, spreadM }) => ({ [what]: way, balls, mean_m: meanM, spread_m: spreadM })),
        too_close: tooClose,
      })),
      leads: table.ahead.includes(i),
      early: standing.early,
      not_scored: standing.extras.length + standing.doubled.length + standing.late.length,
    })),
  };
}

import { plainEntrant } from '../game/entrant';
import { goalMet, playSession, type Table } from '../play/play';
import { recordOf } from '../play/record';
import { schemeOf } from '../game/scoring';
import type { Result } from '../game/scoring/ball';
import type { GameSpec } from '../game/spec';
import { turnsOf, type Turn } from '../game/turn';
import type { Shot } from '../shot/shot';
import { takesTurn } from '../play/verdict';
import { leftOf, type ShotTableRow } from './shot-table';

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
  if (sessions.size > 1) throw new UnscorableTable(`This table holds ${sessions.size} sessions: leave the rows of one.`);
  const players = [...new Set(rows.map((row) => row.player ?? ''))];
  const fewest = schemeOf(game.scoring).players;
  if (players.length < fewest) throw new UnscorableTable(`This game takes ${fewest} players, and the table has ${players.length}.`);
  const entrants = players.map((_, i) => plainEntrant(idOf(i + 1)));
  const shots: Shot[] = [];
  const play = () => playSession(game, entrants, shots, { seed });
  rows.forEach((row, i) => {
    const seat = players.indexOf(row.player ?? '');
    const turn = turnFor(game, play(), seat, row, seed);
    const who = { playerId: entrants[seat]!.playerId, sessionId: SESSION };
    const playedAt = new Date(row.played_at ?? 1000 * i);
    shots.push({ ...recordOf(turn, resultOf(row), who, playedAt), shotId: idOf(1000 + i) });
  });
  return { table: play(), players };
}

function turnFor(game: GameSpec, table: Table, seat: number, row: ShotTableRow, seed: number): Turn {
  const standing = table.standings[seat]!;
  const refuse = (why: string) => new UnscorableTable(`Line ${row.line}: ${why}`);
  const marked = row.counts !== undefined && !takesTurn({ counts: row.counts });
  if ((row.n_balls ?? 1) > 1) throw refuse('several balls entered as one total cannot be scored ball by ball.');
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
    measured: row.measured ?? (row.left_min_ft !== undefined || row.left_max_ft !== undefined ? 'ring' : 'tape'),
    strokes: row.strokes ?? null,
    penalty: row.penalty ?? 0,
    finish: row.finish ?? null,
    landed: row.landed ?? null,
    executed: row.executed ?? null,
    ...(row.club === undefined ? {} : { clubLabel: row.club }),
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
      leads: table.ahead.includes(i),
      early: standing.early,
      not_scored: standing.extras.length + standing.doubled.length + standing.late.length,
    })),
  };
}

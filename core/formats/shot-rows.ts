import { longestM } from '../golf/bands';
import { say, SURFACES_OF } from '../golf/words';
import { shotRecordSchema, type Shot } from '../shot/shot';
import { METRES_PER, snap } from '../units/length';
import { leftOf, type ShotTableRow, type TableProblem } from './shot-table';

const idOf = (n: number) => `00000000-0000-7000-8000-${n.toString(16).padStart(12, '0')}`;
/** When nothing in a table says when it was played. */
const SOME_DAY = '2000-01-01T00:00:00Z';

/** The column in which a fact of a ball stands, where its name differs. */
const COLUMN_OF: Readonly<Record<string, string>> = {
  leftM: 'left_ft',
  leftMinM: 'left_min_ft',
  leftMaxM: 'left_max_ft',
  distanceM: 'distance_yd',
  bearingDeg: 'bearing_deg',
  sumLeftM: 'sum_left_ft',
  stimpFt: 'stimp_ft',
  intendedM: 'intended_yd',
  landingErrorM: 'landing_error_ft',
  carryM: 'carry_yd',
};

/** A ball of a table, with the line it stands in, whose it is and the landing zone it was played at, in metres. */
export type TableShot = { line: number; player: string; shot: Shot; zoneM: number | null };

/**
 * The rows of a table as balls, whatever game they were played in. The same schema guards them that guards every ball;
 * rows without a moment count as played with the last that has one.
 */
export function shotsOfTable(rows: readonly ShotTableRow[]): { shots: TableShot[]; problems: TableProblem[] } {
  const players = [...new Set(rows.map((row) => row.player ?? ''))];
  const last = rows.flatMap(({ played_at }) => (played_at ? [Date.parse(played_at)] : [])).reduce((a, b) => Math.max(a, b), -Infinity);
  const undated = Number.isFinite(last) ? new Date(last).toISOString() : SOME_DAY;
  const shots: TableShot[] = [];
  const problems: TableProblem[] = [];
  for (const row of rows) {
    const { line } = row;
    const refuse = (column: string, message: string) => problems.push({ line, column, message });
    const distances = [
      row.distance_m,
      row.distance_ft === undefined ? undefined : row.distance_ft * METRES_PER.ft,
      row.distance_yd === undefined ? undefined : row.distance_yd * METRES_PER.yd,
    ].filter((metres) => metres !== undefined);
    const { shot_type: shotType } = row;
    const surface = row.surface ?? (shotType === 'putt' ? 'green' : shotType === 'bunker' ? 'sand' : undefined);
    if (!shotType) refuse('shot_type', 'shot_type is missing: which shot was it?');
    else if (!surface) refuse('surface', 'surface is missing: from where was it played?');
    else if (!SURFACES_OF[shotType].includes(surface)) refuse('surface', `a ${say(shotType)} is not played from ${say(surface)}`);
    else if (distances.length !== 1)
      refuse(
        'distance_m',
        distances.length === 0 ? 'the distance is missing: distance_ft, distance_yd or distance_m' : 'more than one distance is given',
      );
    else if (distances[0]! > longestM(shotType) + 1e-6)
      refuse('distance_m', `no ${say(shotType)} is played from ${Math.round(distances[0]!)} m`);
    else {
      const player = row.player ?? '';
      const parsed = shotRecordSchema.safeParse(factsOf(row, shotType, surface, distances[0]!, idOf(1 + players.indexOf(player)), undated));
      if (!parsed.success) {
        for (const { path, message, code } of parsed.error.issues) {
          const column = COLUMN_OF[String(path[0])] ?? String(path[0] ?? '');
          refuse(
            column,
            code === 'too_big' ? `${column} is more than can be` : code === 'too_small' ? `${column} is less than can be` : message,
          );
        }
      } else if (row.holed && (row.strokes ?? 1) > 1) refuse('strokes', 'a holed ball took one stroke');
      else
        shots.push({
          line,
          player,
          shot: { ...parsed.data, shotId: idOf(1e6 + line) },
          zoneM: row.zone_ft === undefined ? null : row.zone_ft * METRES_PER.ft,
        });
    }
  }
  return { shots, problems };
}

function factsOf(
  row: ShotTableRow,
  shotType: Shot['shotType'],
  surface: Shot['surface'],
  distanceM: number,
  playerId: string,
  undated: string,
) {
  const left = leftOf(row);
  const carry =
    row.carry_m ??
    (row.carry_yd !== undefined ? row.carry_yd * METRES_PER.yd : row.carry_ft !== undefined ? row.carry_ft * METRES_PER.ft : null);
  const feet = (value: number | undefined) => (value === undefined ? null : snap(value * METRES_PER.ft));
  return {
    ...left,
    // A holed ball with something left contradicts itself; the schema says so.
    ...(row.holed && (row.left_ft ?? row.left_m ?? 0) > 0 ? { leftM: feet(row.left_ft) ?? row.left_m! } : {}),
    playerId,
    sessionId: idOf(0),
    phase: (row.phase ?? 1) - 1,
    stationKey: row.station ?? 'table',
    ballNo: row.ball ?? 1,
    turnNo: (row.turn ?? 1) - 1,
    shotType,
    surface,
    sit: row.sit ?? 'clean',
    stance: row.stance ?? 'flat',
    trajectory: row.trajectory ?? null,
    shape: row.shape ?? null,
    swingWidth: row.swing_width ?? null,
    swingMark: row.swing_mark ?? null,
    clubId: null,
    clubLabel: row.club ?? null,
    executed: row.executed ?? null,
    target: row.target ?? 'hole',
    distanceM: snap(distanceM),
    bearingDeg: row.bearing_deg ?? null,
    measured: row.measured ?? (left.leftMinM !== null || left.leftMaxM !== null ? 'ring' : 'tape'),
    strokes: row.strokes ?? null,
    penalty: row.penalty ?? 0,
    finish: row.finish ?? null,
    landed: row.landed ?? null,
    carryM: carry === null ? null : snap(carry),
    landingErrorM: feet(row.landing_error_ft),
    intendedM: row.intended_yd === undefined ? null : snap(row.intended_yd * METRES_PER.yd),
    mishit: row.mishit ?? null,
    nBalls: row.n_balls ?? 1,
    sumLeftM: feet(row.sum_left_ft),
    counts: row.counts ?? 'ordinary',
    wind: row.wind ?? null,
    stimpFt: row.stimp_ft ?? null,
    firmness: row.firmness ?? null,
    note: row.note ?? null,
    playedAt: row.played_at ?? undated,
  };
}

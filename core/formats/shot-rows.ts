import { saysSurface, surfacesOf } from '../golf/shot-types';
import { longestM } from '../golf/bands';
import { say } from '../golf/words';
import { shotRecordSchema, type Shot } from '../shot/shot';
import type { LandingZoneSeen } from '../skill/groups';
import { snap } from '../units/length';
import { eachRow, leftOf, lengthColumn, metresOf, saidTwice, storedLength, type ShotTableRow, type TableLength } from './shot-table';
import type { TableProblem } from './row-reader';

const idOf = (n: number) => `00000000-0000-7000-8000-${n.toString(16).padStart(12, '0')}`;
/** When nothing in a table says when it was played. */
const SOME_DAY = '2000-01-01T00:00:00Z';

/** The length of a table that a fact of a ball is. */
const LENGTH_OF: Readonly<Record<string, TableLength>> = {
  leftM: 'left',
  leftMinM: 'left_min',
  leftMaxM: 'left_max',
  distanceM: 'distance',
  sumLeftM: 'sum_left',
  intendedM: 'intended',
  landingErrorM: 'landing_error',
  carryM: 'carry',
};
/** The column in which another fact stands, where its name differs. */
const COLUMN_OF: Readonly<Record<string, string>> = { bearingDeg: 'bearing_deg', stimpFt: 'stimp_ft' };

/**
 * A ball of a table, with the line it stands in, whose it is, the landing zone it was played at, whether anything was said of how it
 * ended, whether of when it was played, and the row itself.
 */
export type TableShot = {
  line: number;
  player: string;
  shot: Shot;
  zone: LandingZoneSeen | null;
  said: boolean;
  dated: boolean;
  row: ShotTableRow;
};

/**
 * The balls of a table one by one, whatever game they were played in. The same schema guards them that guards every ball.
 */
export function eachShot(csv: string, take: (ball: TableShot) => void): { problems: TableProblem[]; ignored: string[] } {
  const players = new Map<string, string>();
  const problems: TableProblem[] = [];
  const table = eachRow(csv, (row) => {
    const player = row.player ?? '';
    let playerId = players.get(player);
    if (!playerId) players.set(player, (playerId = idOf(1 + players.size)));
    const shot = ballOfRow(row, playerId, (column, message) => problems.push({ line: row.line, column, message }));
    if (shot) take(shot);
  });
  return { problems: [...table.problems, ...problems].sort((a, b) => a.line - b.line), ignored: table.ignored };
}

/** A row as a ball; null where it is refused. @param playerId whose it is taken to be */
export function ballOfRow(row: ShotTableRow, playerId: string, refuse: (column: string, message: string) => void): TableShot | null {
  const { line, shot_type: shotType } = row;
  const no = (column: string, message: string) => {
    refuse(column, message);
    return null;
  };
  if (!shotType) return no('shot_type', 'shot_type is missing: which shot was it?');
  const surface = row.surface ?? (saysSurface(shotType) ? surfacesOf(shotType)[0] : undefined);
  if (!surface) return no('surface', 'surface is missing: from where was it played?');
  if (!surfacesOf(shotType).includes(surface)) return no('surface', `a ${say(shotType)} is not played from ${say(surface)}`);
  const distanceM = metresOf(row, 'distance');
  if (distanceM === undefined) return no('distance', 'the distance is missing: distance_ft, distance_yd or distance_m');
  const twice = saidTwice(row);
  if (twice) return no(lengthColumn(row, twice), `more than one ${twice} is given`);
  if (distanceM > longestM(shotType) + 1e-6) return no('distance', `no ${say(shotType)} is played from ${Math.round(distanceM)} m`);
  const parsed = shotRecordSchema.safeParse(factsOf(row, shotType, surface, distanceM, playerId));
  if (!parsed.success) {
    for (const { path, message, code } of parsed.error.issues) {
      const fact = String(path[0] ?? '');
      const length = LENGTH_OF[fact];
      const column = length ? lengthColumn(row, length) : (COLUMN_OF[fact] ?? fact);
      refuse(
        column,
        code === 'too_big' ? `${column} is more than can be` : code === 'too_small' ? `${column} is less than can be` : message,
      );
    }
    return null;
  }
  if (row.holed && (row.strokes ?? 1) > 1) return no('strokes', 'a holed ball took one stroke');
  const zoneM = metresOf(row, 'zone');
  return {
    line,
    player: row.player ?? '',
    shot: Object.assign(parsed.data, { shotId: idOf(1e6 + line) }),
    zone: zoneM === undefined ? null : { sizeM: zoneM, spotM: null, strip: false },
    said: row.holed !== undefined || saysHow(parsed.data),
    dated: row.played_at !== undefined,
    row,
  };
}

/** Whether anything but “not holed” is known of where a ball went. */
function saysHow({ leftM, leftMinM, leftMaxM, strokes, landed, landingErrorM, sumLeftM }: Omit<Shot, 'shotId'>): boolean {
  return [leftM, leftMinM, leftMaxM, strokes, landed, landingErrorM, sumLeftM].some((value) => value !== null);
}

function factsOf(row: ShotTableRow, shotType: Shot['shotType'], surface: Shot['surface'], distanceM: number, playerId: string) {
  const left = leftOf(row);
  return {
    holed: left.holed,
    // A holed ball with something left contradicts itself; the schema says so.
    leftM: row.holed && (metresOf(row, 'left') ?? 0) > 0 ? storedLength(row, 'left') : left.leftM,
    leftMinM: left.leftMinM,
    leftMaxM: left.leftMaxM,
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
    called: row.called ?? (row.was_called ? '' : null),
    landedSide: row.landed_side ?? null,
    par: row.par ?? null,
    nearer: row.nearer ?? null,
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
    carryM: storedLength(row, 'carry'),
    landingErrorM: storedLength(row, 'landing_error'),
    intendedM: storedLength(row, 'intended'),
    mishit: row.mishit ?? null,
    nBalls: row.n_balls ?? 1,
    sumLeftM: storedLength(row, 'sum_left'),
    counts: row.counts ?? 'ordinary',
    wind: row.wind ?? null,
    stimpFt: row.stimp_ft ?? null,
    firmness: row.firmness ?? null,
    note: row.note ?? null,
    playedAt: row.played_at ?? SOME_DAY,
  };
}

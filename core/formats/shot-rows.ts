import { saysSurface, surfacesOf } from '../golf/shot-types';
import { longestM } from '../golf/bands';
import { say } from '../golf/words';
import { shotRecordSchema, type Shot } from '../shot/shot';
import type { LandingZoneSeen } from '../skill/groups';
import { METRES_PER, snap } from '../units/length';
import { eachRow, fromFeet, leftOf, type ShotTableRow, type TableProblem } from './shot-table';

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

/**
 * A ball of a table, with the line it stands in, whose it is, the landing zone it was played at, whether anything was said of how it
 * ended, and whether of when it was played.
 */
export type TableShot = { line: number; player: string; shot: Shot; zone: LandingZoneSeen | null; said: boolean; dated: boolean };

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
    const shot = shotOf(row, playerId, (column, message) => problems.push({ line: row.line, column, message }));
    if (shot) take(shot);
  });
  return { problems: [...table.problems, ...problems].sort((a, b) => a.line - b.line), ignored: table.ignored };
}

/** A row as a ball; null where it is refused. */
function shotOf(row: ShotTableRow, playerId: string, refuse: (column: string, message: string) => void): TableShot | null {
  const { line, shot_type: shotType } = row;
  const no = (column: string, message: string) => {
    refuse(column, message);
    return null;
  };
  if (!shotType) return no('shot_type', 'shot_type is missing: which shot was it?');
  const surface = row.surface ?? (saysSurface(shotType) ? surfacesOf(shotType)[0] : undefined);
  if (!surface) return no('surface', 'surface is missing: from where was it played?');
  if (!surfacesOf(shotType).includes(surface)) return no('surface', `a ${say(shotType)} is not played from ${say(surface)}`);
  const [distanceM, ...others] = [row.distance_m, inMetres(row.distance_ft, 'ft'), inMetres(row.distance_yd, 'yd')].filter(
    (metres) => metres !== undefined,
  );
  if (distanceM === undefined) return no('distance_m', 'the distance is missing: distance_ft, distance_yd or distance_m');
  if (others.length > 0) return no('distance_m', 'more than one distance is given');
  if (distanceM > longestM(shotType) + 1e-6) return no('distance_m', `no ${say(shotType)} is played from ${Math.round(distanceM)} m`);
  const parsed = shotRecordSchema.safeParse(factsOf(row, shotType, surface, distanceM, playerId));
  if (!parsed.success) {
    for (const { path, message, code } of parsed.error.issues) {
      const column = COLUMN_OF[String(path[0])] ?? String(path[0] ?? '');
      refuse(
        column,
        code === 'too_big' ? `${column} is more than can be` : code === 'too_small' ? `${column} is less than can be` : message,
      );
    }
    return null;
  }
  if (row.holed && (row.strokes ?? 1) > 1) return no('strokes', 'a holed ball took one stroke');
  return {
    line,
    player: row.player ?? '',
    shot: Object.assign(parsed.data, { shotId: idOf(1e6 + line) }),
    zone: row.zone_ft === undefined ? null : { sizeM: row.zone_ft * METRES_PER.ft, spotM: null, strip: false },
    said: row.holed !== undefined || saysHow(parsed.data),
    dated: row.played_at !== undefined,
  };
}

const inMetres = (value: number | undefined, unit: 'ft' | 'yd') => (value === undefined ? undefined : value * METRES_PER[unit]);

/** Whether anything but “not holed” is known of where a ball went. */
function saysHow({ leftM, leftMinM, leftMaxM, strokes, landed, landingErrorM, sumLeftM }: Omit<Shot, 'shotId'>): boolean {
  return [leftM, leftMinM, leftMaxM, strokes, landed, landingErrorM, sumLeftM].some((value) => value !== null);
}

function factsOf(row: ShotTableRow, shotType: Shot['shotType'], surface: Shot['surface'], distanceM: number, playerId: string) {
  const left = leftOf(row);
  const carry =
    row.carry_m ??
    (row.carry_yd !== undefined ? row.carry_yd * METRES_PER.yd : row.carry_ft !== undefined ? row.carry_ft * METRES_PER.ft : null);
  return {
    holed: left.holed,
    // A holed ball with something left contradicts itself; the schema says so.
    leftM: row.holed && (row.left_ft ?? row.left_m ?? 0) > 0 ? (fromFeet(row.left_ft) ?? row.left_m!) : left.leftM,
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
    called: null,
    landedSide: null,
    par: null,
    nearer: null,
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
    landingErrorM: fromFeet(row.landing_error_ft),
    intendedM: row.intended_yd === undefined ? null : snap(row.intended_yd * METRES_PER.yd),
    mishit: row.mishit ?? null,
    nBalls: row.n_balls ?? 1,
    sumLeftM: fromFeet(row.sum_left_ft),
    counts: row.counts ?? 'ordinary',
    wind: row.wind ?? null,
    stimpFt: row.stimp_ft ?? null,
    firmness: row.firmness ?? null,
    note: row.note ?? null,
    playedAt: row.played_at ?? SOME_DAY,
  };
}

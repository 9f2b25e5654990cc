import type { Brief } from '@/core/board/brief';
import type { KeptSkills } from '@/core/board/squad';
import type { Executed } from '@/core/forecast/executes';
import { fitFor } from '@/core/game/entrant';
import { schemeOf } from '@/core/game/scoring';
import { OFF_GREEN_BANDS, PUTT_BANDS } from '@/core/golf/bands';
import type { FIRMNESSES, ShotType, Sit, Stance, Surface, TRAJECTORIES } from '@/core/golf/words';
import type { Shot } from '@/core/shot/shot';
import type { Tally } from '@/core/skill/evidence';
import { BINNING, LANDING_STEP_M, NEAREST_PLACE_M, PLACE } from '@/core/skill/groups';
import type { OwnReference } from '@/core/formats/reference-table';
import { toMetres } from '@/core/units/length';
import { group } from 'd3-array';
import {
  and,
  asc,
  count,
  countDistinct,
  desc,
  eq,
  exists,
  gte,
  inArray,
  isNotNull,
  isNull,
  lt,
  lte,
  max,
  min,
  ne,
  sql,
  type SQL,
} from 'drizzle-orm';
import type { Actor } from '../actor';
import type { Db } from '../client';
import { brief, player, posterior, reference, session, sessionPlayer, shot } from '../schema';
import { named, shotsWhere } from './rows';
import { rowsInOne } from './rows-in-one';
import { seen } from './seen';

/** Which balls a board looks at; what is not given does not restrict. */
export type BallFilter = {
  from?: Date;
  /** Up to this moment, from which ages are counted too. */
  asOf: Date;
  gameId?: string;
  sit?: Sit;
  stance?: Stance;
  trajectory?: (typeof TRAJECTORIES)[number];
  clubLabel?: string;
  firmness?: (typeof FIRMNESSES)[number];
  wind?: string;
};

function filtered(actor: Actor, playerId: string, filter: BallFilter): SQL | undefined {
  const { from, asOf, gameId, sit, stance, trajectory, clubLabel, firmness, wind } = filter;
  return and(
    eq(shot.academyId, actor.academyId),
    eq(shot.playerId, playerId),
    lte(shot.playedAt, asOf),
    from && gte(shot.playedAt, from),
    gameId ? eq(session.gameId, gameId) : undefined,
    sit && eq(shot.sit, sit),
    stance && eq(shot.stance, stance),
    trajectory && eq(shot.trajectory, trajectory),
    clubLabel ? eq(shot.clubLabel, clubLabel) : undefined,
    firmness && eq(shot.firmness, firmness),
    wind ? eq(shot.wind, wind) : undefined,
  );
}

/** A weight of 2 to this power is none that counts, and still a number. */
const LEAST_POWER = -900;

const edges = (bands: typeof PUTT_BANDS) =>
  sql.raw(`array[${bands.flatMap(({ max, unit }) => (max === null ? [] : [toMetres(max, unit)])).join(',')}]::float8[]`);

/** From a moment on, up to another and without it. */
export type Stretch = { from: Date; to: Date };

/** Stretches of time to be joined to balls, by their number; without any, one in which every ball lies. */
function within(stretches: readonly Stretch[] | null): { table: SQL; on: SQL; no: SQL<number> } {
  const at = (which: keyof Stretch) => sql`${sql.param((stretches ?? []).map((one) => one[which].toISOString()))}::timestamptz[]`;
  const table = stretches
    ? sql`unnest(${at('from')}, ${at('to')}) with ordinality as stretch (from_at, to_at, no)`
    : sql`(values ('-infinity'::timestamptz, 'infinity'::timestamptz, 1)) as stretch (from_at, to_at, no)`;
  return { table, on: sql`${shot.playedAt} >= stretch.from_at and ${shot.playedAt} < stretch.to_at`, no: sql<number>`stretch.no::int` };
}

/**
 * A player's balls, counted: those from one place, of one kind of record, with one outcome are one row, however many they
 * are, so that what is read does not grow with the history. Distances left are sorted into the model's bins.
 * @param halfLifeDays after how many days a ball counts half; null: all alike
 */
export async function tallyBalls(
  db: Db,
  actor: Actor,
  playerId: string,
  filter: BallFilter,
  halfLifeDays: number | null,
): Promise<Tally[]> {
  const rows = await tally(db, actor, playerId, filtered(actor, playerId, filter), filter.asOf, halfLifeDays, null);
  return rows.map(({ stretch: _one, ...row }) => row);
}

/** The same for stretches of time, all at once, no ball weighing less for its age; and in how many sessions the balls of each were played. */
export async function tallyStretches(
  db: Db,
  actor: Actor,
  playerId: string,
  stretches: readonly Stretch[],
): Promise<{ tallies: Tally[]; sessions: number }[]> {
  const theirs = and(eq(shot.academyId, actor.academyId), eq(shot.playerId, playerId));
  const { table, on, no } = within(stretches);
  const [rows, sessions] = await Promise.all([
    tally(db, actor, playerId, theirs, new Date(), null, stretches),
    db
      .select({ stretch: no, sessions: countDistinct(shot.sessionId) })
      .from(shot)
      .innerJoin(table, on)
      .where(theirs)
      .groupBy(no),
  ]);
  const tallies = group(rows, (row) => row.stretch);
  const counts = new Map(sessions.map((row) => [row.stretch, row.sessions]));
  return stretches.map((_, i) => ({
    tallies: (tallies.get(i + 1) ?? []).map(({ stretch: _one, ...row }) => row),
    sessions: counts.get(i + 1) ?? 0,
  }));
}

async function tally(
  db: Db,
  actor: Actor,
  playerId: string,
  which: SQL | undefined,
  asOf: Date,
  halfLifeDays: number | null,
  stretches: readonly Stretch[] | null,
): Promise<(Tally & { stretch: number })[]> {
  const { table, on, no } = within(stretches);
  const landings = landingTable(await landingsOf(db, actor, playerId));
  const { sizeM, spotM } = landings;
  const strip = sql<boolean>`coalesce(${landings.strip}, false)`;
  const ageDays = sql`extract(epoch from ${asOf.toISOString()}::timestamptz - ${shot.playedAt}) / 86400.0`;
  // As text: what is grouped by is what is read, to the letter.
  const landingStep = sql.raw(`${LANDING_STEP_M}::float8`);
  // Only where it is what is known of the ball; rounded as the model reads it.
  const landing = sql<number | null>`case when ${shot.landingErrorM} is not null and ${shot.leftM} is null and ${shot.leftMinM} is null
    and ${shot.leftMaxM} is null and ${shot.strokes} is null then round(${shot.landingErrorM} / ${landingStep}) * ${landingStep} end`;
  const carry = sql<number | null>`case when ${landing} is not null then round(${shot.carryM}) end`;
  const place = sql`round(ln(greatest(${shot.distanceM}, ${NEAREST_PLACE_M})) / ${PLACE}::float8)`;
  const band = sql`case when ${shot.shotType} = 'putt'
    then width_bucket(${shot.distanceM}, ${edges(PUTT_BANDS)}) else width_bucket(${shot.distanceM}, ${edges(OFF_GREEN_BANDS)}) end`;
  const bin = sql`case when ${shot.leftM} is null then null
    else greatest(0, least(${BINNING.bins - 1}, floor(ln(greatest(${shot.leftM}, 0.000001) / ${BINNING.fromM}::float8) / ${BINNING.step}::float8))) end`;
  const same = {
    shotType: shot.shotType,
    surface: shot.surface,
    sit: shot.sit,
    stance: shot.stance,
    target: shot.target,
    holed: shot.holed,
    leftMinM: shot.leftMinM,
    leftMaxM: shot.leftMaxM,
    strokes: shot.strokes,
    penalty: shot.penalty,
    finish: shot.finish,
    landed: shot.landed,
    measured: shot.measured,
    nBalls: shot.nBalls,
    sumLeftM: shot.sumLeftM,
    executed: shot.executed,
    counts: shot.counts,
  };
  const counted = {
    ...same,
    stretch: no,
    sizeM,
    spotM,
    strip,
    landingErrorM: landing,
    carryM: carry,
    // Any of them stands for all: they lie in one place of one band, and stopped in one bin.
    distanceM: min(shot.distanceM),
    leftM: min(shot.leftM),
    balls: count(),
    weight:
      halfLifeDays === null
        ? sql`count(*)::float8`
        : sql`sum(power(2::float8, greatest(${LEAST_POWER}::float8, -${ageDays} / ${halfLifeDays}::float8)))`,
    lastAt: max(shot.playedAt),
  };
  const rows = db
    .select(named(counted))
    .from(shot)
    .innerJoin(session, and(eq(session.academyId, shot.academyId), eq(session.sessionId, shot.sessionId)))
    .leftJoin(landings.table, landings.on)
    .innerJoin(table, on)
    .where(and(which, eq(shot.counts, 'ordinary')))
    .groupBy(...Object.values(same), no, sizeM, spotM, strip, landing, carry, place, band, bin)
    .as('counted');
  // As one value: thousands of rows with thirty columns each are read many times as fast.
  const [all] = await db.select({ rows: sql<CountedRow[]>`coalesce(json_agg(counted), '[]')` }).from(rows);
  return all!.rows.map(({ stretch, balls, weight, lastAt, sizeM: zoneM, spotM: carriedM, strip: across, ...ball }) => ({
    stretch,
    ball: { ...ball, zone: zoneM === null ? null : { sizeM: zoneM, spotM: carriedM, strip: across } },
    balls,
    weight,
    lastAt: new Date(lastAt),
  }));
}

/** Where balls from a station must land, as it was for the player: in metres, the spot from the ball. */
type Landing = { sessionId: string; phase: number; stationKey: string; sizeM: number; spotM: number | null; strip: boolean };

/**
 * The landing zones in which a player's balls landed or did not: only there does the game say what is known of a ball. They are few, and a
 * game is large: to look into every ball's would take most of the time.
 */
async function landingsOf(db: Db, actor: Actor, playerId: string): Promise<Landing[]> {
  const landed = db
    .select({ one: sql`1` })
    .from(shot)
    .where(
      and(
        eq(shot.academyId, session.academyId),
        eq(shot.sessionId, session.sessionId),
        eq(shot.playerId, playerId),
        isNotNull(shot.landed),
      ),
    );
  const rows = await db
    .select({ sessionId: session.sessionId, spec: session.spec, unitM: sessionPlayer.unitM, scale: sessionPlayer.scale })
    .from(session)
    .innerJoin(sessionPlayer, and(eq(sessionPlayer.academyId, session.academyId), eq(sessionPlayer.sessionId, session.sessionId)))
    .where(and(eq(session.academyId, actor.academyId), eq(sessionPlayer.playerId, playerId), exists(landed)));
  return rows.flatMap(({ sessionId, spec, unitM, scale }) => {
    const fit = fitFor(spec.sizes, { unitM, scale });
    return [...spec.leadIn, spec].flatMap(({ scoring, stations }, phase) => {
      const zone = schemeOf(scoring)
        .zones(scoring)
        .find(({ of }) => of === 'landing');
      if (!zone) return [];
      return (stations ?? spec.stations).map(({ key, carryM }) => ({
        sessionId,
        phase,
        stationKey: key,
        sizeM: fit(zone.radiusM),
        spotM: carryM,
        strip: zone.strip ?? false,
      }));
    });
  });
}

/** Landing zones as a table to join the balls with. */
function landingTable(landings: readonly Landing[]) {
  return {
    table: sql`json_to_recordset(${JSON.stringify(landings)}::json)
      as landing ("sessionId" uuid, phase int, "stationKey" text, "sizeM" float8, "spotM" float8, strip boolean)`,
    on: sql`${shot.landed} is not null and landing."sessionId" = ${shot.sessionId} and landing.phase = ${shot.phase}
      and landing."stationKey" = ${shot.stationKey}`,
    sizeM: sql<number | null>`landing."sizeM"`,
    spotM: sql<number | null>`landing."spotM"`,
    strip: sql<boolean>`landing.strip`,
  };
}

/** A row as the database counts it: what is known of the balls, their zone in its parts, and how many there are. */
type CountedRow = Omit<Tally['ball'], 'zone'> & {
  stretch: number;
  sizeM: number | null;
  spotM: number | null;
  strip: boolean;
  balls: number;
  weight: number;
  lastAt: string;
};

/** How many of a player's ordinary shots were to be hit as asked, and how many came off so. */
export async function executedShots(db: Db, actor: Actor, playerId: string): Promise<Executed> {
  const [row] = await db
    .select({ shots: count(), asAsked: sql<number>`count(*) filter (where ${shot.executed})::int` })
    .from(shot)
    .where(and(eq(shot.academyId, actor.academyId), eq(shot.playerId, playerId), eq(shot.counts, 'ordinary'), isNotNull(shot.executed)));
  return row!;
}

/** From when to when a player's balls were played that are evidence; null before there is one. */
export async function spanOfEvidence(db: Db, actor: Actor, playerId: string): Promise<{ first: Date; last: Date } | null> {
  const [row] = await db
    .select({ first: min(shot.playedAt).mapWith(shot.playedAt), last: max(shot.playedAt).mapWith(shot.playedAt) })
    .from(shot)
    .where(and(eq(shot.academyId, actor.academyId), eq(shot.playerId, playerId), eq(shot.counts, 'ordinary')));
  return row?.first && row.last ? { first: row.first, last: row.last } : null;
}

export type HeldPosterior = Omit<typeof posterior.$inferSelect, 'academyId' | 'playerId'>;

/** What was last believed of a player, whatever it was made from. */
export async function heldPosterior(db: Db, actor: Actor, playerId: string): Promise<HeldPosterior | null> {
  const [row] = await db
    .select()
    .from(posterior)
    .where(and(eq(posterior.academyId, actor.academyId), eq(posterior.playerId, playerId)));
  return row ?? null;
}

/** Keeps what is believed of a player, instead of what was. */
export async function keepPosterior(db: Db, actor: Actor, playerId: string, held: HeldPosterior): Promise<void> {
  await db
    .insert(posterior)
    .values({ academyId: actor.academyId, playerId, ...held })
    .onConflictDoUpdate({ target: [posterior.academyId, posterior.playerId], set: held });
}

/** What is kept of these players in a line, by player, with what it was made from. */
export async function heldBriefs(
  db: Db,
  actor: Actor,
  playerIds: readonly string[],
): Promise<Map<string, { madeFrom: string; brief: Brief }>> {
  if (playerIds.length === 0) return new Map();
  const rows = await db
    .select({ playerId: brief.playerId, madeFrom: brief.madeFrom, brief: brief.brief })
    .from(brief)
    .where(and(eq(brief.academyId, actor.academyId), inArray(brief.playerId, [...playerIds]), seen(actor, brief.playerId)));
  return new Map(rows.map(({ playerId, ...held }) => [playerId, held]));
}

/** Of which players something is kept, and what it was made from, by player. */
export async function keptMadeFrom(db: Db, actor: Actor): Promise<Map<string, string>> {
  const { playerId, madeFrom } = brief;
  const where = and(eq(brief.academyId, actor.academyId), seen(actor, playerId));
  const rows = await rowsInOne(db, brief, { playerId, madeFrom }, where, asc(playerId));
  return new Map(rows.map((row) => [row.playerId, row.madeFrom]));
}

/**
 * What is kept of players for the squad, by player, with what it was made from.
 * @param part only this of it: of hundreds of players no more is read than is shown
 */
export async function heldSkills(
  db: Db,
  actor: Actor,
  part: keyof KeptSkills,
  playerIds: readonly string[],
): Promise<Map<string, { madeFrom: string; skills: Partial<KeptSkills> }>> {
  if (playerIds.length === 0) return new Map();
  const rows = await db
    .select({ playerId: brief.playerId, madeFrom: brief.madeFrom, one: sql<never>`${brief.skills} -> ${part}::text` })
    .from(brief)
    .where(
      and(
        eq(brief.academyId, actor.academyId),
        inArray(brief.playerId, [...playerIds]),
        seen(actor, brief.playerId),
        isNotNull(brief.skills),
      ),
    );
  return new Map(rows.map(({ playerId, madeFrom, one }) => [playerId, { madeFrom, skills: { [part]: one } }]));
}

/** Keeps a player in a line, and for the squad, instead of what was. */
export async function keepBrief(
  db: Db,
  actor: Actor,
  playerId: string,
  held: { madeFrom: string; brief: Brief; skills: KeptSkills },
): Promise<void> {
  await db
    .insert(brief)
    .values({ academyId: actor.academyId, playerId, ...held })
    .onConflictDoUpdate({ target: [brief.academyId, brief.playerId], set: held });
}

export type NamedReference = { name: string; expected: OwnReference };

/** The coach's own yardstick; null where there is none. */
export async function ownReference(db: Db, actor: Actor): Promise<NamedReference | null> {
  const [row] = await db.select().from(reference).where(eq(reference.academyId, actor.academyId));
  return row ? { name: row.name, expected: row.expected } : null;
}

/** Keeps a coach's own yardstick in place of the one before; null: none. */
export async function saveReference(db: Db, actor: Actor, own: NamedReference | null): Promise<void> {
  if (own === null) await db.delete(reference).where(eq(reference.academyId, actor.academyId));
  else
    await db
      .insert(reference)
      .values({ academyId: actor.academyId, ...own })
      .onConflictDoUpdate({ target: reference.academyId, set: { ...own, changedAt: new Date() } });
}

/** A player's ordinary balls of one cell, oldest first. */
export async function shotsOfCell(
  db: Db,
  actor: Actor,
  playerId: string,
  filter: BallFilter,
  { shotType, surface, fromM, toM }: { shotType: ShotType; surface: Surface; fromM: number; toM: number },
): Promise<Shot[]> {
  const cell = and(
    filtered(actor, playerId, filter),
    eq(shot.counts, 'ordinary'),
    eq(shot.shotType, shotType),
    eq(shot.surface, surface),
    gte(shot.distanceM, fromM),
    lt(shot.distanceM, toM),
  );
  return shotsWhere(db, actor, cell, 'played');
}

/**
 * The games a player has played, the clubs on their balls as they were called then, and the winds: what a board can be narrowed to; and
 * whether there is anybody else to be compared with.
 */
export async function narrowings(db: Db, actor: Actor, playerId: string) {
  const theirs = and(eq(shot.academyId, actor.academyId), eq(shot.playerId, playerId));
  const distinct = (column: typeof shot.clubLabel | typeof shot.wind) =>
    db
      .selectDistinct({ word: column })
      .from(shot)
      .where(and(theirs, isNotNull(column)))
      .orderBy(asc(column));
  const [games, clubs, winds, others] = await Promise.all([
    db
      .selectDistinctOn([session.gameId], { gameId: session.gameId, title: sql<string>`${session.spec} ->> 'title'` })
      .from(shot)
      .innerJoin(session, and(eq(session.academyId, shot.academyId), eq(session.sessionId, shot.sessionId)))
      .where(and(theirs, isNotNull(session.gameId)))
      .orderBy(session.gameId, desc(session.startedAt)),
    distinct(shot.clubLabel),
    distinct(shot.wind),
    db
      .select({ one: player.playerId })
      .from(player)
      .where(
        and(
          eq(player.academyId, actor.academyId),
          ne(player.playerId, playerId),
          isNull(player.archivedAt),
          isNull(player.erasedAt),
          seen(actor, player.playerId),
        ),
      )
      .limit(1),
  ]);
  return {
    games: games.map(({ gameId, title }) => ({ gameId: gameId!, title })),
    clubs: clubs.map(({ word }) => word!),
    winds: winds.map(({ word }) => word!),
    squad: others.length > 0,
  };
}

import * as fc from 'fast-check';
import Papa from 'papaparse';
import { longestM } from '../golf/bands';
import { surfacesOf } from '../golf/shot-types';
import {
  COUNTS,
  FINISHES,
  FIRMNESSES,
  LANDED_SIDES,
  MEASURES,
  MISHITS,
  SHAPES,
  SHOT_TYPES,
  SITS,
  STANCES,
  SWING_WIDTHS,
  TRAJECTORIES,
} from '../golf/words';
import { SHOT_OUT_COLUMNS, writeShotTable, type ShotOut } from '../formats/shot-table-out';
import { eachShot } from '../formats/shot-rows';
import { writeSessionTable } from '../formats/session-table';
import { game } from '../testing/make';
import { shotRecordSchema, type Shot } from '../shot/shot';
import { snap } from '../units/length';
import { UNMEASURED } from '../measures/read-length';
import { batchReader } from './batch';
import { ImportFile } from './import-file';

const metres = (most: number) => fc.double({ min: 0, max: most, noNaN: true }).map((value) => Math.abs(snap(value)));
const maybe = <T>(one: fc.Arbitrary<T>) => fc.option(one, { nil: null });
/** Text with all that means something to a spreadsheet or to a table. */
const text = (most: number) =>
  fc
    .array(fc.constantFrom('a', 'Ö', ' ', ',', ';', '"', "'", '=', '+', '-', '@', '\n', '|', '1', '½'), { minLength: 1, maxLength: most })
    .map((signs) => signs.join('').trim())
    .filter((all) => all !== '');
const oneLine = (most: number) => text(most).map((all) => all.replaceAll('\n', ' '));

const left = fc.oneof(
  fc.constant({ holed: true, leftM: null, leftMinM: null, leftMaxM: null }),
  metres(60).map((leftM) => ({ holed: false, leftM, leftMinM: null, leftMaxM: null })),
  fc.tuple(metres(5), maybe(metres(5))).map(([leftMinM, wider]) => ({
    holed: false,
    leftM: null,
    leftMinM,
    leftMaxM: wider === null ? null : snap(leftMinM + wider + 0.1),
  })),
);

const shot: fc.Arbitrary<Shot> = fc
  .record({
    type: fc.constantFrom(...SHOT_TYPES).chain((shotType) =>
      fc.record({
        shotType: fc.constant(shotType),
        surface: fc.constantFrom(...surfacesOf(shotType)),
        distanceM: metres(longestM(shotType) - 1).map((value) => snap(value + 0.1)),
      }),
    ),
    left,
    of: fc.record({
      shotId: fc.uuid(),
      playerId: fc.uuid(),
      sessionId: fc.uuid(),
      phase: fc.nat(3),
      turnNo: fc.nat(900),
      ballNo: fc.integer({ min: 1, max: 50 }),
      stationKey: oneLine(40),
      sit: fc.constantFrom(...SITS),
      stance: fc.constantFrom(...STANCES),
      trajectory: maybe(fc.constantFrom(...TRAJECTORIES)),
      shape: maybe(fc.constantFrom(...SHAPES)),
      swingWidth: maybe(fc.constantFrom(...SWING_WIDTHS)),
      swingMark: maybe(oneLine(40)),
      clubLabel: maybe(oneLine(20)),
      target: fc.constantFrom('hole' as const, 'peg' as const),
      bearingDeg: maybe(fc.double({ min: 0, max: 359, noNaN: true }).map((value) => Math.abs(Math.round(value * 10) / 10))),
      measured: fc.constantFrom(...MEASURES),
      par: maybe(fc.integer({ min: 1, max: 7 })),
      penalty: fc.nat(4),
      finish: maybe(fc.constantFrom(...FINISHES)),
      landed: maybe(fc.boolean()),
      landedSide: maybe(fc.constantFrom(...LANDED_SIDES)),
      carryM: maybe(metres(90)),
      landingErrorM: maybe(fc.double({ min: -50, max: 50, noNaN: true }).map((value) => snap(value) + 0)),
      intendedM: maybe(metres(90)),
      executed: maybe(fc.boolean()),
      called: maybe(fc.oneof(fc.constant(''), oneLine(60))),
      nearer: maybe(fc.boolean()),
      mishit: maybe(fc.constantFrom(...MISHITS)),
      counts: fc.constantFrom(...COUNTS),
      wind: maybe(oneLine(40)),
      stimpFt: maybe(fc.integer({ min: 6, max: 26 }).map((half) => half / 2)),
      firmness: maybe(fc.constantFrom(...FIRMNESSES)),
      note: maybe(text(200)),
      playedAt: fc
        .date({ min: new Date('2000-01-01T00:00:00Z'), max: new Date('2026-11-01T00:00:00Z'), noInvalidDate: true })
        .map((at) => at.toISOString()),
    }),
    strokes: maybe(fc.integer({ min: 1, max: 9 })),
    several: fc.boolean(),
    total: metres(100),
  })
  .map(({ type, left: where, of, strokes, several, total }) => ({
    ...type,
    ...of,
    ...where,
    clubId: null,
    strokes: where.holed ? (strokes === null ? null : 1) : strokes,
    ...(several
      ? { holed: false, leftM: null, leftMinM: null, leftMaxM: null, nBalls: 5, sumLeftM: total }
      : { nBalls: 1, sumLeftM: null }),
  }))
  // What a ball may be is said in one place.
  .map((one) => ({ ...shotRecordSchema.parse(one), shotId: one.shotId }));

const out: fc.Arbitrary<ShotOut> = fc.record({
  shot,
  player: oneLine(40),
  game: oneLine(60),
  gameVersion: maybe(fc.integer({ min: 1, max: 9 })),
});

/** What a table can't say: by which ids a player and a session are known, where they have names. */
const told = ({ playerId: _player, clubId: _club, ...rest }: Shot) => rest;

test('balls that go out come in again equal, and so does what stands beside them', () => {
  fc.assert(
    fc.property(fc.array(out, { minLength: 1, maxLength: 8 }), (balls) => {
      const file = new ImportFile(writeShotTable(balls));
      const mapping = file.guess();
      const given = { timeZone: 'Europe/Dublin', nowMs: Date.parse('2026-11-30T00:00:00Z'), own: UNMEASURED };
      const names: string[] = [];
      const batches = [...file.batches(mapping, given, (name) => `player ${names.push(name) - 1}`)];
      const kept = batches.flatMap(({ columns, rows }) => {
        const read = batchReader('balls', columns);
        return rows.map(({ cells, line }) => read(cells, line));
      });
      // Balls of which nothing is said can be recorded, and say nothing.
      const said = balls.filter((_, i) => !saysNothing(balls[i]!.shot));
      expect(kept).toHaveLength(said.length);
      kept.forEach((row, i) => {
        if (!('kept' in row) || row.kept.kind !== 'balls') throw new Error('refused');
        const { ball } = row.kept;
        const { player, game, gameVersion, shot: was } = said[i]!;
        expect(names[Number(row.kept.player.split(' ')[1])]).toBe(player);
        expect([ball.row.game, ball.row.game_version ?? null]).toEqual([game, gameVersion]);
        expect(told({ ...ball.shot, shotId: ball.row.shot_id!, sessionId: ball.row.session_id! })).toEqual(told(was));
      });
    }),
    { numRuns: 200 },
  );
});

test('the command line reads it too, and no cell of it is a formula', () => {
  fc.assert(
    fc.property(out, (ball) => {
      const csv = writeShotTable([ball]);
      expect(csv.split('\n')[0]).toBe(SHOT_OUT_COLUMNS.join(','));
      const { problems, ignored } = eachShot(csv, () => undefined);
      expect([problems, ignored]).toEqual([[], []]);
      // A figure may begin with a minus; a text may not.
      const cells = Papa.parse<string[]>(csv, { delimiter: ',' }).data.flat();
      expect(cells.filter((cell) => /^[=+\-@\t\r]/.test(cell) && !/^-[\d.]+$/.test(cell))).toEqual([]);
    }),
    { numRuns: 100 },
  );
});

const saysNothing = (one: Shot) =>
  one.counts === 'ordinary' &&
  !one.holed &&
  [one.leftM, one.leftMinM, one.leftMaxM, one.strokes, one.landed, one.landingErrorM, one.sumLeftM].every((value) => value === null);

const session = fc.record({
  startedAt: fc.date({ min: new Date('2000-01-01T00:00:00Z'), max: new Date('2026-11-01T00:00:00Z'), noInvalidDate: true }),
  title: oneLine(60),
  players: fc.uniqueArray(
    fc.record({
      name: oneLine(40),
      score: fc.integer({ min: -20, max: 400 }).map((n) => n / 4),
      note: fc.oneof(fc.constant(''), text(80)),
    }),
    {
      minLength: 1,
      maxLength: 3,
      selector: ({ name }) => name,
    },
  ),
  tags: fc.subarray(['league', 'wet']),
});

test('sessions that go out come in again as results: who, when, what, the score, its unit and the player’s note', () => {
  fc.assert(
    fc.property(fc.array(session, { minLength: 1, maxLength: 4 }), (sessions) => {
      const csv = writeSessionTable(
        sessions.map(({ startedAt, title, players, tags }, n) => ({
          ...{
            sessionId: `s${n}`,
            startedAt,
            gameVersion: 1,
            spec: game({ title, goal: 9 }),
            conditions: { wind: 'light' },
            tags,
            balls: 6,
            given: null,
          },
          outcome: { through: true, scores: players.map(({ score }, i) => ({ playerId: `p${i}`, score, met: score >= 9 })), ahead: [] },
          players: players.map(({ name, note }, i) => ({
            playerId: `p${i}`,
            name,
            ownNote: note,
            coachNotes: [{ by: 'Ines', text: '=good' }],
          })),
        })),
      );
      const file = new ImportFile(csv);
      const mapping = file.guess();
      expect(mapping.kind).toBe('scores');
      const given = { timeZone: 'Europe/Dublin', nowMs: Date.parse('2026-11-30T00:00:00Z'), own: UNMEASURED };
      const names: string[] = [];
      const kept = [...file.batches(mapping, given, (name) => `player ${names.push(name) - 1}`)].flatMap(({ columns, rows }) => {
        const read = batchReader('scores', columns);
        return rows.map(({ cells, line }) => read(cells, line));
      });
      const said = sessions.flatMap(({ players, ...one }) => players.map((player) => ({ ...one, ...player })));
      expect(
        kept.map((row) => {
          if (!('kept' in row) || row.kept.kind !== 'scores') throw new Error('refused');
          const { game: title, score, unit, note = '' } = row.kept.result;
          return [names[Number(row.kept.player.split(' ')[1])], new Date(row.kept.playedAt).toISOString(), title, score, unit, note];
        }),
      ).toEqual(said.map(({ name, startedAt, title, score, note }) => [name, startedAt.toISOString(), title, score, 'points', note]));
    }),
    { numRuns: 100 },
  );
});

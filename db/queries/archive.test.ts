import { createHash, randomUUID } from 'node:crypto';
import { createWriteStream, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { buffer } from 'node:stream/consumers';
import type { Readable } from 'node:stream';
import { sql } from 'drizzle-orm';
import { ZipFile } from 'yazl';
import { fileOf, MANIFEST_FILE, type Manifest } from '@/core/archive/manifest';
import { withNewIds } from '@/core/archive/new-ids';
import { BrokenArchive, GONE, SINCE } from '@/core/archive/row';
import { ARCHIVE_TABLES } from '@/core/archive/tables';
import { seededRandom, type Random } from '@/core/math/random';
import { left, record, game } from '@/core/testing/make';
import { addAcademy, loadDemo } from '@/scripts/demo-data';
import { openArchive } from '@/server/archive/read-archive';
import { writeArchive } from '@/server/archive/write-archive';
import type { Member } from '../actor';
import { idFrom } from '../ids';
import { unzipped, type Files } from '../testing/unzipped';
import { academies, own } from '../testing/academy';
import { keepTables, readTables } from './archive';
import { tallyBalls } from './evidence';
import { addNote, saveNote } from './notes';
import { listActivity } from './activity';
import { listPlayers } from './players';
import { takeIn } from './take-in';

const { db, pool, academy } = academies('archive', 31_000);
const folder = mkdtempSync(join(tmpdir(), 'inch-archive-'));
afterAll(async () => {
  rmSync(folder, { recursive: true });
  await pool.end();
});

const NOW = new Date('2026-05-20T18:00:00Z');

async function archived(actor: Member): Promise<string> {
  const path = join(folder, `${randomUUID()}.zip`);
  const about = { madeAt: NOW.toISOString(), academy: { id: actor.academyId, name: 'Somewhere' } };
  await pipeline(
    writeArchive(about, (take) => readTables(db, actor, take)),
    createWriteStream(path),
  );
  return path;
}

async function keep(actor: Member, path: string) {
  const archive = await openArchive(path);
  try {
    return await keepTables(db, actor, archive.manifest.academy.id, archive.tables());
  } finally {
    archive.close();
  }
}

const empty = (): Promise<Member> => {
  const slug = `archive-${randomUUID()}`;
  return addAcademy(db, NOW, { name: 'Empty', slug, email: `${slug}@test.example` });
};

/** All rows of an archive, by table. */
async function rowsOf(path: string): Promise<Record<string, object[]>> {
  const archive = await openArchive(path);
  const all: Record<string, object[]> = {};
  for await (const { table, rows } of archive.tables()) {
    all[table.name] = [];
    for await (const row of rows) all[table.name]!.push(row);
  }
  archive.close();
  return all;
}

const sorted = (rows: readonly unknown[]) => rows.map((row) => JSON.stringify(inOrder(row))).toSorted();
function inOrder(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(inOrder);
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value)
      .map(([name, of]) => [name, inOrder(of)] as const)
      .toSorted(([a], [b]) => (a < b ? -1 : 1)),
  );
}

/** What a board is made of: groups, whose weights are added up, in whatever order the rows come. */
const tallies = async (actor: Member, playerId: string) =>
  sorted((await tallyBalls(db, actor, playerId, { asOf: NOW }, 60)).map((one) => ({ ...one, weight: one.weight.toFixed(9) })));

/** The balls as they are, with the ids that they have elsewhere. */
async function ballsOf({ academyId }: Member, idOf: (id: string) => string): Promise<string[]> {
  const { rows } = await db.execute(
    sql`select to_jsonb(s) - 'academy_id' - 'server_seq' as ball from shot s where academy_id = ${academyId}`,
  );
  return sorted(rows.map(({ ball }) => withNewIds(ball, idOf)));
}

test('the whole demo academy goes out and in: every row and every ball is the same, and so is what the boards are made of', async () => {
  await loadDemo(db, NOW);
  const [{ id }] = (await db.execute<{ id: string }>(sql`select id from auth_organization where slug = 'lantern-hollow'`)).rows as [
    { id: string },
  ];
  const demo: Member = { kind: 'owner', academyId: id, userId: 'nobody' };
  const [path, there] = [await archived(demo), await empty()];
  const sums = await keep(there, path);
  expect(sums.map(({ table }) => table)).toEqual(ARCHIVE_TABLES.map(({ name }) => name));
  expect(sums.filter(({ known }) => known > 0)).toEqual([]);
  expect(sums.find(({ table }) => table === 'shot_event')!.added).toBeGreaterThan(2_000);

  const idOf = (old: string) => idFrom('archive', there.academyId, old);
  const [before, after] = [await rowsOf(path), await rowsOf(await archived(there))];
  for (const { name } of ARCHIVE_TABLES)
    expect([name, sorted(after[name]!)]).toEqual([name, sorted(before[name]!.map((row) => withNewIds(row, idOf)))]);
  expect(await ballsOf(there, (same) => same)).toEqual(await ballsOf(demo, idOf));
  for (const { player } of await listPlayers(db, demo))
    expect(await tallies(there, idOf(player.playerId))).toEqual(await tallies(demo, player.playerId));

  // Once more, and nothing changes.
  const again = await keep(there, path);
  expect(again.filter(({ table, added }) => added > 0 && table !== 'academy')).toEqual([]);
  expect(sorted((await rowsOf(await archived(there))).shot_event!)).toEqual(sorted(after.shot_event!));
}, 240_000);

/** A small academy with something in every corner. */
async function small() {
  const at = await academy();
  await takeIn(
    db,
    at.actor,
    at.sessionId,
    [0, 1, 2].map((turn) => own(at, record(game(), turn, left(4), turn + 1))),
  );
  await saveNote(db, at.actor, at.sessionId, at.playerId, 'coach', '=2+2 is no formula; “quoted”, \\ back, tab\tand\nline');
  await addNote(db, at.actor, at.playerId, randomUUID(), 'for coaches');
  return at;
}

/** What is made again, opens something, or stands aside: the tables, and the columns of others, that no archive has. */
const LEFT_OUT = [
  ...[
    'activity',
    'api_token',
    'brief',
    'device',
    'erasure_request',
    'group_coach',
    'import_row',
    'invitation',
    'player_link',
    'posterior',
    'reader_key',
    'reading',
    'refused_event',
    'report',
  ],
  'shot',
];
const MADE_AGAIN: Readonly<Record<string, string[]>> = {
  academy: ['delete_at'],
  guardian: ['user_id'],
  player: ['balls', 'erased_at', 'evidence_rev', 'last_at'],
  session: ['balls', 'over_from', 'scores_due', 'title'],
  session_player: ['game_id', 'game_version'],
  shot_event: ['server_seq'],
};

test('every table and column of an academy is in the archive, but for those that are left out on purpose', async () => {
  const { rows } = await db.execute<{ name: string; columns: string[] }>(sql`
    select table_name as name, array_agg(column_name::text) as columns from information_schema.columns
    where table_schema = 'public' group by table_name having bool_or(column_name = 'academy_id')`);
  expect(rows.map(({ name }) => name).toSorted()).toEqual([...LEFT_OUT, ...ARCHIVE_TABLES.map(({ name }) => name)].toSorted());
  for (const { name, columns } of ARCHIVE_TABLES) {
    const there = rows.find((row) => row.name === name)!.columns;
    expect([name, [...columns, 'academy_id', ...(MADE_AGAIN[name] ?? [])].toSorted()]).toEqual([name, there.toSorted()]);
  }
});

test('it goes into an academy that has something already, and into one on top of another', async () => {
  const [one, other] = [await small(), await small()];
  const sums = await keep(other.actor, await archived(one.actor));
  expect(sums.find(({ table }) => table === 'player')).toEqual({ table: 'player', added: 1, known: 0 });
  await keep(other.actor, await archived(one.actor));
  const done = await listActivity(db, other.actor, {}, 9);
  expect(done.map(({ who, what, about }) => [who, what, about])).toEqual([['Coach', 'keepTables', null]]);
  // What holds for a whole academy stays as it was.
  expect(sums.find(({ table }) => table === 'academy')).toEqual({ table: 'academy', added: 0, known: 1 });
  expect((await listPlayers(db, other.actor)).map(({ player }) => player.name)).toEqual(['Otto', 'Otto']);
  const notes = (await rowsOf(await archived(other.actor))).note as { text: string }[];
  expect(notes.filter(({ text }) => text === '=2+2 is no formula; “quoted”, \\ back, tab\tand\nline')).toHaveLength(2);
});

test('an archive of version 1, which had other tables for groups, goes in; one of version 2 with those does not', async () => {
  const { actor } = await small();
  const files = await unzipped(await archived(actor));
  const older = (version: number): Files => {
    const later = [...SINCE.keys()].map(fileOf);
    const kept = new Map([...files].filter(([name]) => !later.includes(name)));
    for (const name of GONE.keys()) kept.set(fileOf(name), Buffer.alloc(0));
    const said = JSON.parse(files.get(MANIFEST_FILE)!.toString()) as Manifest;
    const tables = [
      ...said.tables.filter(({ name }) => kept.has(fileOf(name))),
      ...[...GONE.keys()].map((name) => ({ ...said.tables[0]!, name })),
    ];
    kept.set(MANIFEST_FILE, Buffer.from(JSON.stringify({ ...said, version, tables })));
    return honest(kept);
  };
  const path = join(folder, 'version-1.zip');
  writeFileSync(path, await zipped(older(1)));
  const there = await empty();
  expect((await keep(there, path)).find(({ table }) => table === 'shot_event')).toEqual({ table: 'shot_event', added: 3, known: 0 });
  writeFileSync(path, await zipped(older(2)));
  await expect(keep(await empty(), path)).rejects.toThrow('This isn’t an archive of this program.');
});

test('it goes back into the academy from which it is only where that is empty', async () => {
  const { actor } = await small();
  const path = await archived(actor);
  await expect(keep(actor, path)).rejects.toThrow('This archive is from this academy');
  for (const name of ['shot_event', 'session', 'note', 'player', 'game'])
    await db.execute(sql`delete from ${sql.identifier(name)} where academy_id = ${actor.academyId}`);
  expect((await keep(actor, path)).find(({ table }) => table === 'shot_event')).toEqual({ table: 'shot_event', added: 3, known: 0 });
});

test('whoever stops it half way, or goes away, keeps nothing of it', async () => {
  const { actor } = await small();
  const [path, there] = [await archived(actor), await empty()];
  for (const until of ['player', 'session', 'shot_event']) {
    const archive = await openArchive(path);
    const stopped = keepTables(db, there, archive.manifest.academy.id, archive.tables(), (step) => {
      if ('table' in step && step.table === until) throw new Error('gone');
    });
    await expect(stopped).rejects.toThrow('gone');
    archive.close();
    const rows = await rowsOf(await archived(there));
    expect([until, rows.player, rows.game, rows.session, rows.shot_event]).toEqual([until, [], [], [], []]);
  }
});

test('of somebody who is being erased nothing goes out', async () => {
  const { actor } = await small();
  await db.execute(sql`update player set erased_at = now() where academy_id = ${actor.academyId}`);
  const rows = await rowsOf(await archived(actor));
  expect([rows.player, rows.session, rows.shot_event, rows.note]).toEqual([[], [], [], []]);
});

async function zipped(files: Files): Promise<Buffer> {
  const zip = new ZipFile();
  for (const [name, bytes] of files) zip.addBuffer(bytes, name);
  zip.end();
  return buffer(zip.outputStream as Readable);
}

/** With a manifest that is right about what is in it, however senseless that is. */
function honest(files: Files, change: (manifest: Manifest) => void = () => undefined): Files {
  const manifest = JSON.parse(files.get(MANIFEST_FILE)!.toString()) as Manifest;
  for (const table of manifest.tables) {
    const bytes = files.get(fileOf(table.name))!;
    Object.assign(table, {
      bytes: bytes.length,
      rows: bytes.filter((byte) => byte === 10).length,
      sha256: createHash('sha256').update(bytes).digest('hex'),
    });
  }
  change(manifest);
  return new Map([...files, [MANIFEST_FILE, Buffer.from(JSON.stringify(manifest))]]);
}

type Row = Record<string, unknown>;
const NONSENSE: readonly unknown[] = [
  null,
  -1,
  1e300,
  'word',
  '',
  [],
  {},
  true,
  '2026-99-99T00:00:00Z',
  'x'.repeat(5_000),
  { version: 99 },
];

/** A row of some table changed in a way that makes no sense. */
function withRow(files: Files, random: Random, change: (row: Row, name: string) => Row[]): Files | null {
  const filled = ARCHIVE_TABLES.filter(({ name }) => files.get(fileOf(name))!.length > 0);
  const { name } = random.pick(filled);
  const lines = files.get(fileOf(name))!.toString().trimEnd().split('\n');
  const at = random.below(lines.length);
  const rows = change(JSON.parse(lines[at]!) as Row, name);
  const changed = lines.flatMap((line, i) => (i === at ? rows.map((row) => JSON.stringify(row)) : [line]));
  return honest(new Map([...files, [fileOf(name), Buffer.from(changed.map((line) => `${line}\n`).join(''))]]));
}

/** Ways in which a file can be none that this program wrote: each gives bytes. */
const WAYS: Readonly<Record<string, (files: Files, whole: Buffer, random: Random) => Promise<Buffer>>> = {
  cut: async (_, whole, random) => whole.subarray(0, random.below(whole.length)),
  garbled: async (_, whole, random) => {
    const bytes = Buffer.from(whole);
    for (let i = 0; i < 20; i++) bytes[random.below(bytes.length)] = random.below(256);
    return bytes;
  },
  'a table changed after it was written': async (files, _, random) => {
    const name = random.pick([...files.keys()].filter((one) => one !== MANIFEST_FILE && files.get(one)!.length > 0));
    const bytes = Buffer.from(files.get(name)!);
    bytes[random.below(bytes.length)]! ^= 1 + random.below(255);
    return zipped(new Map([...files, [name, bytes]]));
  },
  'a row twice': async (files, _, random) => zipped(withRow(files, random, (row) => [row, row])!),
  'a field that makes no sense': async (files, _, random) =>
    zipped(
      withRow(files, random, (row, name) => {
        const table = ARCHIVE_TABLES.find((one) => one.name === name)!;
        for (let tries = 0; ; tries++) {
          const changed = { ...row, [random.pick(Object.keys(row))]: random.pick(NONSENSE) };
          // Some of it makes sense somewhere.
          if (!table.row.safeParse(changed).success) return [changed];
          if (tries > 500) throw new Error(`${name} takes everything`);
        }
      })!,
    ),
  'a field too many or too few': async (files, _, random) =>
    zipped(
      withRow(files, random, (row) => {
        // A shoe is of no older form, and may be left out.
        const { [random.pick(Object.keys(row).filter((name) => name !== 'shoe_m'))]: gone, ...rest } = row;
        return [random.below(2) === 0 ? { ...row, moreover: gone ?? 1 } : rest];
      })!,
    ),
  'a row of nobody': async (files, _, random) => {
    // An id that stands in two places is changed in one.
    const names = ['club', 'session_player', 'hour_player', 'note', 'shot_event', 'game_version'].filter(
      (name) => files.get(fileOf(name))!.length > 0,
    );
    const name = random.pick(names);
    const lines = files.get(fileOf(name))!.toString().trimEnd().split('\n');
    const row = JSON.parse(lines[0]!) as Row & { payload?: object };
    const column = ['session_id', 'game_id', 'player_id', 'hour_id'].find((one) => row[one])!;
    const lost = { ...row, [column]: randomUUID(), ...(row.payload ? { payload: { ...row.payload, [camel(column)]: randomUUID() } } : {}) };
    return zipped(
      honest(
        new Map([...files, [fileOf(name), Buffer.from([JSON.stringify(lost), ...lines.slice(1)].map((line) => `${line}\n`).join(''))]]),
      ),
    );
  },
  'a table missing, or a file too many': async (files, _, random) => {
    const fewer = new Map(files);
    if (random.below(2) === 0) fewer.delete(fileOf(random.pick(ARCHIVE_TABLES).name));
    else fewer.set(random.pick(['../../etc/passwd.txt', 'tables/more.jsonl', 'notes.txt']).replace('../../', ''), Buffer.from('x'));
    return zipped(fewer);
  },
  'a newer or a foreign one': async (files, _, random) =>
    zipped(
      honest(files, (manifest) =>
        Object.assign(manifest, random.pick([{ version: 99 }, { format: 'another' }, { tables: [] }, { madeAt: 'then' }, { version: 0 }])),
      ),
    ),
  'no archive at all': async (_, __, random) =>
    random.pick([Buffer.from(''), Buffer.from('date,player\n2026,Otto\n'), await zipped(new Map([['a.txt', Buffer.from('hello')]]))]),
  'a huge field, or far more than it seems': async (files, _, random) => {
    const huge = random.below(2) === 0 ? Buffer.alloc(20_000_000, 'a') : Buffer.from(`{"a":"${'b'.repeat(6_000_000)}"}\n`);
    return zipped(honest(new Map([...files, [fileOf('shot_event'), huge]])));
  },
};
const camel = (column: string) => column.replace(/_(.)/g, (_, letter: string) => letter.toUpperCase());

test('three hundred files that are broken, doubled, foreign or senseless are refused with a reason, and nothing of them is kept', async () => {
  const { actor } = await small();
  const path = await archived(actor);
  const [files, whole] = [await unzipped(path), readFileSync(path)];
  const there = await empty();
  const counts = async () => {
    const each = await Promise.all(
      [...ARCHIVE_TABLES.map(({ name }) => name), 'shot'].map(async (name) => {
        const { rows } = await db.execute<{ n: string }>(
          sql`select count(*) as n from ${sql.identifier(name)} where academy_id = ${there.academyId}`,
        );
        return [name, Number(rows[0]!.n)];
      }),
    );
    return Object.fromEntries(each) as Record<string, number>;
  };
  const before = await counts();
  const random = seededRandom(31);
  const reasons = new Map<string, Set<string>>();
  const broken = join(folder, 'broken.zip');
  for (let i = 0; i < 300; i++) {
    const way = Object.keys(WAYS)[i % Object.keys(WAYS).length]!;
    writeFileSync(broken, await WAYS[way]!(files, whole, random));
    const refused = await keep(there, broken).then(
      () => null,
      (error: Error) => error,
    );
    if (!(refused instanceof BrokenArchive)) throw new Error(`${i}, ${way}: ${refused?.stack ?? 'was kept'}`);
    reasons.set(way, (reasons.get(way) ?? new Set()).add(refused.message));
  }
  expect(await counts()).toEqual(before);
  for (const said of [...reasons.values()].flatMap((all) => [...all])) expect(said).toMatch(/^[A-Z].{10,300}$/s);
  // The same academy takes the whole one afterwards.
  expect((await keep(there, path)).find(({ table }) => table === 'player')!.added).toBe(1);
}, 240_000);

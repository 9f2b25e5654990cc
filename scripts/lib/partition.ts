import type { ClientBase } from 'pg';

/** The tables that grow with what is played: each begins its key with the academy. */
export const GROWING = ['session', 'session_player', 'shot_event', 'shot', 'posterior'] as const;

type Named = { table: string; name: string; definition: string };

/**
 * Lays tables out in partitions by a hash of the academy, in one transaction: columns, rows, keys, foreign keys in both directions, triggers and rights
 * stay as they were. A column that numbers itself takes its numbers from a sequence, as PostgreSQL before 17 wants it of partitions.
 * @param parts how many partitions of each
 * @throws where a table's key does not begin with the academy
 */
export async function partition(client: ClientBase, tables: readonly string[], parts: number): Promise<void> {
  const rows = async <Row extends object>(text: string, values: unknown[] = []) => (await client.query<Row>(text, values)).rows;
  await client.query('begin');
  await client.query('set local statement_timeout = 0');
  const foreign = await rows<Named>(
    `select conrelid::regclass::text as table, conname as name, pg_get_constraintdef(oid) as definition from pg_constraint
     where contype = 'f' and conparentid = 0 and (conrelid = any ($1::regclass[]) or confrelid = any ($1::regclass[]))`,
    [tables],
  );
  const triggers = await rows<Named>(
    `select tgrelid::regclass::text as table, tgname as name, pg_get_triggerdef(oid) as definition from pg_trigger
     where not tgisinternal and tgrelid = any ($1::regclass[])`,
    [tables],
  );
  for (const { table, name } of foreign) await client.query(`alter table ${table} drop constraint "${name}"`);
  for (const table of tables) {
    const numbered = await rows<{ column: string; sequence: string }>(
      `select attname as column, relname as sequence from pg_attribute
       join pg_class c on c.oid = pg_get_serial_sequence($1, attname)::regclass where attrelid = $1::regclass and attidentity <> ''`,
      [table],
    );
    const columns = await rows<{ column: string }>(
      `select quote_ident(attname) as column from pg_attribute where attrelid = $1::regclass and attnum > 0 and not attisdropped and attgenerated = '' order by attnum`,
      [table],
    );
    const keys = await rows<Named>(
      `select conrelid::regclass::text as table, conname as name, pg_get_constraintdef(oid) as definition from pg_constraint
       where contype in ('p', 'u') and conrelid = $1::regclass`,
      [table],
    );
    const indexes = await rows<Named>(
      `select indrelid::regclass::text as table, indexrelid::regclass::text as name, pg_get_indexdef(indexrelid) as definition from pg_index
       where indrelid = $1::regclass and not exists (select 1 from pg_constraint where conindid = indexrelid)`,
      [table],
    );
    const granted = await rows<{ role: string; right: string }>(
      `select grantee as role, privilege_type as right from information_schema.role_table_grants where table_name = $1 and grantee <> current_user`,
      [table],
    );
    await client.query(`alter table ${table} rename to ${table}_before`);
    await client.query(
      `create table ${table} (like ${table}_before including all excluding indexes excluding identity) partition by hash (academy_id)`,
    );
    for (let part = 0; part < parts; part++)
      await client.query(
        `create table ${table}_${String(part).padStart(2, '0')} partition of ${table} for values with (modulus ${parts}, remainder ${part})`,
      );
    const list = columns.map(({ column }) => column).join(', ');
    await client.query(`insert into ${table} (${list}) select ${list} from ${table}_before`);
    const next = new Map<string, number>();
    for (const { column } of numbered)
      next.set(column, (await rows<{ at: number }>(`select (coalesce(max(${column}), 0) + 1)::float8 as at from ${table}_before`))[0]!.at);
    await client.query(`drop table ${table}_before`);
    // Functions know a sequence by its name.
    for (const { column, sequence } of numbered) {
      await client.query(`create sequence ${sequence} start ${next.get(column)!} owned by ${table}.${column}`);
      await client.query(`alter table ${table} alter column ${column} set default nextval('${sequence}')`);
    }
    for (const { name, definition } of keys) await client.query(`alter table ${table} add constraint "${name}" ${definition}`);
    for (const { definition } of indexes) await client.query(definition);
    for (const { role, right } of granted) await client.query(`grant ${right} on ${table} to "${role}"`);
  }
  for (const { table, name, definition } of foreign) await client.query(`alter table ${table} add constraint "${name}" ${definition}`);
  for (const { definition } of triggers) await client.query(definition);
  await client.query('commit');
  await client.query('vacuum analyze');
}

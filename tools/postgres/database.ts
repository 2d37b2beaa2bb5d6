import pg from 'pg';

/** Runs one statement through a connection of its own. */
export async function execute(url: string, sql: string, values: unknown[] = []) {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  try {
    return await client.query(sql, values);
  } finally {
    await client.end();
  }
}

/** What the application works as: it owns its tables, and nothing of the server. */
export const applicationRole = 'wide_fern';

/** Hands everything in the database to the application's role: what an earlier version made belonged to the superuser. */
const handOver = `do $$
declare
  one record;
begin
  for one in
    select format('alter %s %I.%I owner to ${applicationRole}',
      case relkind when 'S' then 'sequence' when 'v' then 'view' else 'table' end, nspname, relname) as act
    from pg_class join pg_namespace on pg_namespace.oid = relnamespace
    where nspname = 'public' and relkind in ('r', 'p', 'v', 'S')
      and relowner <> '${applicationRole}'::regrole
      and not exists (select 1 from pg_depend where pg_depend.objid = pg_class.oid and deptype = 'a' and relkind = 'S')
    union all
    select format('alter function %s owner to ${applicationRole}', pg_proc.oid::regprocedure)
    from pg_proc join pg_namespace on pg_namespace.oid = pronamespace
    where nspname = 'public' and proowner <> '${applicationRole}'::regrole
  loop
    execute one.act;
  end loop;
end $$`;

/** Makes the application's role where it is missing, and has it own its database. */
export async function ensureRole(
  url: (database: string) => string,
  database: string,
): Promise<void> {
  const { rowCount } = await execute(url('postgres'), 'select 1 from pg_roles where rolname = $1', [
    applicationRole,
  ]);
  if (rowCount === 0) {
    await execute(
      url('postgres'),
      `create role ${applicationRole} login nosuperuser nocreatedb nocreaterole`,
    );
  }
  await execute(url('postgres'), `alter database ${database} owner to ${applicationRole}`);
  await execute(url(database), `alter schema public owner to ${applicationRole}`);
  await execute(url(database), handOver);
}

/** Makes a database when it is not there yet. */
export async function ensureDatabase(url: (name: string) => string, name: string): Promise<void> {
  const { rowCount } = await execute(
    url('postgres'),
    'select 1 from pg_database where datname = $1',
    [name],
  );
  if (rowCount === 0) await execute(url('postgres'), `create database ${name}`);
}

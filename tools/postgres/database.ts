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

/** Makes a database when it is not there yet. */
export async function ensureDatabase(url: (name: string) => string, name: string): Promise<void> {
  const { rowCount } = await execute(
    url('postgres'),
    'select 1 from pg_database where datname = $1',
    [name],
  );
  if (rowCount === 0) await execute(url('postgres'), `create database ${name}`);
}

import pg from "pg";

/**
 * Everything written so far, table by table, to see that a refused form has changed nothing. What is derived
 * is left out: any page may bring it up to date; so is how devices were when they were asked last.
 */
export async function written(databaseUrl: string): Promise<Record<string, string>> {
  const client = new pg.Client(databaseUrl);
  await client.connect();
  try {
    const { rows: tables } = await client.query<{ name: string }>(
      "select table_name as name from information_schema.tables where table_schema = 'public' and table_name not in ('plant_states', 'assessments', 'carriage', 'case_numbers', 'sensors') order by 1",
    );
    const all: Record<string, string> = {};
    for (const { name } of tables) {
      const { rows } = await client.query<{ digest: string }>(
        `select count(*) || ' ' || coalesce(md5(string_agg(t::text, '|' order by t::text)), '') as digest from "${name}" t`,
      );
      all[name] = rows[0]!.digest;
    }
    return all;
  } finally {
    await client.end();
  }
}

async function firstRow<T extends pg.QueryResultRow>(databaseUrl: string, sql: string): Promise<T | undefined> {
  const client = new pg.Client(databaseUrl);
  await client.connect();
  const { rows } = await client.query<T>(sql).finally(() => client.end());
  return rows[0];
}

/** The id in the first row that a query gives, for a page to open. */
export async function idOf(databaseUrl: string, sql: string): Promise<string> {
  return (await firstRow<{ id: string }>(databaseUrl, sql))!.id;
}

/** The number `n` in the first row that a query gives; null where there is none. */
export async function numberOf(databaseUrl: string, sql: string): Promise<number | null> {
  return (await firstRow<{ n: number }>(databaseUrl, sql))?.n ?? null;
}

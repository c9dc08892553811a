import type pg from "pg";

/** Rows of every table as they were once, kept beside the tables themselves. */
const KEPT = "snapshot";

async function tablesOf(client: pg.Client): Promise<string[]> {
  const sql = `select table_name as name from information_schema.tables
    where table_schema = 'public' and table_type = 'BASE TABLE' and table_name <> 'migrations' order by 1`;
  return (await client.query<{ name: string }>(sql)).rows.map(({ name }) => `"${name}"`);
}

/** Keeps everything as it is now. */
export async function takeSnapshot(client: pg.Client): Promise<void> {
  await client.query(`create schema ${KEPT}`);
  for (const table of await tablesOf(client))
    await client.query(`create table ${KEPT}.${table} as table public.${table}`);
}

/** What is counted up with each change; a job that still reckons from before then finds that its facts have changed. */
const counters = {
  plant_states: ["facts_version"],
  assessments: ["facts_version"],
  case_numbers: ["facts_version"],
  carriage: ["wanted", "reckoned", "turn"],
  carriage_turns: ["turn", "touches"],
} as const;
const APART = 1_000_000;

/** What a statement fails with where two wait for each other (SQLSTATE). */
const DEADLOCK = "40P01";

/**
 * Puts everything back to how it was kept; `time` counts how often that has been done. What the story before has set going may still be
 * at the same rows: of two that wait for each other one is ended, and where it is this one, it begins anew.
 */
export async function putBack(client: pg.Client, time: number): Promise<void> {
  for (let attempt = 1; ; attempt++)
    try {
      return await putAllBack(client, time);
    } catch (cause) {
      await client.query("rollback");
      if ((cause as { code?: unknown }).code !== DEADLOCK || attempt === 5) throw cause;
    }
}

async function putAllBack(client: pg.Client, time: number): Promise<void> {
  const tables = await tablesOf(client);
  await client.query("begin");
  // What refers to what is in the rows themselves.
  await client.query("set local session_replication_role = replica");
  await client.query(`truncate ${tables.map((table) => `public.${table}`).join(", ")}`);
  for (const table of tables) await client.query(`insert into public.${table} select * from ${KEPT}.${table}`);
  for (const [table, columns] of Object.entries(counters))
    await client.query(`update ${table} set ${columns.map((one) => `${one} = ${one} + ${time * APART}`).join(", ")}`);
  await client.query("commit");
}

import { QueryTypes, type Sequelize } from "sequelize";
import { v7 as uuidv7 } from "uuid";

/** Tables of a collection, each after those it refers to. */
async function tables(sequelize: Sequelize): Promise<{ name: string; columns: string[] }[]> {
  const found = await sequelize.query<{ name: string; columns: string[]; refers: string[] }>(
    `select c.table_name as name, array_agg(c.column_name::text) as columns, array(
       select distinct r.confrelid::regclass::text from pg_constraint r
       where r.contype = 'f' and r.conrelid = c.table_name::regclass and r.confrelid <> r.conrelid) as refers
     from information_schema.columns c
     where c.table_schema = 'public' and c.table_name in (
       select table_name from information_schema.columns where table_schema = 'public' and column_name = 'collection_id')
     and c.table_name not in ('memberships', 'doings') group by c.table_name`,
    { type: QueryTypes.SELECT },
  );
  const sorted: typeof found = [];
  const left = [...found];
  while (left.length > 0) {
    const at = left.findIndex(({ refers }) => refers.every((one) => !left.some(({ name }) => name === one)));
    sorted.push(...left.splice(Math.max(0, at), 1));
  }
  return sorted;
}

/** The same collection once more under another name. Its ids stay: every key begins with the collection's own. */
export async function copyCollection(sequelize: Sequelize, from: string, name: string): Promise<string> {
  const to = uuidv7();
  const all = await tables(sequelize);
  await sequelize.transaction(async (transaction) => {
    const run = (sql: string) => sequelize.query(sql, { replacements: { from, to, name }, transaction });
    await run("select set_config('session_replication_role', 'replica', true)");
    const [columns] = (await run(
      "select string_agg(quote_ident(column_name), ', ') as names from information_schema.columns where table_name = 'collections' and table_schema = 'public' and column_name not in ('id', 'name')",
    )) as unknown as [{ names: string }[]];
    const names = columns[0]!.names;
    await run(
      `insert into collections (id, name, ${names}) select :to, :name, ${names} from collections where id = :from`,
    );
    await run("select set_config('wary.collection', :from, true)");
    for (const table of all) {
      const rest = table.columns
        .filter((column) => column !== "collection_id")
        .map((column) => `"${column}"`)
        .join(", ");
      // Rows of both collections are seen at once only by whoever passes the wall.
      await run(
        `insert into "${table.name}" (collection_id, ${rest}) select :to, ${rest} from "${table.name}" where collection_id = :from`,
      );
    }
  });
  return to;
}

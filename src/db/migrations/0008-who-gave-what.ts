import type { QueryInterface } from "sequelize";

/** Which plants a plant may have got something from, as "pest id": read for thousands of plants at once. */
export async function up({ context }: { context: QueryInterface }) {
  await context.sequelize.query(`
    alter table carriage add column sources text[] not null default '{}';
    update carriage set sources = array(
      select distinct way ->> 'pest' || ' ' || (way ->> 'plantId') from jsonb_array_elements(result -> 'routes') way
      where way ->> 'plantId' is not null)
    where result is not null;
  `);
}

export async function down({ context }: { context: QueryInterface }) {
  await context.sequelize.query("alter table carriage drop column sources");
}

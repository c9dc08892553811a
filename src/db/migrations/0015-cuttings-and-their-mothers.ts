import type { QueryInterface } from "sequelize";

/** A cutting is a plant of its own that knows its mother, and what that may have carried on the day it was taken. */
export async function up({ context }: { context: QueryInterface }) {
  await context.sequelize.query(`
    alter table plants
      add column mother_id uuid,
      add column inherits jsonb not null default '{}',
      add constraint plants_mother foreign key (collection_id, mother_id) references plants (collection_id, id)
        deferrable initially deferred,
      add constraint plants_not_its_own_mother check (mother_id is distinct from id);
    create index plants_by_mother on plants (collection_id, mother_id) where mother_id is not null;
  `);
}

export async function down({ context }: { context: QueryInterface }) {
  await context.sequelize.query("alter table plants drop column mother_id, drop column inherits");
}

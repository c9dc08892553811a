import type { QueryInterface } from "sequelize";

/** A photo of a place may be that of a sticky card, beside the number that was counted on it. */
export async function up({ context }: { context: QueryInterface }) {
  await context.sequelize.query(`
    alter table place_photos add column count_id uuid,
      add foreign key (collection_id, count_id) references trap_counts (collection_id, id) on delete cascade;
    create index place_photos_by_count on place_photos (collection_id, count_id) where count_id is not null;
  `);
}

export async function down({ context }: { context: QueryInterface }) {
  await context.sequelize.query("alter table place_photos drop column count_id;");
}

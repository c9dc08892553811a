import type { QueryInterface } from "sequelize";

/**
 * Two devices on one walk may both look at a plant, or leave it out, before they hear of each other. Both are kept with the walk:
 * were only the first that arrives, the walk would depend on the order of arrival as soon as that one is taken back.
 */
export async function up({ context }: { context: QueryInterface }) {
  await context.sequelize.query(`
    drop index looks_one_per_walk;
    drop index skips_one_per_walk;
    create index skips_by_walk on skips (collection_id, walk_id);
  `);
}

export async function down({ context }: { context: QueryInterface }) {
  await context.sequelize.query(`
    update looks k set walk_id = null where walk_id is not null and voided_at is null and exists (
      select 1 from looks o where o.collection_id = k.collection_id and o.walk_id = k.walk_id and o.plant_id = k.plant_id
        and o.voided_at is null and o.id < k.id);
    delete from skips k where voided_at is null and exists (
      select 1 from skips o where o.collection_id = k.collection_id and o.walk_id = k.walk_id and o.plant_id = k.plant_id
        and o.voided_at is null and o.id < k.id);
    drop index skips_by_walk;
    create unique index skips_one_per_walk on skips (collection_id, walk_id, plant_id) where voided_at is null;
    create unique index looks_one_per_walk on looks (collection_id, walk_id, plant_id)
      where voided_at is null and walk_id is not null;
  `);
}

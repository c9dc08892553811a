import type { QueryInterface } from "sequelize";

/** What other keepers' records have taught, as it was read in, and what that comes to; and what a look was expected to find. */
export async function up({ context }: { context: QueryInterface }) {
  await context.sequelize.query(`
    alter table collections add column experience jsonb, add column told_elsewhere jsonb;
    alter table looks add column p_find double precision check (p_find between 0 and 1),
      add column p_passed double precision check (p_passed between 0 and 1),
      add column passes double precision check (passes > 0),
      add check ((p_find is null) = (p_passed is null) and (p_find is null) = (passes is null));
    create index looks_expected on looks (collection_id, happened_at) include (p_find, p_passed, passes)
      where p_find is not null and voided_at is null;
  `);
}

export async function down({ context }: { context: QueryInterface }) {
  await context.sequelize.query(`
    alter table collections drop column experience, drop column told_elsewhere;
    alter table looks drop column p_find, drop column p_passed, drop column passes;
  `);
}

import type { QueryInterface } from "sequelize";

/** What is done against something without a name belongs to no case and no pest; the plan of a case belongs to both. */
export async function up({ context }: { context: QueryInterface }) {
  await context.sequelize.query(`
    alter table programmes
      alter column case_id drop not null,
      alter column pest drop not null,
      add constraint programmes_of_a_case check (
        (programme = 'unnamed') = (case_id is null) and (programme = 'unnamed') = (pest is null)
      );
    create index programmes_without_a_name on programmes (collection_id, plant_id) where programme = 'unnamed';
  `);
}

export async function down({ context }: { context: QueryInterface }) {
  await context.sequelize.query(`
    delete from programme_steps s using programmes p
      where s.collection_id = p.collection_id and s.programme_id = p.id and p.programme = 'unnamed';
    delete from programmes where programme = 'unnamed';
    alter table programmes
      drop constraint programmes_of_a_case,
      alter column case_id set not null,
      alter column pest set not null;
    drop index programmes_without_a_name;
  `);
}

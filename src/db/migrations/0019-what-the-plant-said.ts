import type { QueryInterface } from "sequelize";

/** A plant may also have borne a treatment well, and oil tells by its gloss how strong it was. */
export async function up({ context }: { context: QueryInterface }) {
  await context.sequelize.query(`
    alter table reactions drop constraint reactions_what_check;
    alter table reactions add constraint reactions_what_check
      check (what in ('nothing', 'stain', 'scorch', 'lostFlowers', 'lostBloom', 'rot', 'matt', 'tacky'));
    create index acts_lately on acts (collection_id, happened_at);
  `);
}

export async function down({ context }: { context: QueryInterface }) {
  await context.sequelize.query(`
    delete from reactions where what in ('nothing', 'matt', 'tacky');
    alter table reactions drop constraint reactions_what_check;
    alter table reactions add constraint reactions_what_check
      check (what in ('stain', 'scorch', 'lostFlowers', 'lostBloom', 'rot'));
    drop index acts_lately;
  `);
}

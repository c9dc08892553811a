import type { QueryInterface } from "sequelize";

/** Codes of plants and names of places sort as people count: O2 before O10, whatever their letters' case. */
export async function up({ context }: { context: QueryInterface }) {
  await context.sequelize.query(`
    create collation natural_order (provider = icu, locale = 'und-u-kn-true');
    alter table plants alter column code type text collate natural_order;
    alter table places alter column name type text collate natural_order;
  `);
}

export async function down({ context }: { context: QueryInterface }) {
  await context.sequelize.query(`
    alter table places alter column name type text collate "default";
    alter table plants alter column code type text collate "default";
    drop collation natural_order;
  `);
}

import type { QueryInterface } from "sequelize";

/**
 * What other keepers' records have taught says what passes from plant to plant as well; until it is read in anew it says nothing of that. Eyes
 * had been taken for better than they are: what was kept of them is left out.
 */
export async function up({ context }: { context: QueryInterface }) {
  await context.sequelize.query(`
    update collections set told_elsewhere = told_elsewhere || '{"eyes": [], "passing": {"looks": 0, "precision": 0, "pull": 0}}'
      where told_elsewhere is not null;
  `);
}

export async function down({ context }: { context: QueryInterface }) {
  await context.sequelize.query(`update collections set told_elsewhere = told_elsewhere - 'passing'`);
}

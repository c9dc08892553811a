import type { QueryInterface } from "sequelize";

/** Whose numbers judgements begin with: ours, ours and the keeper's own together, or the keeper's own. */
export async function up({ context }: { context: QueryInterface }) {
  await context.sequelize.query(`
    alter table collections
      add column numbers text not null default 'mixed' check (numbers in ('ours', 'mixed', 'mine'));
  `);
}

export async function down({ context }: { context: QueryInterface }) {
  await context.sequelize.query("alter table collections drop column numbers;");
}

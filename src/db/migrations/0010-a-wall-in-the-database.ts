import type { QueryInterface } from "sequelize";

/** What belongs to a collection. Who may come in, and what was done, is asked before it is known which collection it is about. */
const TABLES = [
  ...[
    "acts",
    "assessments",
    "carriage",
    "carriage_turns",
    "case_numbers",
    "cases",
    "cleanings",
    "closings",
    "exposures",
  ],
  ...["finds", "looks", "photos", "place_photos", "placements", "places", "plant_states", "plants", "programme_steps"],
  ...["programmes", "reactions", "readings", "skips", "walk_plants", "walks"],
];

/** Rows are seen and written only by sessions that have said which collection they are about, whatever their query says. */
export async function up({ context }: { context: QueryInterface }) {
  for (const table of TABLES)
    await context.sequelize.query(`
      alter table ${table} enable row level security;
      alter table ${table} force row level security;
      create policy of_its_collection on ${table}
        using (collection_id = nullif(current_setting('wary.collection', true), '')::uuid);
    `);
}

export async function down({ context }: { context: QueryInterface }) {
  for (const table of TABLES)
    await context.sequelize.query(`
      drop policy of_its_collection on ${table};
      alter table ${table} no force row level security;
      alter table ${table} disable row level security;
    `);
}

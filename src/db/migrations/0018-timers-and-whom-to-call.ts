import type { QueryInterface } from "sequelize";

/** Where to call; and what is waited for, so that another device shows it too. It is no fact: nothing is reckoned from it, and it goes when it is over. */
export async function up({ context }: { context: QueryInterface }) {
  await context.sequelize.query(`
    alter table collections add column poison_centre text not null default '';
    create table timers (
      collection_id uuid not null references collections (id),
      id uuid not null,
      plant_id uuid,
      what text not null,
      started_at timestamptz not null,
      ends_at timestamptz not null,
      ended_at timestamptz,
      started_by text not null,
      primary key (collection_id, id),
      foreign key (collection_id, plant_id) references plants (collection_id, id),
      check (ends_at > started_at)
    );
    create index timers_running on timers (collection_id, ends_at) where ended_at is null;
    alter table timers enable row level security;
    alter table timers force row level security;
    create policy of_its_collection on timers
      using (collection_id = nullif(current_setting('wary.collection', true), '')::uuid);
  `);
}

export async function down({ context }: { context: QueryInterface }) {
  await context.sequelize.query("drop table timers; alter table collections drop column poison_centre");
}

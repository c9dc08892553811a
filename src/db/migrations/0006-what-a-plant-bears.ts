import type { QueryInterface } from "sequelize";

export async function up({ context }: { context: QueryInterface }) {
  await context.sequelize.query(`
    -- Buds and open flowers are two things; what a keeper knows of one plant beside its kind.
    alter table plants
      add column in_bud boolean not null default false,
      add column care_added text[] not null default '{}',
      add column care_without text[] not null default '{}',
      add check (not care_added && care_without);

    -- What a case has told of the keeper's hand when it was closed: it is where the next one begins.
    alter table closings add column reach jsonb;

    -- Leaves that opened since a day and carry no mark are a look, too.
    alter table looks add column new_leaves integer check (new_leaves between 1 and 200);

    -- How a plant has borne a treatment.
    create table reactions (
      collection_id uuid not null,
      id uuid not null,
      plant_id uuid not null,
      mix text not null,
      technique text not null,
      what text not null check (what in ('stain', 'scorch', 'lostFlowers', 'lostBloom', 'rot')),
      note text not null,
      happened_at timestamptz not null,
      recorded_at timestamptz not null,
      recorded_by text not null default '' check (length(recorded_by) <= 60),
      voided_at timestamptz,
      void_reason text check ((void_reason is null) = (voided_at is null)),
      primary key (collection_id, id),
      check (happened_at <= recorded_at + interval '5 minutes'),
      foreign key (collection_id, plant_id) references plants (collection_id, id) on delete cascade
    );
    create index reactions_by_plant on reactions (collection_id, plant_id, happened_at);
  `);
}

export async function down({ context }: { context: QueryInterface }) {
  await context.sequelize.query(`
    drop table reactions;
    alter table closings drop column reach;
    alter table looks drop column new_leaves;
    alter table plants drop column in_bud, drop column care_added, drop column care_without;
  `);
}

import type { QueryInterface } from "sequelize";

const ofWalk = "foreign key (collection_id, walk_id) references walks (collection_id, id) on delete cascade";
const ofPlant = "foreign key (collection_id, plant_id) references plants (collection_id, id) on delete cascade";

export async function up({ context }: { context: QueryInterface }) {
  await context.sequelize.query(`
    alter table collections
      add column hemisphere text not null default 'north' check (hemisphere in ('north', 'south'));

    create table walks (
      collection_id uuid not null references collections on delete cascade,
      id uuid not null,
      scope text not null check (scope in ('place', 'due', 'everything', 'arrivals')),
      place_id uuid,
      tool text not null,
      round text not null check (round in ('likely', 'all', 'own')),
      started_at timestamptz not null,
      ended_at timestamptz check (ended_at >= started_at),
      recorded_at timestamptz not null,
      primary key (collection_id, id),
      foreign key (collection_id, place_id) references places (collection_id, id),
      check ((scope = 'place') = (place_id is not null))
    );
    create index walks_by_start on walks (collection_id, started_at);

    -- What the walk holds, as it stood when the walk began: its order is the same on every device.
    create table walk_plants (
      collection_id uuid not null,
      walk_id uuid not null,
      plant_id uuid not null,
      place_id uuid not null,
      state text not null check (state in ('clear', 'overdue', 'new', 'atRisk', 'infested', 'surer')),
      petals integer not null check (petals between 0 and 5),
      apart boolean not null,
      primary key (collection_id, walk_id, plant_id),
      ${ofWalk},
      ${ofPlant},
      foreign key (collection_id, place_id) references places (collection_id, id)
    );

    create table skips (
      collection_id uuid not null,
      id uuid not null,
      walk_id uuid not null,
      plant_id uuid not null,
      reason text not null check (reason in ('notThere', 'outOfReach', 'underTreatment', 'lookedJustNow', 'noTime')),
      skipped_at timestamptz not null,
      recorded_at timestamptz not null,
      voided_at timestamptz,
      void_reason text check ((void_reason is null) = (voided_at is null)),
      primary key (collection_id, id),
      ${ofWalk},
      ${ofPlant},
      check (skipped_at <= recorded_at + interval '5 minutes')
    );
    create unique index skips_one_per_walk on skips (collection_id, walk_id, plant_id) where voided_at is null;

    alter table looks
      add column walk_id uuid,
      -- False when one side of the plant stayed unseen.
      add column turned boolean not null default true,
      -- Signs present and absent, who named the pest, and what the signs spoke for.
      add column naming jsonb,
      add foreign key (collection_id, walk_id) references walks (collection_id, id);
    create unique index looks_one_per_walk on looks (collection_id, walk_id, plant_id)
      where voided_at is null and walk_id is not null;
    create index looks_with_naming on looks (collection_id) where naming is not null;

    alter table finds
      add column spots text[] not null default '{}',
      add column stages text[] not null default '{}';

    create table photos (
      collection_id uuid not null,
      id uuid not null,
      look_id uuid not null,
      media_type text not null check (media_type in ('image/jpeg')),
      width integer not null check (width between 1 and 1600),
      height integer not null check (height between 1 and 1600),
      bytes bytea not null check (length(bytes) between 1 and 4000000),
      recorded_at timestamptz not null,
      voided_at timestamptz,
      void_reason text check ((void_reason is null) = (voided_at is null)),
      primary key (collection_id, id),
      foreign key (collection_id, look_id) references looks (collection_id, id) on delete cascade
    );
    create index photos_by_look on photos (collection_id, look_id);
  `);
}

export async function down({ context }: { context: QueryInterface }) {
  await context.sequelize.query(`
    drop table photos, skips, walk_plants;
    alter table looks drop column walk_id, drop column turned, drop column naming;
    alter table finds drop column spots, drop column stages;
    drop table walks;
    alter table collections drop column hemisphere;
  `);
}

import type { QueryInterface } from "sequelize";

export async function up({ context }: { context: QueryInterface }) {
  await context.sequelize.query(`
    create table collections (
      id uuid primary key,
      name text not null check (length(name) between 1 and 60),
      time_zone text not null,
      look_every_days integer not null check (look_every_days between 1 and 60),
      units text not null check (units in ('metric', 'us')),
      spoons text not null check (spoons in ('syringe', 'metric', 'us')),
      alcohol_percent numeric(5,2) not null check (alcohol_percent between 1 and 100),
      created_at timestamptz not null
    );

    create table places (
      collection_id uuid not null references collections on delete cascade,
      id uuid not null,
      name text not null check (length(name) between 1 and 60),
      kind text not null check (kind in ('room', 'shelf', 'isolation', 'bag')),
      parent_id uuid,
      mean_c numeric(4,1) not null check (mean_c between -10 and 45),
      position serial not null,
      primary key (collection_id, id),
      foreign key (collection_id, parent_id) references places (collection_id, id),
      check (kind <> 'room' or parent_id is null)
    );

    create table plants (
      collection_id uuid not null references collections on delete cascade,
      id uuid not null,
      code text not null check (length(code) between 1 and 24),
      name text not null check (length(name) between 1 and 80),
      genus text not null check (length(genus) <= 60),
      growth_form text not null,
      pot_cm numeric(5,1) not null check (pot_cm between 1 and 200),
      acquired_on date,
      seller text not null check (length(seller) <= 80),
      in_flower boolean not null,
      added_at timestamptz not null,
      archived_at timestamptz,
      primary key (collection_id, id)
    );
    create unique index plants_code_in_use on plants (collection_id, lower(code)) where archived_at is null;

    create table placements (
      collection_id uuid not null,
      id uuid not null,
      plant_id uuid not null,
      place_id uuid not null,
      placed_at timestamptz not null,
      recorded_at timestamptz not null,
      voided_at timestamptz,
      void_reason text check ((void_reason is null) = (voided_at is null)),
      primary key (collection_id, id),
      foreign key (collection_id, plant_id) references plants (collection_id, id) on delete cascade,
      foreign key (collection_id, place_id) references places (collection_id, id),
      check (placed_at <= recorded_at + interval '5 minutes')
    );
    create index placements_by_plant on placements (collection_id, plant_id, placed_at);
  `);
}

export async function down({ context }: { context: QueryInterface }) {
  await context.sequelize.query("drop table placements, plants, places, collections");
}

import type { QueryInterface } from "sequelize";

export async function up({ context }: { context: QueryInterface }) {
  await context.sequelize.query(`
    -- Places as pests know them: trays, cabinets, out of doors; doors kept shut; water that drips on.
    alter table places drop constraint places_kind_check;
    alter table places
      add check (kind in ('room', 'shelf', 'isolation', 'bag', 'tray', 'cabinet', 'outdoors')),
      add column room_for integer check (room_for between 1 and 5000),
      add column door_shut boolean not null default false,
      add column drips_on uuid,
      add foreign key (collection_id, drips_on) references places (collection_id, id),
      add check (drips_on <> id);
    -- Until now an isolation place that stands in no room was a room with its door shut.
    update places set door_shut = true where kind = 'isolation' and parent_id is null;

    -- Where in the row of its place a plant stands.
    alter table placements add column slot double precision;
    alter table plant_states add column slot double precision;

    -- How likely a case was over when it was closed.
    alter table closings add column p_clear double precision check (p_clear between 0 and 1);

    alter table collections
      add column risk_percent numeric(4,1) not null default 5 check (risk_percent between 1 and 50),
      add column stretch_looks boolean not null default false;

    -- Hands and tools were cleaned.
    create table cleanings (
      collection_id uuid not null references collections (id),
      id uuid not null,
      walk_id uuid,
      happened_at timestamptz not null,
      recorded_at timestamptz not null,
      recorded_by text not null default '' check (length(recorded_by) <= 60),
      voided_at timestamptz,
      void_reason text check ((void_reason is null) = (voided_at is null)),
      primary key (collection_id, id),
      check (happened_at <= recorded_at + interval '5 minutes')
    );
    create index cleanings_lately on cleanings (collection_id, happened_at);

    create index looks_by_moment on looks (collection_id, happened_at);

    -- A place as it stood.
    create table place_photos (
      collection_id uuid not null,
      id uuid not null,
      place_id uuid not null,
      media_type text not null check (media_type in ('image/jpeg')),
      width integer not null check (width between 1 and 1600),
      height integer not null check (height between 1 and 1600),
      bytes bytea not null check (length(bytes) between 1 and 4000000),
      happened_at timestamptz not null,
      recorded_at timestamptz not null,
      recorded_by text not null default '' check (length(recorded_by) <= 60),
      voided_at timestamptz,
      void_reason text check ((void_reason is null) = (voided_at is null)),
      primary key (collection_id, id),
      check (happened_at <= recorded_at + interval '5 minutes'),
      foreign key (collection_id, place_id) references places (collection_id, id) on delete cascade
    );
    create index place_photos_by_place on place_photos (collection_id, place_id, happened_at);

    -- A walk of chosen plants: each with what to look with, and in which order.
    alter table walks drop constraint walks_scope_check;
    alter table walks add check (scope in ('place', 'due', 'everything', 'arrivals', 'chosen'));
    alter table walk_plants add column rank integer, add column tool text, add column round text;

    -- How many animals of a case its neighbours stand beside, day by day: reckoned, kept as a cache.
    create table case_numbers (
      collection_id uuid not null,
      case_id uuid not null,
      plant_id uuid not null,
      facts_version bigint not null,
      model_version integer not null,
      as_of date not null,
      numbers jsonb,
      -- Where it probably came from, and in which turn of the collection that was reckoned.
      origin jsonb,
      origin_turn bigint,
      primary key (collection_id, case_id),
      foreign key (collection_id, plant_id) references plants (collection_id, id) on delete cascade
    );

    -- What a plant may carry unseen: reckoned, kept as a cache.
    create table carriage (
      collection_id uuid not null,
      plant_id uuid not null,
      -- Goes up with every change that bears on it; what was reckoned for an older one is out of date.
      wanted bigint not null default 1,
      reckoned bigint not null default 0,
      -- The turn of the whole collection it was reckoned in.
      turn bigint not null default 0,
      -- What a deed has touched is reckoned before the rest.
      soon boolean not null default false,
      model_version integer,
      as_of date,
      p double precision check (p between 0 and 1),
      -- What the ways to look would find, in their order: lists read it without the rest.
      p_finds double precision[],
      result jsonb,
      primary key (collection_id, plant_id),
      foreign key (collection_id, plant_id) references plants (collection_id, id) on delete cascade
    );
    create index carriage_to_reckon on carriage (collection_id, soon) where reckoned <> wanted;
    create index carriage_by_chance on carriage (collection_id, p desc);

    create table carriage_turns (
      collection_id uuid primary key references collections (id),
      turn bigint not null,
      -- Goes up with every deed that touches a plant: what was read of the collection before it is old.
      touches bigint not null default 0
    );
    insert into carriage (collection_id, plant_id) select collection_id, plant_id from plant_states;
    insert into carriage_turns select id, 1 from collections;
  `);
}

export async function down({ context }: { context: QueryInterface }) {
  await context.sequelize.query(`
    drop index looks_by_moment;
    drop table carriage_turns, carriage, case_numbers, cleanings, place_photos;
    delete from walk_plants m using walks w where w.collection_id = m.collection_id and w.id = m.walk_id and w.scope = 'chosen';
    delete from skips k using walks w where w.collection_id = k.collection_id and w.id = k.walk_id and w.scope = 'chosen';
    update looks k set walk_id = null from walks w
      where w.collection_id = k.collection_id and w.id = k.walk_id and w.scope = 'chosen';
    delete from walks where scope = 'chosen';
    alter table walks drop constraint walks_scope_check;
    alter table walks add check (scope in ('place', 'due', 'everything', 'arrivals'));
    alter table walk_plants drop column rank, drop column tool, drop column round;
    alter table collections drop column risk_percent, drop column stretch_looks;
    alter table closings drop column p_clear;
    alter table plant_states drop column slot;
    alter table placements drop column slot;
    alter table places drop column room_for, drop column door_shut, drop column drips_on;
    alter table places drop constraint places_kind_check;
    update places set kind = 'shelf' where kind in ('tray', 'cabinet');
    update places set kind = 'room' where kind = 'outdoors';
    alter table places add check (kind in ('room', 'shelf', 'isolation', 'bag'));
  `);
}

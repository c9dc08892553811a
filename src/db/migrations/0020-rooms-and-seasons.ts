import type { QueryInterface } from "sequelize";

/** What every fact has beside its own. */
const fact = `
  happened_at timestamptz not null,
  recorded_at timestamptz not null,
  recorded_by text not null default '' check (length(recorded_by) <= 60),
  voided_at timestamptz,
  void_reason text check ((void_reason is null) = (voided_at is null)),
  primary key (collection_id, id),
  check (happened_at <= recorded_at + interval '5 minutes')`;

const ofPlace = "foreign key (collection_id, place_id) references places (collection_id, id) on delete cascade";

/** Tables whose rows are seen only by sessions that have said which collection they are about. */
const WALLED = ["climate_days", "trap_counts", "room_programmes", "room_endings", "sensors", "sensor_samples"];

/** The climate of places day by day, gnats counted on cards, programmes of rooms, devices that tell the air, and the calendar's addresses. */
export async function up({ context }: { context: QueryInterface }) {
  await context.sequelize.query(`
    alter table readings add column humidity numeric(4,1) check (humidity between 0 and 100);
    -- How wet a plant is kept; null where nobody has said.
    alter table plants add column kept text check (kept in ('dry', 'usual', 'wet'));

    create table climate_days (
      collection_id uuid not null,
      id uuid not null,
      place_id uuid not null,
      for_day date not null,
      source text not null check (source in ('sensor', 'file')),
      min_c double precision not null,
      max_c double precision not null,
      mean_c double precision not null check (mean_c between -30 and 60),
      humidity double precision check (humidity between 0 and 100),
      deficit_kpa double precision check (deficit_kpa >= 0),
      hours integer not null check (hours between 1 and 25),
      samples integer not null check (samples >= 1),
      ${fact},
      ${ofPlace},
      check (min_c <= mean_c + 1e-6 and mean_c <= max_c + 1e-6)
    );
    create index climate_days_by_place on climate_days (collection_id, place_id, for_day);

    create table trap_counts (
      collection_id uuid not null,
      id uuid not null,
      place_id uuid not null,
      plant_id uuid,
      what text not null check (what in ('cards', 'slice', 'window')),
      days integer not null check (days between 1 and 60),
      count integer not null check (count >= 0),
      ${fact},
      ${ofPlace},
      foreign key (collection_id, plant_id) references plants (collection_id, id) on delete cascade,
      check ((what = 'slice') = (plant_id is not null))
    );
    create index trap_counts_by_place on trap_counts (collection_id, place_id, happened_at);

    create table room_programmes (
      collection_id uuid not null references collections (id),
      id uuid not null,
      programme text not null check (programme in ('gnats', 'wintering', 'prevention', 'guests')),
      place_id uuid,
      chosen jsonb not null,
      ${fact},
      ${ofPlace}
    );
    create table room_endings (
      collection_id uuid not null references collections (id),
      id uuid not null,
      programme text not null check (programme in ('gnats', 'wintering', 'prevention', 'guests')),
      place_id uuid,
      outcome text not null check (outcome in ('clear', 'done', 'stopped')),
      note text not null,
      ${fact},
      ${ofPlace}
    );

    -- A device that tells the air of a place, and what it has told lately: days are made of it, then it goes.
    create table sensors (
      collection_id uuid not null references collections (id),
      id uuid not null,
      name text not null check (length(name) between 1 and 60),
      place_id uuid not null,
      address text not null check (length(address) between 1 and 200),
      kept_at timestamptz not null,
      asked_at timestamptz,
      heard_at timestamptz,
      -- Up to which of its readings it has been heard.
      told_until timestamptz,
      battery double precision check (battery between 0 and 1),
      problem text,
      primary key (collection_id, id),
      ${ofPlace}
    );
    create table sensor_samples (
      collection_id uuid not null,
      sensor_id uuid not null,
      at timestamptz not null,
      celsius double precision not null,
      humidity double precision,
      primary key (collection_id, sensor_id, at),
      foreign key (collection_id, sensor_id) references sensors (collection_id, id) on delete cascade
    );

    -- Private addresses of the calendar. The address itself is not kept, only what it can be recognised by.
    create table feeds (
      collection_id uuid not null references collections (id),
      id uuid not null,
      name text not null check (length(name) between 1 and 60),
      token_hash text not null,
      made_at timestamptz not null,
      made_by text not null,
      fetched_at timestamptz,
      primary key (collection_id, id)
    );
    create index feeds_by_token on feeds (token_hash);
  `);
  for (const table of WALLED)
    await context.sequelize.query(`
      alter table ${table} enable row level security;
      alter table ${table} force row level security;
      create policy of_its_collection on ${table}
        using (collection_id = nullif(current_setting('wary.collection', true), '')::uuid);
    `);
}

export async function down({ context }: { context: QueryInterface }) {
  await context.sequelize.query(`
    drop table feeds, sensor_samples, sensors, room_endings, room_programmes, trap_counts, climate_days;
    alter table plants drop column kept;
    alter table readings drop column humidity;
  `);
}

import type { QueryInterface } from "sequelize";

const fact = (at: string) => `
      ${at} timestamptz not null,
      recorded_at timestamptz not null,
      voided_at timestamptz,
      void_reason text check ((void_reason is null) = (voided_at is null)),
      check (${at} <= recorded_at + interval '5 minutes'),
      primary key (collection_id, id)`;

const ofPlant = "foreign key (collection_id, plant_id) references plants (collection_id, id) on delete cascade";
const ofCase = "foreign key (collection_id, case_id) references cases (collection_id, id) on delete cascade";

export async function up({ context }: { context: QueryInterface }) {
  await context.sequelize.query(`
    create table looks (
      collection_id uuid not null,
      id uuid not null,
      plant_id uuid not null,
      tool text not null,
      spots text[] not null check (cardinality(spots) > 0),
      note text not null check (length(note) <= 2000),
      ${fact("looked_at")},
      ${ofPlant}
    );
    create index looks_by_plant on looks (collection_id, plant_id, looked_at);

    create table cases (
      collection_id uuid not null,
      id uuid not null,
      plant_id uuid not null,
      pest text not null,
      opened_by_look_id uuid not null,
      -- A cache of "has a closing that is not voided", so that one open case per pest and plant can be enforced.
      is_open boolean not null,
      ${fact("opened_at")},
      ${ofPlant},
      foreign key (collection_id, opened_by_look_id) references looks (collection_id, id) on delete cascade
    );
    create unique index cases_one_open on cases (collection_id, plant_id, pest) where is_open and voided_at is null;
    create index cases_open on cases (collection_id) where is_open and voided_at is null;

    create table finds (
      collection_id uuid not null,
      id uuid not null,
      look_id uuid not null,
      case_id uuid not null,
      pest text not null,
      severity text not null check (severity in ('trace', 'light', 'patch', 'heavy', 'overrun')),
      live_count integer check (live_count between 1 and 100000),
      removed boolean not null,
      primary key (collection_id, id),
      unique (collection_id, look_id, pest),
      foreign key (collection_id, look_id) references looks (collection_id, id) on delete cascade,
      ${ofCase}
    );
    create index finds_by_case on finds (collection_id, case_id);

    create table exposures (
      collection_id uuid not null,
      case_id uuid not null,
      plant_id uuid not null,
      since timestamptz not null,
      primary key (collection_id, case_id, plant_id),
      ${ofPlant},
      ${ofCase}
    );
    create index exposures_by_plant on exposures (collection_id, plant_id);

    create table plans (
      collection_id uuid not null,
      id uuid not null,
      case_id uuid not null,
      mix text not null,
      technique text not null,
      basis text not null,
      ${fact("adopted_at")},
      ${ofCase}
    );
    create index plans_by_case on plans (collection_id, case_id);

    create table plan_steps (
      collection_id uuid not null,
      id uuid not null,
      plan_id uuid not null,
      kind text not null check (kind in ('treat', 'look')),
      due_on date not null,
      primary key (collection_id, id),
      unique (collection_id, plan_id, kind, due_on),
      foreign key (collection_id, plan_id) references plans (collection_id, id) on delete cascade
    );

    create table treatments (
      collection_id uuid not null,
      id uuid not null,
      plant_id uuid not null,
      case_id uuid not null,
      step_id uuid,
      mix text not null,
      technique text not null,
      volume_ml numeric(8,2) not null check (volume_ml > 0 and volume_ml <= 20000),
      spots text[] not null check (cardinality(spots) > 0),
      note text not null check (length(note) <= 2000),
      ${fact("treated_at")},
      ${ofPlant},
      ${ofCase},
      foreign key (collection_id, step_id) references plan_steps (collection_id, id)
    );
    create index treatments_by_case on treatments (collection_id, case_id, treated_at);
    create unique index treatments_one_per_step on treatments (collection_id, step_id) where voided_at is null;

    create table closings (
      collection_id uuid not null,
      id uuid not null,
      case_id uuid not null,
      outcome text not null check (outcome in ('clear', 'givenUp', 'lost')),
      note text not null check (length(note) <= 2000),
      ${fact("closed_at")},
      ${ofCase}
    );
    create unique index closings_one_per_case on closings (collection_id, case_id) where voided_at is null;

    -- A cache that can be rebuilt from the facts at any time.
    create table plant_states (
      collection_id uuid not null,
      plant_id uuid not null,
      place_id uuid not null,
      apart boolean not null,
      state text not null check (state in ('clear', 'new', 'atRisk', 'infested', 'surer')),
      petals integer not null check (petals between 0 and 5),
      last_look_on date,
      look_due_on date not null,
      derived_on date not null,
      primary key (collection_id, plant_id),
      ${ofPlant},
      foreign key (collection_id, place_id) references places (collection_id, id)
    );
    create index plant_states_by_due on plant_states (collection_id, look_due_on);
  `);
}

export async function down({ context }: { context: QueryInterface }) {
  await context.sequelize.query(
    "drop table plant_states, closings, treatments, plan_steps, plans, exposures, finds, cases, looks",
  );
}

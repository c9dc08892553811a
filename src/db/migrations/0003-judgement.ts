import type { QueryInterface } from "sequelize";

export async function up({ context }: { context: QueryInterface }) {
  await context.sequelize.query(`
    alter table collections
      add column clear_percent integer not null default 95 check (clear_percent between 90 and 99),
      add column plan_percent integer not null default 90 check (plan_percent between 50 and 99),
      -- ISO weekdays, 1 is Monday.
      add column work_days integer[] not null default '{1,2,3,4,5,6,7}'
        check (cardinality(work_days) between 1 and 7 and work_days <@ '{1,2,3,4,5,6,7}');

    -- A place's mean temperature from a day on; what was reckoned with before stays what it was.
    create table place_temperatures (
      collection_id uuid not null,
      place_id uuid not null,
      since date not null,
      mean_c numeric(4,1) not null check (mean_c between -10 and 45),
      primary key (collection_id, place_id, since),
      foreign key (collection_id, place_id) references places (collection_id, id) on delete cascade
    );
    insert into place_temperatures select collection_id, id, '2000-01-01', mean_c from places;

    alter table plans
      add column knock_mix text,
      add column knock_technique text,
      add column p_over double precision check (p_over between 0 and 1),
      add check ((knock_mix is null) = (knock_technique is null));

    -- A cache that can be rebuilt from the facts at any time.
    create table assessments (
      collection_id uuid not null,
      case_id uuid not null,
      -- Digest of the facts it was computed from, the model that computed it, and the day it speaks of.
      facts_version text not null,
      model_version integer not null,
      as_of date not null,
      result jsonb not null,
      primary key (collection_id, case_id),
      foreign key (collection_id, case_id) references cases (collection_id, id) on delete cascade
    );
  `);
}

export async function down({ context }: { context: QueryInterface }) {
  await context.sequelize.query(`
    drop table assessments, place_temperatures;
    alter table plans drop column knock_mix, drop column knock_technique, drop column p_over;
    alter table collections drop column clear_percent, drop column plan_percent, drop column work_days;
  `);
}

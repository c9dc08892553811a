import type { QueryInterface } from "sequelize";

/** Tables of facts and what each called the moment at which it happened. */
const moments = [
  ["looks", "looked_at"],
  ["placements", "placed_at"],
  ["closings", "closed_at"],
  ["skips", "skipped_at"],
  ["plans", "adopted_at"],
  ["treatments", "treated_at"],
] as const;

const ofPlant = "foreign key (collection_id, plant_id) references plants (collection_id, id) on delete cascade";
const ofPlace = "foreign key (collection_id, place_id) references places (collection_id, id) on delete cascade";

export async function up({ context }: { context: QueryInterface }) {
  await context.sequelize.query(`
    alter table collections
      add column is_demo boolean not null default false,
      add column owns text[] not null default '{lamp,loupe}' check (owns <@ '{lamp,loupe,cards}');
    alter table collections alter column owns drop default;

    -- Every fact tells when it happened and who wrote it down, in the same words.
    ${moments.map(([table, at]) => `alter table ${table} rename column ${at} to happened_at;`).join("\n")}
    alter table photos add column happened_at timestamptz;
    update photos set happened_at = recorded_at;
    alter table photos alter column happened_at set not null;
    ${[...moments.map(([table]) => table), "photos", "walks"]
      .map(
        (table) =>
          `alter table ${table} add column recorded_by text not null default '' check (length(recorded_by) <= 60);`,
      )
      .join("\n")}
    alter table plants add column recorded_by text not null default '' check (length(recorded_by) <= 60);
    alter table finds rename column live_count to count;

    -- What a fact is about stands in the fact: cases are derived, and a row of them is a cache.
    alter table photos add column plant_id uuid;
    update photos f set plant_id = k.plant_id from looks k where k.collection_id = f.collection_id and k.id = f.look_id;
    alter table photos alter column plant_id set not null, add ${ofPlant};
    alter table closings add column plant_id uuid, add column pest text;
    update closings g set plant_id = s.plant_id, pest = s.pest
      from cases s where s.collection_id = g.collection_id and s.id = g.case_id;
    alter table closings alter column plant_id set not null, alter column pest set not null, add ${ofPlant};
    alter table closings drop constraint closings_collection_id_case_id_fkey;
    create index closings_by_plant on closings (collection_id, plant_id, happened_at);
    alter table finds drop constraint finds_collection_id_case_id_fkey;

    -- Acts: one table for everything that hands do, to a plant or to a place.
    alter table treatments rename to acts;
    alter table acts
      add column place_id uuid,
      add column act jsonb check (jsonb_typeof(act) = 'object' and act ->> 'kind' is not null),
      add ${ofPlace},
      alter column plant_id drop not null,
      alter column case_id drop not null,
      drop constraint treatments_collection_id_case_id_fkey,
      add check ((plant_id is null) <> (place_id is null));
    update acts set act = jsonb_build_object('kind', 'contact', 'mix', mix, 'technique', technique,
      'volumeMl', volume_ml, 'spots', to_jsonb(spots));
    alter table acts alter column act set not null,
      drop column mix, drop column technique, drop column volume_ml, drop column spots;
    drop index treatments_by_case;
    alter index treatments_one_per_step rename to acts_one_per_step;
    create index acts_by_plant on acts (collection_id, plant_id, happened_at);
    create index acts_by_place on acts (collection_id, place_id, happened_at) where place_id is not null;

    -- Programmes: what the keeper chose, with steps that each carry their own dose.
    alter table plans rename to programmes;
    alter table programmes
      add column programme text not null default 'casePlan',
      add column plant_id uuid,
      add column pest text,
      drop constraint plans_collection_id_case_id_fkey;
    alter table programmes alter column programme drop default;
    update programmes n set plant_id = s.plant_id, pest = s.pest
      from cases s where s.collection_id = n.collection_id and s.id = n.case_id;
    alter table programmes alter column plant_id set not null, alter column pest set not null, add ${ofPlant};
    drop index plans_by_case;
    create index programmes_by_plant on programmes (collection_id, plant_id, happened_at);
    alter table plan_steps rename to programme_steps;
    alter table programme_steps rename column plan_id to programme_id;
    alter table programme_steps add column dose jsonb;
    update programme_steps st set dose = case
        when n.knock_mix is not null and st.due_on = (
          select min(first.due_on) from programme_steps first
          where first.collection_id = st.collection_id and first.programme_id = st.programme_id and first.kind = 'treat')
        then jsonb_build_object('mix', n.knock_mix, 'technique', n.knock_technique)
        else jsonb_build_object('mix', n.mix, 'technique', n.technique) end
      from programmes n where n.collection_id = st.collection_id and n.id = st.programme_id and st.kind = 'treat';
    alter table programme_steps add check ((kind = 'treat') = (dose is not null));
    alter table programmes drop column mix, drop column technique, drop column knock_mix, drop column knock_technique;

    -- Temperatures are readings: added, never set.
    create table readings (
      collection_id uuid not null,
      id uuid not null,
      place_id uuid not null,
      celsius numeric(4,1) not null check (celsius between -10 and 45),
      source text not null check (source in ('about', 'thermometer')),
      happened_at timestamptz not null,
      recorded_at timestamptz not null,
      recorded_by text not null default '' check (length(recorded_by) <= 60),
      voided_at timestamptz,
      void_reason text check ((void_reason is null) = (voided_at is null)),
      primary key (collection_id, id),
      check (happened_at <= recorded_at + interval '5 minutes'),
      ${ofPlace}
    );
    create index readings_by_place on readings (collection_id, place_id, happened_at);
    insert into readings (collection_id, id, place_id, celsius, source, happened_at, recorded_at)
      select t.collection_id, gen_random_uuid(), t.place_id, t.mean_c, 'about',
        least(t.since::timestamp at time zone c.time_zone, now()), least(t.since::timestamp at time zone c.time_zone, now())
      from place_temperatures t join collections c on c.id = t.collection_id
      join places l on l.collection_id = t.collection_id and l.id = t.place_id and l.kind <> 'bag';
    drop table place_temperatures;
    alter table places drop column mean_c;

    -- Caches, each rebuilt from the facts: cases, what stood beside them, how plants stand, judgements.
    drop table assessments, exposures, cases, plant_states;
    create table cases (
      collection_id uuid not null,
      id uuid not null,
      plant_id uuid not null,
      pest text not null,
      aliases uuid[] not null,
      opened_at timestamptz not null,
      finds timestamptz[] not null check (cardinality(finds) > 0),
      closed_at timestamptz,
      outcome text check ((outcome is null) = (closed_at is null)),
      primary key (collection_id, id),
      ${ofPlant}
    );
    create unique index cases_one_open on cases (collection_id, plant_id, pest) where closed_at is null;
    create index cases_open on cases (collection_id) where closed_at is null;
    create index cases_by_plant on cases (collection_id, plant_id);
    create index cases_by_closing on cases (collection_id, closed_at desc) where closed_at is not null;
    create index cases_by_alias on cases using gin (aliases);

    create table exposures (
      collection_id uuid not null,
      plant_id uuid not null,
      source_plant_id uuid not null,
      case_id uuid not null,
      pest text not null,
      since timestamptz not null,
      primary key (collection_id, plant_id, case_id),
      ${ofPlant}
    );

    create table plant_states (
      collection_id uuid not null,
      plant_id uuid not null,
      place_id uuid not null,
      apart boolean not null,
      state text not null check (state in ('clear', 'new', 'atRisk', 'infested', 'surer')),
      petals integer not null check (petals between 0 and 5),
      last_look_on date,
      look_due_on date not null,
      look_due_for text not null,
      -- Goes up with every change of the plant's facts: what was reckoned from older ones is not kept.
      facts_version bigint not null,
      -- False for a row that is to be derived anew.
      current boolean not null,
      primary key (collection_id, plant_id),
      ${ofPlant},
      foreign key (collection_id, place_id) references places (collection_id, id)
    );
    create index plant_states_by_due on plant_states (collection_id, look_due_on);
    create index plant_states_by_place on plant_states (collection_id, place_id);
    create index plant_states_to_derive on plant_states (collection_id) where not current;

    create table assessments (
      collection_id uuid not null,
      case_id uuid not null,
      plant_id uuid not null,
      -- What it was reckoned from: the plant's facts, the keeper's ways, the model, and the day it speaks of.
      facts_version bigint not null,
      ways text not null,
      model_version integer not null,
      as_of date not null,
      result jsonb not null,
      primary key (collection_id, case_id),
      ${ofPlant}
    );

    create index skips_by_plant on skips (collection_id, plant_id);
    create index placements_by_place on placements (collection_id, place_id, happened_at);
    create index looks_by_walk on looks (collection_id, walk_id) where walk_id is not null;
    create index looks_lately on looks (collection_id, happened_at desc) where naming is not null and voided_at is null;
    drop index looks_with_naming;

    -- Every plant is to be derived anew.
    insert into plant_states (collection_id, plant_id, place_id, apart, state, petals, look_due_on, look_due_for, facts_version, current)
      select distinct on (t.collection_id, t.plant_id) t.collection_id, t.plant_id, t.place_id, false, 'clear', 0,
        p.added_at::date, 'round', 0, false
      from placements t join plants p on p.collection_id = t.collection_id and p.id = t.plant_id
      where t.voided_at is null order by t.collection_id, t.plant_id, t.happened_at desc, t.recorded_at desc;
  `);
}

/** Goes back as far as the older shape can hold: acts that are no sprays, and readings of a thermometer, are lost. */
export async function down({ context }: { context: QueryInterface }) {
  await context.sequelize.query(`
    drop index skips_by_plant, placements_by_place, looks_by_walk, looks_lately;
    create index looks_with_naming on looks (collection_id) where naming is not null;

    -- Cases as rows of their own: one for each id under which something was filed.
    drop table assessments, plant_states, exposures;
    alter table cases rename to derived_cases;
    create table cases (
      collection_id uuid not null, id uuid not null, plant_id uuid not null, pest text not null,
      opened_by_look_id uuid not null, is_open boolean not null,
      opened_at timestamptz not null, recorded_at timestamptz not null, voided_at timestamptz,
      void_reason text check ((void_reason is null) = (voided_at is null)),
      check (opened_at <= recorded_at + interval '5 minutes'),
      primary key (collection_id, id),
      foreign key (collection_id, plant_id) references plants (collection_id, id) on delete cascade,
      foreign key (collection_id, opened_by_look_id) references looks (collection_id, id) on delete cascade
    );
    insert into cases (collection_id, id, plant_id, pest, opened_by_look_id, is_open, opened_at, recorded_at)
      select distinct on (f.collection_id, f.case_id) f.collection_id, f.case_id, k.plant_id, f.pest, k.id,
        false, k.happened_at, k.recorded_at
      from finds f join looks k on k.collection_id = f.collection_id and k.id = f.look_id
      order by f.collection_id, f.case_id, k.voided_at nulls first, k.happened_at;
    update cases s set is_open = true from derived_cases d
      where d.collection_id = s.collection_id and d.id = s.id and d.closed_at is null;
    drop table derived_cases;
    create unique index cases_one_open on cases (collection_id, plant_id, pest) where is_open and voided_at is null;
    create index cases_open on cases (collection_id) where is_open and voided_at is null;
    create table exposures (
      collection_id uuid not null, case_id uuid not null, plant_id uuid not null, since timestamptz not null,
      primary key (collection_id, case_id, plant_id),
      foreign key (collection_id, plant_id) references plants (collection_id, id) on delete cascade,
      foreign key (collection_id, case_id) references cases (collection_id, id) on delete cascade
    );
    create index exposures_by_plant on exposures (collection_id, plant_id);
    create table plant_states (
      collection_id uuid not null, plant_id uuid not null, place_id uuid not null, apart boolean not null,
      state text not null check (state in ('clear', 'new', 'atRisk', 'infested', 'surer')),
      petals integer not null check (petals between 0 and 5),
      last_look_on date, look_due_on date not null, derived_on date not null,
      primary key (collection_id, plant_id),
      foreign key (collection_id, plant_id) references plants (collection_id, id) on delete cascade,
      foreign key (collection_id, place_id) references places (collection_id, id)
    );
    create index plant_states_by_due on plant_states (collection_id, look_due_on);
    create table assessments (
      collection_id uuid not null, case_id uuid not null, facts_version text not null, model_version integer not null,
      as_of date not null, result jsonb not null,
      primary key (collection_id, case_id),
      foreign key (collection_id, case_id) references cases (collection_id, id) on delete cascade
    );

    alter table places add column mean_c numeric(4,1) not null default 20 check (mean_c between -10 and 45);
    update places l set mean_c = coalesce((
      select r.celsius from readings r where r.collection_id = l.collection_id and r.place_id in (l.id, l.parent_id)
        and r.voided_at is null order by (r.place_id = l.id) desc, r.happened_at desc limit 1), 20);
    alter table places alter column mean_c drop default;
    create table place_temperatures (
      collection_id uuid not null, place_id uuid not null, since date not null,
      mean_c numeric(4,1) not null check (mean_c between -10 and 45),
      primary key (collection_id, place_id, since),
      foreign key (collection_id, place_id) references places (collection_id, id) on delete cascade
    );
    insert into place_temperatures
      select distinct on (r.collection_id, r.place_id, (r.happened_at at time zone c.time_zone)::date)
        r.collection_id, r.place_id, (r.happened_at at time zone c.time_zone)::date, r.celsius
      from readings r join collections c on c.id = r.collection_id
      where r.voided_at is null and r.source = 'about'
      order by r.collection_id, r.place_id, (r.happened_at at time zone c.time_zone)::date, r.happened_at desc;
    insert into place_temperatures select collection_id, id, '2000-01-01', mean_c from places l
      where not exists (select 1 from place_temperatures t where t.collection_id = l.collection_id and t.place_id = l.id);
    drop table readings;

    alter table programmes add column mix text, add column technique text, add column knock_mix text,
      add column knock_technique text, add check ((knock_mix is null) = (knock_technique is null));
    update programmes n set mix = last.dose ->> 'mix', technique = last.dose ->> 'technique',
        knock_mix = case when first.dose <> last.dose then first.dose ->> 'mix' end,
        knock_technique = case when first.dose <> last.dose then first.dose ->> 'technique' end
      from (select distinct on (collection_id, programme_id) collection_id, programme_id, dose from programme_steps
          where kind = 'treat' order by collection_id, programme_id, due_on desc) last,
        (select distinct on (collection_id, programme_id) collection_id, programme_id, dose from programme_steps
          where kind = 'treat' order by collection_id, programme_id, due_on) first
      where last.collection_id = n.collection_id and last.programme_id = n.id
        and first.collection_id = n.collection_id and first.programme_id = n.id;
    alter table programmes alter column mix set not null, alter column technique set not null;
    alter table programme_steps drop column dose;
    alter table programme_steps rename column programme_id to plan_id;
    alter table programme_steps rename to plan_steps;
    drop index programmes_by_plant;
    alter table programmes drop column programme, drop column plant_id, drop column pest;
    alter table programmes rename to plans;
    alter table plans add foreign key (collection_id, case_id) references cases (collection_id, id) on delete cascade;
    create index plans_by_case on plans (collection_id, case_id);

    drop index acts_by_plant, acts_by_place;
    delete from acts where act ->> 'kind' <> 'contact' or plant_id is null or case_id is null;
    alter table acts add column mix text, add column technique text, add column volume_ml numeric(8,2), add column spots text[];
    update acts set mix = act ->> 'mix', technique = act ->> 'technique', volume_ml = (act ->> 'volumeMl')::numeric,
      spots = array(select jsonb_array_elements_text(act -> 'spots'));
    alter table acts drop column act, drop column place_id, alter column plant_id set not null,
      alter column case_id set not null, alter column mix set not null, alter column technique set not null,
      alter column volume_ml set not null, alter column spots set not null,
      add check (volume_ml > 0 and volume_ml <= 20000), add check (cardinality(spots) > 0);
    alter table acts rename to treatments;
    alter index acts_one_per_step rename to treatments_one_per_step;
    alter table treatments add constraint treatments_collection_id_case_id_fkey
      foreign key (collection_id, case_id) references cases (collection_id, id) on delete cascade;
    create index treatments_by_case on treatments (collection_id, case_id, happened_at);

    alter table finds add constraint finds_collection_id_case_id_fkey
      foreign key (collection_id, case_id) references cases (collection_id, id) on delete cascade;
    drop index closings_by_plant;
    alter table closings drop column plant_id, drop column pest;
    alter table closings add constraint closings_collection_id_case_id_fkey
      foreign key (collection_id, case_id) references cases (collection_id, id) on delete cascade;
    alter table photos drop column plant_id, drop column happened_at;
    alter table finds rename column count to live_count;

    ${[...moments.map(([table]) => table), "photos", "walks", "plants"].map((table) => `alter table ${table} drop column recorded_by;`).join("\n")}
    ${moments.map(([table, at]) => `alter table ${table} rename column happened_at to ${at};`).join("\n")}
    alter table collections drop column is_demo, drop column owns;
    insert into plant_states (collection_id, plant_id, place_id, apart, state, petals, look_due_on, derived_on)
      select distinct on (t.collection_id, t.plant_id) t.collection_id, t.plant_id, t.place_id, false, 'clear', 0,
        p.added_at::date, '2000-01-01'
      from placements t join plants p on p.collection_id = t.collection_id and p.id = t.plant_id
      where t.voided_at is null order by t.collection_id, t.plant_id, t.placed_at desc, t.recorded_at desc;
  `);
}

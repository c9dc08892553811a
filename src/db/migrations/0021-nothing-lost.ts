import type { QueryInterface } from "sequelize";

/** The tables of facts as they are now. */
const FACTS = [
  ...["acts", "cleanings", "climate_days", "closings", "looks", "photos", "place_photos", "placements", "programmes"],
  ...["reactions", "readings", "room_endings", "room_programmes", "skips", "trap_counts"],
] as const;

/**
 * Settings have a version, and say how often their keeper treats; plans promise what the looks after them come to; facts know the account that wrote them down, beside the name and the device; places never stand in a ring.
 */
export async function up({ context }: { context: QueryInterface }) {
  await context.sequelize.query(`
    alter table collections add column settings_version bigint not null default 1,
      drop column plan_percent,
      add column every_days integer not null default 4 check (every_days between 2 and 14);
    alter table programmes add column p_clean double precision check (p_clean between 0 and 1),
      add column sure double precision check (sure between 0 and 1);
    create function count_settings() returns trigger language plpgsql as $$
    begin
      new.settings_version := old.settings_version + 1;
      return new;
    end $$;
    create trigger count_settings before update on collections
      for each row when (old.* is distinct from new.*) execute function count_settings();

    -- Asked at the end of the transaction, and of one collection one after the other: two halves of a ring may come at once.
    create function no_ring_of_places() returns trigger language plpgsql as $$
    declare
      at uuid := new.parent_id;
      steps integer := 0;
    begin
      perform pg_advisory_xact_lock(hashtextextended(new.collection_id::text || ' places', 0));
      while at is not null loop
        steps := steps + 1;
        if at = new.id or steps > 50 then
          raise exception 'place % stands within itself, or too deep', new.id
            using errcode = 'check_violation', constraint = 'places_in_no_ring';
        end if;
        select parent_id into at from places where collection_id = new.collection_id and id = at;
      end loop;
      return null;
    end $$;
    create constraint trigger places_in_no_ring after insert or update of parent_id on places
      deferrable initially deferred for each row when (new.parent_id is not null) execute function no_ring_of_places();
  `);
  // Where a ring stands already its places stand in no other any more: nothing else can be made of it.
  await context.sequelize.query(`
    with recursive up as (
      select collection_id, id, parent_id as at, array[id] as seen from places where parent_id is not null
      union all
      select u.collection_id, u.id, p.parent_id, u.seen || u.at from up u
        join places p on p.collection_id = u.collection_id and p.id = u.at
        where u.at is not null and not u.at = any (u.seen) and cardinality(u.seen) < 60
    )
    update places p set parent_id = null from up u
      where u.collection_id = p.collection_id and u.id = p.id and (u.at = u.id or cardinality(u.seen) > 50);
  `);
  for (const table of FACTS) await context.sequelize.query(`alter table ${table} add column recorded_account uuid`);
  await context.sequelize.query(`
    -- What could not be done by itself for a collection, and why.
    create table troubles (
      collection_id uuid not null references collections (id),
      work text not null check (length(work) between 1 and 40),
      why text not null,
      since timestamptz not null,
      at timestamptz not null,
      times integer not null check (times >= 1),
      primary key (collection_id, work)
    );
    -- Whoever made the first account owns the installation.
    alter table accounts add column owns_all boolean not null default false;
    update accounts set owns_all = true where id =
      (select id from accounts where closed_at is null and passphrase_hash is not null order by created_at, id limit 1);
  `);
  for (const [table, policy] of Object.entries(WALLS))
    await context.sequelize.query(`
      alter table ${table} enable row level security;
      alter table ${table} force row level security;
      ${policy}
    `);
}

const told = (name: string) => `nullif(current_setting('wary.${name}', true), '')`;
const collection = `${told("collection")}::uuid`;
const account = `${told("account")}::uuid`;

/** What is seen and taken of the tables that are asked before it is known which collection it is about. */
const WALLS = {
  troubles: `create policy of_its_collection on troubles using (collection_id = ${collection});`,
  // An address of the calendar opens its own row.
  feeds: `create policy of_its_collection on feeds using (collection_id = ${collection} or token_hash = ${told("feed")});`,
  memberships: `create policy of_its_collection on memberships
    using (collection_id = ${collection} or account_id = ${account} or ${told("every")} = 'on')
    with check (collection_id = ${collection});`,
  collections: `create policy its_own on collections
    using (id = ${collection} or ${told("every")} = 'on'
      or exists (select 1 from memberships m where m.collection_id = id and m.account_id = ${account}))
    with check (id = ${collection});`,
  // It is written down by everybody, and read by those it concerns; nobody changes it. Wrong guesses are for owners of everything.
  doings: `
    create policy written on doings for insert with check (collection_id is null or collection_id = ${collection});
    create policy read on doings for select using (collection_id = ${collection} or (collection_id is null and (
      account_id = ${account}
      or exists (select 1 from memberships m where m.collection_id = ${collection} and m.account_id = doings.account_id)
      or (account_id is null and exists (select 1 from accounts a where a.id = ${account} and a.owns_all)))));`,
} as const;
const NAMES: Readonly<Record<keyof typeof WALLS, readonly string[]>> = {
  troubles: ["of_its_collection"],
  feeds: ["of_its_collection"],
  memberships: ["of_its_collection"],
  collections: ["its_own"],
  doings: ["written", "read"],
};

export async function down({ context }: { context: QueryInterface }) {
  for (const [table, names] of Object.entries(NAMES))
    await context.sequelize.query(`
      ${names.map((name) => `drop policy ${name} on ${table};`).join("\n")}
      alter table ${table} no force row level security;
      alter table ${table} disable row level security;
    `);
  await context.sequelize.query("drop table troubles; alter table accounts drop column owns_all");
  for (const table of FACTS) await context.sequelize.query(`alter table ${table} drop column recorded_account`);
  await context.sequelize.query(`
    drop trigger places_in_no_ring on places;
    drop function no_ring_of_places();
    drop trigger count_settings on collections;
    drop function count_settings();
    alter table collections drop column settings_version, drop column every_days,
      add column plan_percent integer not null default 90 check (plan_percent between 50 and 99);
    alter table programmes drop column p_clean, drop column sure;
  `);
}

import type { QueryInterface } from "sequelize";

/** Who may come in, from which devices, and what they may do with which collection; and who did what. */
export async function up({ context }: { context: QueryInterface }) {
  await context.sequelize.query(`
    create table accounts (
      id uuid primary key,
      name text not null check (char_length(name) between 1 and 40),
      -- Null for those who come by paired devices only.
      passphrase_hash text,
      created_at timestamptz not null,
      closed_at timestamptz
    );
    create unique index accounts_by_name on accounts (lower(name)) where closed_at is null;

    create table memberships (
      collection_id uuid not null references collections (id),
      account_id uuid not null references accounts (id),
      role text not null check (role in ('owner', 'keeper', 'sitter', 'reader')),
      from_day date,
      until_day date,
      primary key (collection_id, account_id),
      check (from_day is null or until_day is null or from_day <= until_day)
    );
    create index memberships_by_account on memberships (account_id);

    create table devices (
      id uuid primary key,
      account_id uuid not null references accounts (id),
      name text not null check (char_length(name) between 1 and 40),
      -- SHA-256 of the secret that the device holds.
      token_hash bytea not null unique,
      began_at timestamptz not null,
      seen_at timestamptz not null,
      ends_at timestamptz not null,
      ended_at timestamptz
    );
    create index devices_by_account on devices (account_id);

    create table pairings (
      token_hash bytea primary key,
      account_id uuid not null references accounts (id),
      ends_at timestamptz not null,
      used_at timestamptz
    );

    create table recovery_codes (
      account_id uuid not null references accounts (id),
      code_hash bytea not null,
      used_at timestamptz,
      primary key (account_id, code_hash)
    );

    -- Tries that failed, by name and by address.
    create table attempts (
      key text primary key,
      failures integer not null,
      last_at timestamptz not null
    );

    create table doings (
      id uuid primary key,
      at timestamptz not null,
      account_id uuid,
      collection_id uuid,
      who text not null,
      what text not null,
      about text not null
    );
    create index doings_by_time on doings (at desc);
  `);
}

export async function down({ context }: { context: QueryInterface }) {
  await context.sequelize.query(
    "drop table doings, attempts, recovery_codes, pairings, devices, memberships, accounts",
  );
}

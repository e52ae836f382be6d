create table people (
  id uuid primary key default gen_random_uuid(),
  name text not null,
  email text not null unique,
  password_hash text not null,
  role text not null check (role in ('editor', 'viewer')),
  created_at timestamptz not null default now()
);

create table decks (
  id text primary key,
  title text not null,
  purpose text not null,
  created_by uuid references people (id) on delete set null,
  created_at timestamptz not null default now(),
  changed_at timestamptz not null default now(),
  -- The deck as JSON, folded from its updates up to snapshot_update.
  snapshot jsonb not null,
  snapshot_update bigint not null default 0,
  removed_at timestamptz
);

-- The live document: every update as it came, in order. Row 0 of a deck is all that was folded.
create table deck_updates (
  id bigint generated always as identity primary key,
  deck text not null references decks (id) on delete cascade,
  content bytea not null,
  person uuid references people (id) on delete set null,
  kept_at timestamptz not null default now()
);
create index on deck_updates (deck, id);

create table deck_versions (
  id bigint generated always as identity primary key,
  deck text not null references decks (id) on delete cascade,
  number integer not null,
  snapshot jsonb not null,
  tables jsonb not null,
  length_seconds double precision not null,
  published_by uuid references people (id) on delete set null,
  published_at timestamptz not null default now(),
  unique (deck, number)
);

create table data_tables (
  id text primary key,
  name text not null,
  content jsonb not null,
  created_by uuid references people (id) on delete set null,
  created_at timestamptz not null default now()
);

create table media (
  hash text primary key check (hash ~ '^[0-9a-f]{64}$'),
  name text not null,
  type text not null,
  extension text not null,
  bytes bigint not null,
  width integer,
  height integer,
  created_by uuid references people (id) on delete set null,
  created_at timestamptz not null default now()
);

create table media_chunks (
  hash text not null references media (hash) on delete cascade,
  part integer not null,
  content bytea not null,
  primary key (hash, part)
);

create table loops (
  id text primary key,
  name text not null,
  created_at timestamptz not null default now()
);

create table loop_items (
  id text primary key,
  loop text not null references loops (id) on delete cascade,
  deck text not null references decks (id) on delete cascade,
  position integer not null
);
create index on loop_items (loop, position);

create table screens (
  id text primary key,
  name text not null,
  place text not null default '',
  token text not null unique,
  loop text references loops (id) on delete set null,
  heard_at timestamptz,
  playing jsonb
);

create table plays (
  id bigint generated always as identity primary key,
  screen text not null references screens (id) on delete cascade,
  deck text not null,
  version integer not null,
  started_at timestamptz not null,
  seconds double precision not null,
  unique (screen, started_at, deck)
);

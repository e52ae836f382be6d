-- How loud a film or sound is, 100 values a second from 0 to 255; null where it is silent or was never listened to.
alter table media add column peaks bytea;

-- Long work: what is wished, how far it is, and what came of it. The queue itself only holds its id.
create table jobs (
  id uuid primary key default gen_random_uuid(),
  kind text not null check (kind in ('film', 'clip')),
  deck text references decks (id) on delete cascade,
  wish jsonb not null,
  -- Words a person knows it by.
  name text not null,
  state text not null default 'waiting' check (state in ('waiting', 'working', 'done', 'failed', 'cancelled')),
  done integer not null default 0,
  total integer not null default 0,
  -- What it is at, or one sentence of what went wrong.
  message text not null default '',
  attempts integer not null default 0,
  -- Whoever works on it says so again and again; when this has passed, somebody else takes it up.
  held_until timestamptz,
  -- The media file that it made.
  result text references media (hash),
  person uuid references people (id) on delete set null,
  created_at timestamptz not null default now(),
  ended_at timestamptz
);
create index on jobs (deck, created_at desc);

-- The bytes of a job that came with its wish, until it is done.
create table job_files (
  job uuid not null references jobs (id) on delete cascade,
  part integer not null,
  content bytea not null,
  primary key (job, part)
);

-- Stills of films at a moment, milliseconds; −1 is the usual one.
alter table media_steps add column at_ms integer not null default -1;
alter table media_steps drop constraint media_steps_pkey;
alter table media_steps add primary key (hash, width, at_ms);

-- Made here to be taken away, as a film: not of the team's Media until somebody brings it.
alter table media add column made boolean not null default false;

-- The team's media as they are found and kept in order; the bytes stay as they came.
alter table media add column folder text not null default '';
alter table media add column tags text[] not null default '{}';
-- Who has the rights, under what terms; and the line that credits them.
alter table media add column rights text not null default '';
alter table media add column credit text not null default '';
-- Its main colours as [{hex, share}], and 64 bits that pictures alike have in common, as 16 hex digits.
alter table media add column colors jsonb not null default '[]';
alter table media add column likeness text;
alter table media add column seconds double precision;
alter table media add column used_at timestamptz not null default now();
create index on media (used_at desc);

-- Pictures made smaller, once for each step of width that was asked for.
create table media_steps (
  hash text not null references media (hash) on delete cascade,
  width integer not null,
  type text not null,
  content bytea not null,
  primary key (hash, width)
);

-- Parts of slides that the team keeps on its shelf, with their motion.
create table pieces (
  id text primary key,
  name text not null,
  tags text[] not null default '{}',
  content jsonb not null,
  version integer not null default 1,
  created_by uuid references people (id) on delete set null,
  changed_at timestamptz not null default now()
);

-- Motion that the team keeps under a name, to be put on elements of any deck.
create table motions (
  id text primary key,
  name text not null,
  motion jsonb not null,
  created_by uuid references people (id) on delete set null,
  changed_at timestamptz not null default now()
);
create index on motions (lower(name));

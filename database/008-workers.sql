-- Processes that do long work, as they were last heard of.
create table workers (
  id uuid primary key,
  heard_at timestamptz not null default now()
);

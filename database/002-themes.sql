-- Themes on the team's shelf: a deck without slides, as JSON.
create table themes (
  id text primary key,
  name text not null,
  content jsonb not null,
  created_by uuid references people (id) on delete set null,
  changed_at timestamptz not null default now()
);

-- Font files that the team brought; the bytes are media.
create table fonts (
  hash text primary key references media (hash),
  family text not null,
  weight integer not null,
  italic boolean not null,
  created_by uuid references people (id) on delete set null,
  created_at timestamptz not null default now()
);

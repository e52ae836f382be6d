-- Where a table of data comes from, how it is read, and its versions. What charts read of a version is a row of data_tables, which never
-- changes: a version that is read otherwise is another row.
create table data_sources (
  id text primary key,
  name text not null,
  choices jsonb not null default '{}',
  on_air int,
  created_by uuid references people (id) on delete set null,
  created_at timestamptz not null default now(),
  changed_at timestamptz not null default now()
);
create table data_versions (
  source text not null references data_sources (id) on delete cascade,
  number int not null,
  file_name text not null,
  bytes bytea not null,
  table_id text not null references data_tables (id),
  reading jsonb not null,
  -- Why it is not on air by itself.
  held text,
  created_by uuid references people (id) on delete set null,
  created_at timestamptz not null default now(),
  primary key (source, number)
);

-- A table that is typed here, cell by cell: the file of each of its versions is what was typed. Typing goes on into the newest version for
-- a while, as long as it is the same person’s.
alter table data_sources add typed boolean not null default false;
alter table data_versions add typed_at timestamptz;

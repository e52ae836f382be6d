-- Tables that follow a file of the watched folder: its name, the size and time at which it was last read, and why it could not be.
alter table data_sources add column file text unique;
alter table data_sources add column file_stamp text;
alter table data_sources add column file_fault text;
-- Files of the watched folder that are no tables, at the size and time at which they were not, and why; under '' what is wrong with the
-- folder itself.
create table watched_faults (
  file text primary key,
  stamp text not null,
  fault text not null
);
-- Which tables a published deck draws: screens follow those that the team keeps.
alter table deck_versions add column table_ids text[] not null default '{}';
update deck_versions set table_ids = array(select jsonb_array_elements(tables) ->> 'id');
create index deck_versions_tables on deck_versions using gin (table_ids);

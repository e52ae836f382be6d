-- Tables that follow a file of the watched folder: its name, the size and time at which it was last read, and why it could not be.
alter table data_sources add column file text unique;
alter table data_sources add column file_stamp text;
alter table data_sources add column file_fault text;
-- Which tables a published deck draws: screens follow those that the team keeps.
alter table deck_versions add column table_ids text[] not null default '{}';
update deck_versions set table_ids = array(select jsonb_array_elements(tables) ->> 'id');
create index deck_versions_tables on deck_versions using gin (table_ids);

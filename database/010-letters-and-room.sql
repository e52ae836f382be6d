-- Which letters a font file of the team has, as packed spans of code points; null of files that came before this was kept.
alter table fonts add column held text;

-- What one person keeps is summed up whenever they bring something.
create index media_by_person on media (created_by);
create index decks_by_person on decks (created_by);

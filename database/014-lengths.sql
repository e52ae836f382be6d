-- How long each slide of a deck lasts by the deck's purpose, seconds, and for which change of it that was reckoned; who changed it last.
alter table decks add column seconds real[];
alter table decks add column measured_at timestamptz;
alter table decks add column changed_by uuid references people (id) on delete set null;
update decks set changed_by = created_by;
create index on decks (changed_at) where measured_at is null or measured_at < changed_at;

-- In which folder of the team a deck lies; the words on its slides and in its notes, by which it is found. Null until they are read.
alter table decks add column folder text not null default '';
alter table decks add column words text;
create index decks_unread on decks (id) where cover is null or words is null;
create index decks_by_change on decks (changed_at desc, id) where removed_at is null;

-- Where each person was last in each deck.
create table places (
  person uuid not null references people (id) on delete cascade,
  deck text not null references decks (id) on delete cascade,
  slide text,
  phase text not null,
  at timestamptz not null default now(),
  primary key (person, deck)
);
create index on places (person, at desc);

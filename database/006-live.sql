-- Appends updates of one deck in the order of their ids: whoever appends holds the deck's lock until it is committed, so that a
-- reader that goes on from the highest id it has read never skips one that was committed later. Answers with the ids.
create function append_updates(of_deck text, contents bytea[], people uuid[], node text) returns bigint[] language plpgsql as $$
declare
  ids bigint[];
begin
  perform pg_advisory_xact_lock(hashtextextended(of_deck, 0));
  with added as (
    insert into deck_updates (deck, content, person)
    select of_deck, given.content, given.person from unnest(contents, people) with ordinality as given(content, person, place) order by given.place
    returning id
  )
  select array_agg(id order by id) into ids from added;
  perform pg_notify('deck_updates', json_build_object('deck', of_deck, 'node', node)::text);
  return ids;
end
$$;

-- Records of decks that could not be read any more, as they stood: out of the deck, and lost to nobody.
create table set_aside (
  id bigint generated always as identity primary key,
  deck text not null references decks (id) on delete cascade,
  in_table text not null,
  record text not null,
  content text not null,
  reason text not null,
  at timestamptz not null default now()
);
create index on set_aside (deck);

-- What is shown of a deck in lists, kept beside its snapshot: lists then read as much of a deck of 3,000 slides as of one of three.
alter table decks add column slides integer;
alter table decks add column cover jsonb;
alter table decks add column cover_tables text[] not null default '{}';

-- What a screen was ever given to play, and since when: what it says it played is believed of that alone.
create table given (
  screen text not null references screens (id) on delete cascade,
  deck text not null,
  version integer not null,
  since timestamptz not null default now(),
  primary key (screen, deck, version)
);
insert into given (screen, deck, version, since) select screen, deck, version, min(started_at) from plays group by 1, 2, 3;

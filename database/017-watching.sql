-- Which of several servers looks through the watched folder, and until when it does so without saying so again.
create table watching (
  one boolean primary key default true check (one),
  node text not null,
  until timestamptz not null
);

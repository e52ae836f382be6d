-- Whoever holds a line open for somebody hears at once when that person's role changes, or the account or a session of it goes.
create function tell_of_person() returns trigger language plpgsql as $$
begin
  perform pg_notify('people', coalesce(to_jsonb(old) ->> 'person', to_jsonb(old) ->> 'id'));
  return null;
end
$$;
create trigger people_changed after update or delete on people for each row execute function tell_of_person();

-- Admins also say who else is here. The first editor of an older team becomes one.
alter table people drop constraint people_role_check;
alter table people add constraint people_role_check check (role in ('admin', 'editor', 'viewer'));
update people set role = 'admin' where id = (select id from people where role = 'editor' order by created_at, email limit 1);
-- Whoever was added by a link has no password until it is used.
alter table people alter column password_hash drop not null;

-- Who is signed in where. The token stands in the browser's cookie alone; here is its SHA-256.
create table sessions (
  id uuid primary key default gen_random_uuid(),
  token_hash bytea not null unique,
  person uuid not null references people (id) on delete cascade,
  created_at timestamptz not null default now(),
  seen_at timestamptz not null default now(),
  -- As the browser calls itself, and from where it came first.
  agent text not null default '',
  address text not null default ''
);
create index on sessions (person);
create trigger sessions_changed after delete on sessions for each row execute function tell_of_person();

-- Links by which somebody sets a password, once.
create table password_links (
  token_hash bytea primary key,
  person uuid not null references people (id) on delete cascade,
  made_by uuid references people (id) on delete set null,
  expires_at timestamptz not null
);

-- Attempts to sign in, by person and by address, as rate-limiter-flexible keeps them.
create table attempts (
  key varchar(255) primary key,
  points integer not null default 0,
  expire bigint
);

-- A screen whose address was taken back has none until it is renewed.
alter table screens alter column token drop not null;

-- Whoever holds a line open for somebody hears at once when that person's role changes or the account goes.
create function tell_of_person() returns trigger language plpgsql as $$
begin
  perform pg_notify('people', old.id::text);
  return null;
end
$$;
create trigger people_changed after update or delete on people for each row execute function tell_of_person();

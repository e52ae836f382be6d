-- What is known of a table without its rows: how many they are, and its columns without their values.
create function table_head(content jsonb) returns jsonb language sql immutable as $$
  select jsonb_build_object(
    'rows', coalesce(jsonb_array_length(content -> 'columns' -> 0 -> 'values'), 0),
    'columns', (select jsonb_agg(c - 'values' order by n) from jsonb_array_elements(content -> 'columns') with ordinality as one (c, n))
  )
$$;
alter table data_tables add column head jsonb generated always as (table_head(content)) stored;

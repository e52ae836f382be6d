-- Tables that are made of another one by steps. They have versions as any other, without a file: one for each version of what they are
-- made of.
alter table data_sources add column made_of text references data_sources (id) on delete set null;
alter table data_sources add column steps jsonb;
create index data_sources_made_of on data_sources (made_of);

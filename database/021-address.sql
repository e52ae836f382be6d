-- Tables that follow the address of a service; the stamp and the fault of what follows a file serve for it too.
alter table data_sources add column address text;

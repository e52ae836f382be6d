-- Which letters a font file of the team has, as packed spans of code points; null of files that came before this was kept.
alter table fonts add column held text;

-- The lines found in a picture, for a hand to draw: width, height and paths; null until somebody asked for them.
alter table media add column traced jsonb;

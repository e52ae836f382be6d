-- What is asked of long work is called its input, here as in the code.
alter table jobs rename column wish to input;

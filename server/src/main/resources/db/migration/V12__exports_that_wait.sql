-- What an export waits for besides its turn, in words; null where there is nothing.
alter table export add column waits_for text;

-- What was done since the version before, in the words of the edits; null where nobody said it.
alter table scene_revision add column done text;

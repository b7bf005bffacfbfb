-- Files have the name that they were given when they were asked for; what came before gets one that
-- it had.
alter table export add column file_name text;
update export set file_name = regexp_replace(scene_name, '[^[:alnum:]]+', '-', 'g')
  || to_char(asked_at, '-YYYY-MM-DD-HH24MISS-') || left(id::text, 4) || '.'
  || case format when 'png-sequence' then 'zip' else format end;
alter table export alter column file_name set not null;
create index export_asked on export (asked_at);

-- How files of a project are called, how long finished ones stay (days, 0 for ever; null as the
-- server has it), and how many were asked for.
alter table project add column file_names text;
alter table project add column keep_files_days int;
alter table project add column files_made int not null default 0;

-- Files that are made together, kept with a project by name.
create table file_set (
  id uuid primary key,
  project_id uuid not null references project (id),
  name text not null,
  place bigint generated always as identity,
  files json not null
);

create index file_set_project on file_set (project_id, place);

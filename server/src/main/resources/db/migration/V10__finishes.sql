-- Finishes kept with a project by name; effects as in a scene document.
create table finish (
  id uuid primary key,
  project_id uuid not null references project (id),
  name text not null,
  place bigint generated always as identity,
  effects json not null
);

create index finish_project on finish (project_id, place);

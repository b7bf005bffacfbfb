-- Own easing curves kept with a project; curve as in a scene document.
create table easing (
  id uuid primary key,
  project_id uuid not null references project (id),
  name text not null,
  place bigint generated always as identity,
  curve jsonb not null
);

create index easing_project on easing (project_id, place);

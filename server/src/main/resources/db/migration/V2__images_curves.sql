-- Pictures to trace over; the same content is kept once.
create table image (
  id uuid primary key,
  sha256 bytea not null unique,
  type text not null,
  width int not null,
  height int not null,
  content bytea not null,
  kept_at timestamptz not null default now()
);

-- Curves kept with a project for use again; path as in a scene document.
create table curve (
  id uuid primary key,
  project_id uuid not null references project (id),
  name text not null,
  place bigint generated always as identity,
  path jsonb not null
);

create index curve_project on curve (project_id, place);

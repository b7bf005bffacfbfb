-- Typefaces from outside, as checked OpenType files; the id is made from the uploaded file, so that
-- the same file is kept once.
create table typeface (
  id text primary key,
  name text not null,
  content bytea not null,
  kept_at timestamptz not null default now()
);

create table project_typeface (
  project_id uuid not null references project (id),
  typeface_id text not null references typeface (id),
  primary key (project_id, typeface_id)
);

create index project_typeface_typeface on project_typeface (typeface_id);

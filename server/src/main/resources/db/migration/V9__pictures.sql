-- Pictures: as they were uploaded, and in halving sizes, upright and in sRGB, for all that paints. The
-- id is made from the uploaded file, so that the same file is kept once.
create table picture (
  id text primary key,
  type text not null,
  width int not null,
  height int not null,
  content bytea not null,
  kept_at timestamptz not null default now()
);

create table picture_level (
  picture_id text not null references picture (id) on delete cascade,
  number int not null,
  type text not null,
  width int not null,
  height int not null,
  content bytea not null,
  primary key (picture_id, number)
);

create table project_picture (
  project_id uuid not null references project (id),
  picture_id text not null references picture (id),
  name text not null,
  place bigint generated always as identity,
  primary key (project_id, picture_id)
);

create index project_picture_picture on project_picture (picture_id);

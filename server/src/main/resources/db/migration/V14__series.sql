-- Tables whose rows vary a scene; columns and rows as the series package writes them.
create table series (
  scene_id uuid primary key references scene (id) on delete cascade,
  series json not null,
  revision bigint not null,
  kept_at timestamptz not null default now()
);

-- The series that an export is made of, as it was when it was asked for.
create table export_series (
  export_id uuid primary key references export (id) on delete cascade,
  series json not null
);

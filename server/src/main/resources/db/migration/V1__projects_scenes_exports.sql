create table project (
  id uuid primary key,
  name text not null,
  created_at timestamptz not null default now(),
  deleted_at timestamptz
);

create table scene (
  id uuid primary key,
  project_id uuid not null references project (id),
  name text not null,
  place bigint generated always as identity,
  document jsonb not null,
  revision bigint not null,
  saved_at timestamptz not null default now(),
  deleted_at timestamptz
);

create index scene_project on scene (project_id, place);

-- Every version that was ever kept; never updated.
create table scene_revision (
  scene_id uuid not null references scene (id),
  revision bigint not null,
  document jsonb not null,
  saved_at timestamptz not null default now(),
  primary key (scene_id, revision)
);

create table export (
  id uuid primary key,
  scene_id uuid not null references scene (id),
  format text not null,
  at_seconds double precision not null,
  document jsonb not null,
  state text not null,
  frames_done int not null default 0,
  frames_total int not null,
  asked_at timestamptz not null default now(),
  started_at timestamptz,
  ended_at timestamptz,
  message text,
  file bytea
);

create index export_scene on export (scene_id, asked_at);

-- The table of db-scheduler, as its documentation gives it for PostgreSQL.
create table scheduled_tasks (
  task_name text not null,
  task_instance text not null,
  task_data bytea,
  execution_time timestamptz not null,
  picked boolean not null,
  picked_by text,
  last_success timestamptz,
  last_failure timestamptz,
  consecutive_failures int,
  last_heartbeat timestamptz,
  version bigint not null,
  priority smallint,
  primary key (task_name, task_instance)
);

create index scheduled_tasks_execution_time on scheduled_tasks (execution_time);
create index scheduled_tasks_last_heartbeat on scheduled_tasks (last_heartbeat);

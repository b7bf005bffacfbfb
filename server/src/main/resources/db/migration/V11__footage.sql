-- Files that are being uploaded, and footage as it came, in pieces of 1 MiB, so that none is ever
-- whole in memory. What was uploaded becomes footage without being copied.
create table stored_file (
  id uuid primary key,
  project_id uuid,
  name text not null,
  size bigint not null,
  begun_at timestamptz not null default now()
);

create table stored_piece (
  file_id uuid not null references stored_file (id) on delete cascade,
  number int not null,
  bytes bytea not null,
  primary key (file_id, number)
);

-- The id is made from the file. Times are those of its frames in seconds, known once it is ready.
create table footage (
  id text primary key,
  file_id uuid not null references stored_file (id),
  type text not null,
  width int not null,
  height int not null,
  rate double precision not null,
  length double precision not null,
  opaque boolean not null,
  channels int not null,
  matrix text not null,
  still bytea not null,
  state text not null,
  done double precision not null default 0,
  message text,
  tries int not null default 0,
  times double precision[],
  peaks bytea,
  sound_id uuid references stored_file (id),
  kept_at timestamptz not null default now()
);

-- What the stage shows: some frames each, as pictures one after another.
create table footage_run (
  footage_id text not null references footage (id) on delete cascade,
  number int not null,
  lengths int[] not null,
  bytes bytea not null,
  primary key (footage_id, number)
);

create table project_footage (
  project_id uuid not null references project (id),
  footage_id text not null references footage (id),
  name text not null,
  place bigint generated always as identity,
  primary key (project_id, footage_id)
);

create index project_footage_footage on project_footage (footage_id);

create table footage_tasks (like scheduled_tasks including all);

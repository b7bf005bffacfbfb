-- What was chosen for a file, by the schema of its format.
alter table export add column options json not null default '{}';
update export set options = json_build_object('at', at_seconds) where format = 'png';
alter table export drop column at_seconds;

-- Finished files in pieces, so that none is ever whole in memory.
create table export_piece (
  export_id uuid not null references export (id) on delete cascade,
  number int not null,
  bytes bytea not null,
  primary key (export_id, number)
);

alter table export add column size bigint;
update export set size = octet_length(file) where file is not null;
insert into export_piece
  select id, n, substring(file from n * 1048576 + 1 for 1048576)
  from export, generate_series(0, (octet_length(file) - 1) / 1048576) n
  where file is not null;
alter table export drop column file;

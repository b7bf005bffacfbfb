-- Long exports are made in parts by whichever nodes have time, and joined. The parts of one are
-- counted from 1; frames or rows of it are counted from 0. Done is what is wholly kept.
create table export_part (
  export_id uuid not null references export (id) on delete cascade,
  number int not null,
  first int not null,
  count int not null,
  frames_done int not null default 0,
  tries int not null default 0,
  done boolean not null default false,
  primary key (export_id, number)
);

-- The finished file is part 0.
alter table export_piece add column part int not null default 0;
alter table export_piece drop constraint export_piece_pkey;
alter table export_piece add primary key (export_id, part, number);

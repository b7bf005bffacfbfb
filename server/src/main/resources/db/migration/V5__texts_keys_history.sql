-- Documents are kept as the very text that was checked. jsonb wrote numbers out in full, so that what
-- was read back could be far longer than what was let in.
alter table scene alter column document type json using document::text::json;
alter table scene_revision alter column document type json using document::text::json;
alter table export alter column document type json using document::text::json;
alter table curve alter column path type json using path::text::json;
alter table easing alter column curve type json using curve::text::json;

-- A save that is sent again is known by its key; a revision with a name is never thinned out.
alter table scene_revision add column edit_key text;
alter table scene_revision add column name text;
create unique index scene_revision_key on scene_revision (scene_id, edit_key);
create index scene_revision_saved on scene_revision (saved_at) where name is null;

-- The scene's name as of then, and how often the export was begun.
alter table export add column scene_name text not null default 'Untitled';
update export set scene_name = coalesce(document ->> 'name', 'Untitled');
alter table export add column tries int not null default 0;

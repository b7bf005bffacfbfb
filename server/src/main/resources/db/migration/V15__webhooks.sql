-- Exports of documents that were sent along belong to no scene.
alter table export alter column scene_id drop not null;

-- The address that is told when an export has ended, and what came of that: null while nothing did,
-- empty once it was told, else why it could not be.
alter table export add column webhook text;
alter table export add column webhook_result text;

create table webhook_tasks (like scheduled_tasks including all);

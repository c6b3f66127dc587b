-- What a visit came to is worked out after it is saved: whether that is still to be done.
alter table work_record add column effects_due boolean default false not null;
create index work_record_effects_due on work_record (effects_due, saved_at);

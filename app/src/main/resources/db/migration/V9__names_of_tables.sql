-- Tables by the names of what they hold.
alter table work rename to saved_decisions;
alter table placed_work rename to scheduled_work;
alter table scheduled_work rename column done_on to planned_on;

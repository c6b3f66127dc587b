-- What was looked after when the last cut was made: words such as wounds, tools, joined by commas; null where nobody said.
alter table work_record add column afterwards varchar(100);

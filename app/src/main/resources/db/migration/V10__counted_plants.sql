-- Which open format a survey is written in: a tree surveyed limb by limb, or a plant of which canes are counted.
alter table survey add column format varchar(40) default 'umbel-survey/1' not null;

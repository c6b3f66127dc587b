-- Where a holding's days begin and end; null takes the time zone of the machine.
alter table holding add column time_zone varchar(60);
alter table holding add column version bigint default 0 not null;

-- The rows of a block: how many, and how many places the longest has. Blocks set up before got the layout that was drawn.
alter table block add column row_count integer default 1 not null;
alter table block add column row_places integer default 1 not null;
update block set row_places = greatest(1, cast(round(sqrt(1.5 * tree_count * between_rows_m / in_row_m)) as integer));
update block set row_count = cast(ceil(cast(tree_count as double precision) / row_places) as integer);
update block set row_places = greatest(row_places, coalesce((select max(t.place_no) from tree t where t.block_id = block.id), 1));
update block set row_count = greatest(row_count, coalesce((select max(t.row_no) from tree t where t.block_id = block.id), 1));
alter table block add column archived boolean default false not null;
alter table block add column version bigint default 0 not null;
alter table tree add column archived boolean default false not null;

-- A survey that was wrong is withdrawn, never overwritten.
alter table survey add column withdrawn_at timestamp with time zone;
alter table survey add column withdrawn_by varchar(120);

-- Whether anything was done at a visit; a visit at which every step was left or skipped has no effects.
alter table work_record add column worked boolean default true not null;
update work_record set worked = false
  where document not like '%"outcome":"as-planned"%' and document not like '%"outcome":"changed"%'
    and document not like '%"outcome":"added"%';

-- Working in the crew and signing in are two things. The epoch counts changes of rights: an older session is over.
alter table person add column crew boolean default true not null;
alter table person add column may_sign_in boolean default true not null;
alter table person add column sign_in_epoch bigint default 0 not null;
alter table person add column founder boolean;
alter table person add constraint person_one_founder unique (founder);
update person set may_sign_in = active;

create table setting (
  name   varchar(60) primary key,
  content varchar(500) not null
);

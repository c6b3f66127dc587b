-- Light before and after a visit, kept beside it so that years can be summed without reading every visit.
alter table work_record add column shade_before double precision;
alter table work_record add column shade_after double precision;
create index work_record_by_correction on work_record (corrects_id);
create index work_record_sums on work_record (tree_id, done_on, minutes, shade_before, shade_after);
-- What one tree bore, where somebody weighed or counted it.
alter table picking add column tree_id bigint references tree (id);
create index picking_by_tree on picking (tree_id, picked_on);

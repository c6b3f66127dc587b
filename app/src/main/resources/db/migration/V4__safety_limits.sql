-- What the holding leaves to qualified people; null sets no limit of its own.
alter table holding add column limit_diameter_mm double precision;
alter table holding add column limit_mass_kg double precision;
alter table holding add column limit_height_m double precision;

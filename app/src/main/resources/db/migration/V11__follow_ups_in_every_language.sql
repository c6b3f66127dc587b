-- A follow-up keeps its kind and the number its text tells, so that it is told in the language of whoever reads it.
alter table follow_up add column amount double precision;
update follow_up set amount = case
  when kind = 'rub-sprouts' then cast(regexp_replace(text, '^.*about ([0-9]+) are.*$', '$1') as double precision)
  when kind in ('check-ties', 'take-off-ties') and text like '% one limb%' then 1
  when kind = 'check-ties' then cast(regexp_replace(text, '^.* on ([0-9]+) limbs.*$', '$1') as double precision)
  when kind = 'take-off-ties' then cast(regexp_replace(text, '^.* off ([0-9]+) limbs.*$', '$1') as double precision)
  when kind = 'short-spur-again' then cast(regexp_replace(text, '^.* over ([0-9]+) cm.*$', '$1') as double precision)
  when kind = 'thin-fruit' then cast(regexp_replace(text, '^.* every ([0-9]+) cm.*$', '$1') as double precision)
end;
alter table follow_up drop column text;

-- A follow-up keeps its kind and the number its text tells, so that it is told in the language of whoever reads it. A text in which
-- no number is found leaves none.
alter table follow_up add column amount double precision;
update follow_up set amount = case
  when kind = 'rub-sprouts' and regexp_like(text, 'about [0-9]+ are')
    then cast(regexp_replace(text, '^.*about ([0-9]+) are.*$', '$1') as double precision)
  when kind in ('check-ties', 'take-off-ties') and text like '% one limb%' then 1
  when kind in ('check-ties', 'take-off-ties') and regexp_like(text, ' [0-9]+ limbs')
    then cast(regexp_replace(text, '^.* ([0-9]+) limbs.*$', '$1') as double precision)
  when kind in ('short-spur-again', 'thin-fruit') and regexp_like(text, ' [0-9]+ cm')
    then cast(regexp_replace(text, '^.* ([0-9]+) cm.*$', '$1') as double precision)
end;
alter table follow_up drop column text;

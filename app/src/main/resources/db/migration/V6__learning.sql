-- From when on a block's trees count as teachers; set anew when what was learned is to be forgotten.
alter table block add column learning_since date;

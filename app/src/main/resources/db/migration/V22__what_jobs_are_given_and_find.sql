-- What a job in one piece was given to work on, cleared away once it has ended, and what came of it; each a JSON object of its kind.
alter table job add column given clob;
alter table job add column outcome clob;

-- The seasons to come of a planned tree: under its plan, and left alone.
alter table tree_plan add column seasons clob;

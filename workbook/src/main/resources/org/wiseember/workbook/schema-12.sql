-- A day of appliances that was laid out: JSON after day.schema.json, and the keys of the units it is for with commas
-- between.
CREATE TABLE day (
  id INTEGER PRIMARY KEY,
  plan TEXT NOT NULL,
  units TEXT NOT NULL DEFAULT '',
  removed INTEGER NOT NULL DEFAULT 0
);

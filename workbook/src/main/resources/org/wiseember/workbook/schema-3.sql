-- What a tester decided about a run, as JSON; the newest is in force, older ones are what undo
-- returns to. Raw readings stay as they are.
CREATE TABLE treatment (
  id       INTEGER PRIMARY KEY,
  run_id   INTEGER NOT NULL REFERENCES run (id),
  decided  TEXT NOT NULL,
  saved_at TEXT NOT NULL
);
CREATE INDEX treatment_of_run ON treatment (run_id, id);

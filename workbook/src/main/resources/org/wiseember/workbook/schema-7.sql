-- Loads an instrument was about to switch on, kept until they are known to be off: whatever becomes of
-- the program, the next opening knows what may still be on.
CREATE TABLE load_on (
  id         INTEGER PRIMARY KEY,
  run_id     INTEGER NOT NULL REFERENCES run (id),
  instrument TEXT NOT NULL,
  since      TEXT NOT NULL
);

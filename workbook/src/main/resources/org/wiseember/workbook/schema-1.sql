CREATE TABLE about (
  key   TEXT PRIMARY KEY,
  value TEXT NOT NULL
);

CREATE TABLE unit (
  id         INTEGER PRIMARY KEY,
  name       TEXT NOT NULL,
  created_at TEXT NOT NULL,
  removed    INTEGER NOT NULL DEFAULT 0
);

-- Every saved state of a label; the newest is the one in force, older ones are what undo returns to.
CREATE TABLE label (
  id       INTEGER PRIMARY KEY,
  unit_id  INTEGER NOT NULL REFERENCES unit (id),
  text     TEXT NOT NULL,
  by_hand  TEXT NOT NULL DEFAULT '[]',
  saved_at TEXT NOT NULL
);
CREATE INDEX label_of_unit ON label (unit_id, id);

CREATE TABLE run (
  id         INTEGER PRIMARY KEY,
  unit_id    INTEGER NOT NULL REFERENCES unit (id),
  kind       TEXT NOT NULL,
  title      TEXT NOT NULL,
  started_at TEXT NOT NULL,
  state      TEXT NOT NULL CHECK (state IN ('running', 'done', 'stopped', 'interrupted')),
  ending     TEXT NOT NULL DEFAULT '',
  settings   TEXT NOT NULL DEFAULT '{}',
  channels   TEXT NOT NULL
);
CREATE INDEX run_of_unit ON run (unit_id, id);

-- Raw readings in blocks: 64-bit little-endian floats, first all times in seconds, then each channel
-- of run.channels in order; a missing reading is NaN.
CREATE TABLE sample_block (
  run_id INTEGER NOT NULL REFERENCES run (id),
  seq    INTEGER NOT NULL,
  rows   INTEGER NOT NULL CHECK (rows > 0),
  data   BLOB NOT NULL,
  PRIMARY KEY (run_id, seq)
);
CREATE TRIGGER sample_block_keeps_values BEFORE UPDATE ON sample_block
BEGIN SELECT RAISE (ABORT, 'raw readings are never altered'); END;
CREATE TRIGGER sample_block_keeps_rows BEFORE DELETE ON sample_block
BEGIN SELECT RAISE (ABORT, 'raw readings are never altered'); END;

CREATE TABLE event (
  id      INTEGER PRIMARY KEY,
  run_id  INTEGER NOT NULL REFERENCES run (id),
  seconds REAL NOT NULL,
  code    TEXT NOT NULL,
  words   TEXT NOT NULL
);
CREATE INDEX event_of_run ON event (run_id, seconds);

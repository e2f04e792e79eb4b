-- Captured waves: 64-bit little-endian floats at an even pace; amps empty where none were captured.
CREATE TABLE capture (
  id         INTEGER PRIMARY KEY,
  run_id     INTEGER NOT NULL REFERENCES run (id),
  seconds    REAL NOT NULL,
  words      TEXT NOT NULL,
  per_second REAL NOT NULL CHECK (per_second > 0),
  volts      BLOB NOT NULL,
  amps       BLOB NOT NULL
);
CREATE INDEX capture_of_run ON capture (run_id, id);
CREATE TRIGGER capture_keeps_values BEFORE UPDATE ON capture
BEGIN SELECT RAISE (ABORT, 'raw readings are never altered'); END;
CREATE TRIGGER capture_keeps_rows BEFORE DELETE ON capture
BEGIN SELECT RAISE (ABORT, 'raw readings are never altered'); END;

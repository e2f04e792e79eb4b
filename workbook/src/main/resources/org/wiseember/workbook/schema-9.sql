-- Checksums of what was read, SHA-256. Blocks of a run are chained: each counts in the one before it, the
-- first the channels of the run; 'run' is the newest of them, so that a block that went is noticed too.
CREATE TABLE seal (
  run_id INTEGER NOT NULL REFERENCES run (id),
  of     TEXT NOT NULL CHECK (of IN ('run', 'block', 'capture', 'typed')),
  item   INTEGER NOT NULL,
  sha256 BLOB NOT NULL,
  PRIMARY KEY (run_id, of, item)
) WITHOUT ROWID;
-- REPLACE takes a row away without asking the triggers that forbid it: here it is asked before.
CREATE TRIGGER sample_block_is_new BEFORE INSERT ON sample_block
WHEN EXISTS (SELECT 1 FROM sample_block WHERE run_id = new.run_id AND seq = new.seq)
BEGIN SELECT RAISE (ABORT, 'raw readings are never altered'); END;
CREATE TRIGGER capture_is_new BEFORE INSERT ON capture
WHEN EXISTS (SELECT 1 FROM capture WHERE id = new.id)
BEGIN SELECT RAISE (ABORT, 'raw readings are never altered'); END;
CREATE TRIGGER typed_reading_is_new BEFORE INSERT ON typed_reading
WHEN EXISTS (SELECT 1 FROM typed_reading WHERE id = new.id)
BEGIN SELECT RAISE (ABORT, 'raw readings are never altered'); END;
CREATE TRIGGER typed_reading_keeps_values
BEFORE UPDATE OF run_id, seconds, meter, channel, value, resolution, as_typed ON typed_reading
BEGIN SELECT RAISE (ABORT, 'raw readings are never altered'); END;
CREATE TRIGGER typed_reading_keeps_rows BEFORE DELETE ON typed_reading
BEGIN SELECT RAISE (ABORT, 'raw readings are never altered'); END;

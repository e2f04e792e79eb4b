-- The notebook of a run: what a person pressed or wrote, and when. A press has its key, else the words
-- alone count. The moment lies between earliest and latest; sha256 seals the line as it was kept.
CREATE TABLE notebook (
  id       INTEGER PRIMARY KEY,
  run_id   INTEGER NOT NULL REFERENCES run (id),
  earliest REAL NOT NULL,
  latest   REAL NOT NULL CHECK (latest >= earliest),
  press    TEXT NOT NULL DEFAULT '',
  subject  REAL,
  words    TEXT NOT NULL,
  who      TEXT NOT NULL DEFAULT '',
  struck   INTEGER NOT NULL DEFAULT 0,
  sha256   BLOB NOT NULL
);
CREATE INDEX notebook_of_run ON notebook (run_id, earliest);
-- Which line a typed reading stood in; empty for those typed in a field of their own.
ALTER TABLE typed_reading ADD COLUMN line_id INTEGER REFERENCES notebook (id);
CREATE TRIGGER notebook_is_new BEFORE INSERT ON notebook
WHEN EXISTS (SELECT 1 FROM notebook WHERE id = new.id)
BEGIN SELECT RAISE (ABORT, 'raw readings are never altered'); END;
CREATE TRIGGER notebook_keeps_values
BEFORE UPDATE OF run_id, earliest, latest, press, subject, words, who, sha256 ON notebook
BEGIN SELECT RAISE (ABORT, 'raw readings are never altered'); END;
CREATE TRIGGER notebook_keeps_rows BEFORE DELETE ON notebook
BEGIN SELECT RAISE (ABORT, 'raw readings are never altered'); END;
CREATE TRIGGER finding_of_line AFTER INSERT ON notebook
BEGIN DELETE FROM finding WHERE run_id = new.run_id; END;
CREATE TRIGGER finding_of_line_struck AFTER UPDATE ON notebook
BEGIN DELETE FROM finding WHERE run_id = new.run_id; END;

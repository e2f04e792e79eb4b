-- Where numbers and keys stood in words meant for people, they get columns of their own. What the
-- words of old captures meant was read into capture_meant before this.
CREATE TABLE capture_8 (
  id         INTEGER PRIMARY KEY,
  run_id     INTEGER NOT NULL REFERENCES run (id),
  seconds    REAL,
  words      TEXT NOT NULL,
  mains      INTEGER NOT NULL DEFAULT 0,
  load_watts REAL,
  per_second REAL NOT NULL CHECK (per_second > 0),
  volts      BLOB NOT NULL,
  amps       BLOB NOT NULL
);
-- Captures from files have no moment: what stood there was their number.
INSERT INTO capture_8 (id, run_id, seconds, words, mains, load_watts, per_second, volts, amps)
SELECT c.id, c.run_id,
       CASE WHEN json_extract(r.settings, '$.source') = 'file' THEN NULL ELSE c.seconds END,
       c.words, coalesce(m.mains, 0), m.load_watts, c.per_second, c.volts, c.amps
FROM capture c JOIN run r ON r.id = c.run_id LEFT JOIN capture_meant m ON m.id = c.id;
DROP TABLE capture_meant;
DROP TABLE capture;
ALTER TABLE capture_8 RENAME TO capture;
CREATE INDEX capture_of_run ON capture (run_id, id);
CREATE TRIGGER capture_keeps_values BEFORE UPDATE ON capture
BEGIN SELECT RAISE (ABORT, 'raw readings are never altered'); END;
CREATE TRIGGER capture_keeps_rows BEFORE DELETE ON capture
BEGIN SELECT RAISE (ABORT, 'raw readings are never altered'); END;

-- One spelling for codes, and a column for what a notice is about.
ALTER TABLE event ADD COLUMN detail TEXT NOT NULL DEFAULT '';
UPDATE event SET code = lower(replace(code, '-', '_'));
UPDATE event SET detail = CASE words
  WHEN 'all outputs on' THEN 'all_on'
  WHEN 'AC output on' THEN 'ac_on'
  WHEN 'DC output on' THEN 'dc_on'
  WHEN 'eco mode' THEN 'eco'
  WHEN 'all outputs off' THEN 'all_off'
  ELSE '' END
WHERE code = 'idle_state';

-- A run is of a unit, or of something else that is looked at: an appliance, the mains, a generator.
CREATE TABLE subject (
  id      INTEGER PRIMARY KEY,
  kind    TEXT NOT NULL CHECK (kind IN ('appliance', 'mains', 'generator')),
  name    TEXT NOT NULL,
  removed INTEGER NOT NULL DEFAULT 0
);
CREATE TABLE run_8 (
  id         INTEGER PRIMARY KEY,
  unit_id    INTEGER REFERENCES unit (id),
  subject_id INTEGER REFERENCES subject (id),
  kind       TEXT NOT NULL,
  title      TEXT NOT NULL,
  started_at TEXT NOT NULL,
  state      TEXT NOT NULL CHECK (state IN ('running', 'done', 'stopped', 'interrupted')),
  ending     TEXT NOT NULL DEFAULT '',
  settings   TEXT NOT NULL DEFAULT '{}',
  channels   TEXT NOT NULL,
  removed    INTEGER NOT NULL DEFAULT 0,
  CHECK ((unit_id IS NULL) <> (subject_id IS NULL))
);
INSERT INTO run_8 (id, unit_id, kind, title, started_at, state, ending, settings, channels, removed)
SELECT id, unit_id, kind, title, started_at, state, ending, settings, channels, removed FROM run;
DROP TABLE run;
ALTER TABLE run_8 RENAME TO run;
CREATE INDEX run_of_unit ON run (unit_id, id);
CREATE INDEX run_of_subject ON run (subject_id, id);

-- What is known of the very unit that was tested, and when a meter was last checked.
ALTER TABLE unit ADD COLUMN serial TEXT NOT NULL DEFAULT '';
ALTER TABLE unit ADD COLUMN firmware TEXT NOT NULL DEFAULT '';
ALTER TABLE unit ADD COLUMN obtained TEXT NOT NULL DEFAULT '';
ALTER TABLE unit ADD COLUMN obtained_on TEXT NOT NULL DEFAULT '';
ALTER TABLE unit ADD COLUMN price REAL;
ALTER TABLE unit ADD COLUMN currency TEXT NOT NULL DEFAULT '';
ALTER TABLE instrument ADD COLUMN checked_on TEXT NOT NULL DEFAULT '';

-- What was worked out of runs and how units stand, so that it need not be worked out at every
-- opening. Nothing here is a reading: all of it can be worked out again, and is when it is missing.
-- method tells the version of the program's arithmetic, asked what it asked of the label and of
-- other runs, with checksums of the answers.
CREATE TABLE finding (
  run_id INTEGER PRIMARY KEY REFERENCES run (id),
  method TEXT NOT NULL,
  asked  TEXT NOT NULL,
  found  TEXT NOT NULL
);
CREATE TABLE standing (
  unit_id INTEGER PRIMARY KEY REFERENCES unit (id),
  method  TEXT NOT NULL,
  summary TEXT NOT NULL
);
-- Whoever writes: what rests on something that changed goes.
CREATE TRIGGER finding_of_samples AFTER INSERT ON sample_block
BEGIN DELETE FROM finding WHERE run_id = new.run_id; END;
CREATE TRIGGER finding_of_typed AFTER INSERT ON typed_reading
BEGIN DELETE FROM finding WHERE run_id = new.run_id; END;
CREATE TRIGGER finding_of_struck AFTER UPDATE ON typed_reading
BEGIN DELETE FROM finding WHERE run_id = new.run_id; END;
CREATE TRIGGER finding_of_event AFTER INSERT ON event
BEGIN DELETE FROM finding WHERE run_id = new.run_id; END;
CREATE TRIGGER finding_of_capture AFTER INSERT ON capture
BEGIN DELETE FROM finding WHERE run_id = new.run_id; END;
CREATE TRIGGER finding_of_capture_struck AFTER INSERT ON capture_struck
BEGIN DELETE FROM finding WHERE run_id = (SELECT run_id FROM capture WHERE id = new.capture_id); END;
CREATE TRIGGER finding_of_capture_back AFTER DELETE ON capture_struck
BEGIN DELETE FROM finding WHERE run_id = (SELECT run_id FROM capture WHERE id = old.capture_id); END;
CREATE TRIGGER finding_of_treatment AFTER INSERT ON treatment
BEGIN DELETE FROM finding WHERE run_id = new.run_id; END;
CREATE TRIGGER finding_of_run AFTER UPDATE ON run
BEGIN
  DELETE FROM finding WHERE run_id = new.id;
  DELETE FROM standing WHERE unit_id = new.unit_id;
END;
CREATE TRIGGER standing_of_new_run AFTER INSERT ON run
BEGIN DELETE FROM standing WHERE unit_id = new.unit_id; END;
CREATE TRIGGER standing_of_lost_finding AFTER DELETE ON finding
BEGIN DELETE FROM standing WHERE unit_id = (SELECT unit_id FROM run WHERE id = old.run_id); END;
CREATE TRIGGER standing_of_new_finding AFTER INSERT ON finding
BEGIN DELETE FROM standing WHERE unit_id = (SELECT unit_id FROM run WHERE id = new.run_id); END;
CREATE TRIGGER standing_of_label AFTER INSERT ON label
BEGIN DELETE FROM standing WHERE unit_id = new.unit_id; END;

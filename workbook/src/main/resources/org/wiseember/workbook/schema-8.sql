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

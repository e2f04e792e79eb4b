-- Where a line stands among the others, s on the run's clock, where that is not the middle of its moments: lines
-- entered later have their order also where nobody knows when they were (earliest -Inf, latest Inf).
ALTER TABLE notebook ADD COLUMN at REAL;
DROP TRIGGER notebook_keeps_values;
CREATE TRIGGER notebook_keeps_values
BEFORE UPDATE OF run_id, earliest, latest, at, press, subject, words, who, sha256 ON notebook
BEGIN SELECT RAISE (ABORT, 'raw readings are never altered'); END;

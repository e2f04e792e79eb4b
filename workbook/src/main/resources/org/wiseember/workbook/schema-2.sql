-- Instruments of the bench, each as the JSON of its description file.
CREATE TABLE instrument (
  id          INTEGER PRIMARY KEY,
  description TEXT NOT NULL,
  removed     INTEGER NOT NULL DEFAULT 0
);

-- What a person read off and typed. Never changed; one taken back is struck.
CREATE TABLE typed_reading (
  id         INTEGER PRIMARY KEY,
  run_id     INTEGER NOT NULL REFERENCES run (id),
  seconds    REAL NOT NULL,
  meter      TEXT NOT NULL,
  channel    TEXT NOT NULL,
  value      REAL NOT NULL,
  resolution REAL NOT NULL,
  as_typed   TEXT NOT NULL,
  struck     INTEGER NOT NULL DEFAULT 0
);
CREATE INDEX typed_reading_of_run ON typed_reading (run_id, seconds);

-- Photos stay where they are; the hash tells whether a file is still the one that was meant.
CREATE TABLE photo (
  id      INTEGER PRIMARY KEY,
  run_id  INTEGER NOT NULL REFERENCES run (id),
  seconds REAL NOT NULL,
  path    TEXT NOT NULL,
  sha256  TEXT NOT NULL,
  words   TEXT NOT NULL DEFAULT ''
);
CREATE INDEX photo_of_run ON photo (run_id, seconds);

-- How the columns of a kind of file were read, by the file's headings.
CREATE TABLE import_mapping (
  headings TEXT PRIMARY KEY,
  mapping  TEXT NOT NULL
);

-- A run that was taken back stays in the file.
ALTER TABLE run ADD COLUMN removed INTEGER NOT NULL DEFAULT 0;

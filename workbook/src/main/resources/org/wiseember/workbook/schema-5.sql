-- Captures that were taken back: the waves themselves stay as they are.
CREATE TABLE capture_struck (
  capture_id INTEGER PRIMARY KEY REFERENCES capture (id)
);

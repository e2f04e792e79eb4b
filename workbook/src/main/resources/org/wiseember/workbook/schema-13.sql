-- Where a unit comes from that was taken in from somebody else's package, JSON: its file, the SHA-256 of its list of
-- hashes, the key it was signed by, when it was taken in. Empty for a unit of one's own.
ALTER TABLE unit ADD COLUMN origin TEXT NOT NULL DEFAULT '';

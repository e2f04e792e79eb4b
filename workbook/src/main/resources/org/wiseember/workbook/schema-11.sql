-- Where a wave was captured: output, charging, behind_filter, mains, generator. Empty for captures from
-- before there were so many places: the outlet's, or the mains' where mains says so.
ALTER TABLE capture ADD COLUMN place TEXT NOT NULL DEFAULT '';

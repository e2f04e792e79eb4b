-- A charge is no longer from the wall alone.
UPDATE run SET kind = 'charge' WHERE kind = 'wall-charge';

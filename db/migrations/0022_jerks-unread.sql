-- Up Migration

-- A jerk that nobody read is not there. Until now it was kept as the moving pull itself, which a jerk that was read never is by eye.
ALTER TABLE drag_pulls ALTER COLUMN breakaway_n DROP NOT NULL;
ALTER TABLE drag_pulls DISABLE TRIGGER append_only;
UPDATE drag_pulls SET breakaway_n = NULL WHERE breakaway_n = moving_n AND instrument = 'read by eye';
ALTER TABLE drag_pulls ENABLE TRIGGER append_only;

-- Down Migration

ALTER TABLE drag_pulls DISABLE TRIGGER append_only;
UPDATE drag_pulls SET breakaway_n = moving_n WHERE breakaway_n IS NULL;
ALTER TABLE drag_pulls ENABLE TRIGGER append_only;
ALTER TABLE drag_pulls ALTER COLUMN breakaway_n SET NOT NULL;

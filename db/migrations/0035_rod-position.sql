-- Up Migration

-- Where a rod stands on the boat, as somebody has said it last; NULL while nobody has.
ALTER TABLE rigs ADD COLUMN rod_position text CHECK (rod_position IN ('port', 'stern', 'starboard'));

-- Down Migration

ALTER TABLE rigs DROP COLUMN rod_position;

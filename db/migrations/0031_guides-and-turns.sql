-- Up Migration

-- What the line runs over on a rod: null while nobody has said.
ALTER TABLE rigs ADD COLUMN guide_kind text CHECK (guide_kind IN ('rings', 'roller tip', 'rollers'));
ALTER TABLE rigs ADD COLUMN guide_count integer CHECK (guide_count BETWEEN 1 AND 30);
-- Where a star or knob stood at a pull, in turns from where the session began, tighter positive; null: not told.
ALTER TABLE drag_pulls ADD COLUMN star_turns double precision CHECK (star_turns BETWEEN -50 AND 50);

-- Down Migration

ALTER TABLE drag_pulls DROP COLUMN star_turns;
ALTER TABLE rigs DROP COLUMN guide_count;
ALTER TABLE rigs DROP COLUMN guide_kind;

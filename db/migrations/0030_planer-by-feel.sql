-- Up Migration

-- A look at a planer needs no newtons: the lever's place will do. And it may be the hand's before it goes in, or a strike's.
ALTER TABLE planer_looks ALTER COLUMN holds_n DROP NOT NULL;
ALTER TABLE planer_looks ALTER COLUMN creep DROP NOT NULL;
-- Where the preset stood, in turns from where it was first measured; null: not told.
ALTER TABLE planer_looks ADD COLUMN preset_turns double precision CHECK (preset_turns BETWEEN -100 AND 100);
-- How line came off by hand before the planer went in.
ALTER TABLE planer_looks ADD COLUMN hand_pull text CHECK (hand_pull IN ('freely', 'reluctantly', 'not at all'));
-- A strike on the bait: heard when it came, or found later.
ALTER TABLE planer_looks ADD COLUMN strike text CHECK (strike IN ('heard', 'missed'));
ALTER TABLE planer_looks ADD CONSTRAINT planer_looks_tells CHECK (num_nonnulls(creep, hand_pull, strike) >= 1);
ALTER TABLE planer_looks ADD CONSTRAINT planer_looks_where CHECK (num_nonnulls(holds_n, lever_position) >= 1);

-- Down Migration

-- The older schema knows only looks with newtons and creep: looks without them cannot be told in it, and stay where they are.
ALTER TABLE planer_looks DROP CONSTRAINT planer_looks_where;
ALTER TABLE planer_looks DROP CONSTRAINT planer_looks_tells;
ALTER TABLE planer_looks DROP COLUMN strike;
ALTER TABLE planer_looks DROP COLUMN hand_pull;
ALTER TABLE planer_looks DROP COLUMN preset_turns;

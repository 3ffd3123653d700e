-- Up Migration

-- More ways to join, and what is made of an end before two lines meet: a loop in the backing and the loop-to-loop stand at one place,
-- each tied, seated, pulled and aged on its own.
ALTER TABLE joins DROP CONSTRAINT joins_kind_check;
ALTER TABLE joins ADD CONSTRAINT joins_kind_check CHECK (kind IN ('arbor-sliding-knot', 'double-sliding-knot', 'sheath-over-mono',
  'plaited-braid-to-leader', 'wraps-over-fold', 'sleeve-splice', 'loop-to-loop', 'small-swivel',
  'loop-splice', 'long-loop-twist', 'tied-loop', 'wire-loop'));
ALTER TABLE joins ADD COLUMN part text NOT NULL DEFAULT 'join' CHECK (part IN ('join', 'inner', 'outer'));
ALTER TABLE joins ADD CONSTRAINT ends_are_of_lines
  CHECK (part = 'join' OR (kind IN ('loop-splice', 'long-loop-twist', 'tied-loop', 'wire-loop') AND inner_segment_id IS NOT NULL));
DROP INDEX joins_one_a_place;
CREATE UNIQUE INDEX joins_one_a_place ON joins (rig_id, outer_segment_id, part) WHERE removed_at IS NULL;

-- How a line is made, where that decides what its end can be; null while nobody has said.
ALTER TABLE line_products ADD COLUMN construction text
  CHECK (construction IN ('bonded sheath', 'loose sheath', 'looped ends', 'bare ends', 'hard', 'soft'));
-- The smallest opening that a join has to pass on a rod, ring or level wind (m); null while nobody has measured it.
ALTER TABLE rigs ADD COLUMN smallest_opening_m double precision CHECK (smallest_opening_m BETWEEN 0.0005 AND 0.1);

-- Down Migration

ALTER TABLE rigs DROP COLUMN smallest_opening_m;
ALTER TABLE line_products DROP COLUMN construction;
DROP INDEX joins_one_a_place;
ALTER TABLE load_joins DISABLE TRIGGER append_only;
DELETE FROM load_joins WHERE join_id IN (SELECT id FROM joins WHERE part <> 'join');
ALTER TABLE load_joins ENABLE TRIGGER append_only;
UPDATE joins SET removed_at = now() WHERE part <> 'join' AND removed_at IS NULL;
CREATE UNIQUE INDEX joins_one_a_place ON joins (rig_id, outer_segment_id) WHERE removed_at IS NULL;
ALTER TABLE joins DROP CONSTRAINT ends_are_of_lines;
ALTER TABLE joins DROP COLUMN part;
ALTER TABLE joins DROP CONSTRAINT joins_kind_check;
ALTER TABLE joins ADD CONSTRAINT joins_kind_check CHECK (kind IN ('arbor-sliding-knot', 'double-sliding-knot', 'sheath-over-mono',
  'plaited-braid-to-leader', 'loop-splice', 'loop-to-loop', 'long-loop-twist', 'small-swivel')) NOT VALID;

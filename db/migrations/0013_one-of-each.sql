-- Up Migration

-- What must be single is single by an index, however many hands press at once.

-- Rigs that a race put on one reel keep their rows: each but the first gets a copy of the reel.
DO $$
DECLARE
  extra record;
  copy uuid;
BEGIN
  FOR extra IN
    SELECT rig.id, rig.boat_id, rig.reel_id FROM rigs rig
    WHERE EXISTS (SELECT FROM rigs first WHERE first.reel_id = rig.reel_id
      AND (first.locker_order, first.id) < (rig.locker_order, rig.id))
  LOOP
    copy := gen_random_uuid();
    INSERT INTO reels (id, boat_id, name, kind, arbor_diameter_m, width_m, full_diameter_m, dimension_sd_m, dimension_source,
      counter_kind, counter_unit_m, counter_digits, counter_length_per_turn_m, counter_length_per_turn_sd_m, counter_source,
      counter_display, wind_hand, drag_kind, drag_limit_n)
    SELECT copy, boat_id, left(name, 72) || ' (again)', kind, arbor_diameter_m, width_m, full_diameter_m, dimension_sd_m,
      dimension_source, counter_kind, counter_unit_m, counter_digits, counter_length_per_turn_m, counter_length_per_turn_sd_m,
      counter_source, counter_display, wind_hand, drag_kind, drag_limit_n FROM reels WHERE id = extra.reel_id;
    INSERT INTO reel_capacity_ratings (boat_id, reel_id, label, line_diameter_m, length_m)
    SELECT boat_id, copy, label, line_diameter_m, length_m FROM reel_capacity_ratings WHERE reel_id = extra.reel_id;
    UPDATE rigs SET reel_id = copy WHERE id = extra.id;
  END LOOP;
END
$$;
CREATE UNIQUE INDEX rigs_one_a_reel ON rigs (reel_id);

-- Levels are corrected and taken back like every other measurement; the one at the end of a load is one of them.
ALTER TABLE level_readings ADD COLUMN corrects_id uuid;
ALTER TABLE level_readings ADD COLUMN withdrawn boolean NOT NULL DEFAULT false;
ALTER TABLE level_readings ADD FOREIGN KEY (boat_id, corrects_id) REFERENCES level_readings (boat_id, id);
INSERT INTO level_readings (boat_id, load_id, segment_id, level_below_rim_m, instrument, noted_at)
SELECT loads.boat_id, loads.id, last.segment_id, loads.level_below_rim_m, 'read by eye', loads.finished_at
FROM loads
JOIN LATERAL (SELECT segment_id FROM load_segments WHERE load_id = loads.id AND wound ORDER BY position DESC LIMIT 1) last ON true
WHERE loads.level_below_rim_m IS NOT NULL AND loads.finished_at IS NOT NULL;
ALTER TABLE loads DROP COLUMN level_below_rim_m;

-- Notes of one thing form a chain: a later one corrects the one before it, withdrawn or not, so that one stands.
ALTER TABLE winding_entries DISABLE TRIGGER append_only;
ALTER TABLE colour_readings DISABLE TRIGGER append_only;
ALTER TABLE level_readings DISABLE TRIGGER append_only;
DO $$
DECLARE
  note record;
  tail uuid;
BEGIN
  FOR note IN SELECT id, load_id, segment_id, noted_at FROM winding_entries WHERE corrects_id IS NULL ORDER BY noted_at, id LOOP
    SELECT id INTO tail FROM winding_entries earlier
    WHERE earlier.load_id = note.load_id AND earlier.segment_id = note.segment_id AND earlier.id <> note.id
      AND (earlier.noted_at, earlier.id) < (note.noted_at, note.id)
      AND NOT EXISTS (SELECT FROM winding_entries later WHERE later.corrects_id = earlier.id)
    ORDER BY earlier.noted_at DESC, earlier.id DESC LIMIT 1;
    IF FOUND THEN UPDATE winding_entries SET corrects_id = tail WHERE id = note.id; END IF;
  END LOOP;
  FOR note IN SELECT id, load_id, segment_id, colours_on, noted_at FROM colour_readings WHERE corrects_id IS NULL ORDER BY noted_at, id LOOP
    SELECT id INTO tail FROM colour_readings earlier
    WHERE earlier.load_id = note.load_id AND earlier.segment_id = note.segment_id AND earlier.colours_on = note.colours_on
      AND earlier.id <> note.id AND (earlier.noted_at, earlier.id) < (note.noted_at, note.id)
      AND NOT EXISTS (SELECT FROM colour_readings later WHERE later.corrects_id = earlier.id)
    ORDER BY earlier.noted_at DESC, earlier.id DESC LIMIT 1;
    IF FOUND THEN UPDATE colour_readings SET corrects_id = tail WHERE id = note.id; END IF;
  END LOOP;
  FOR note IN SELECT id, load_id, segment_id, noted_at FROM level_readings WHERE corrects_id IS NULL ORDER BY noted_at, id LOOP
    SELECT id INTO tail FROM level_readings earlier
    WHERE earlier.load_id = note.load_id AND earlier.segment_id = note.segment_id AND earlier.id <> note.id
      AND (earlier.noted_at, earlier.id) < (note.noted_at, note.id)
      AND NOT EXISTS (SELECT FROM level_readings later WHERE later.corrects_id = earlier.id)
    ORDER BY earlier.noted_at DESC, earlier.id DESC LIMIT 1;
    IF FOUND THEN UPDATE level_readings SET corrects_id = tail WHERE id = note.id; END IF;
  END LOOP;
END
$$;
ALTER TABLE winding_entries ENABLE TRIGGER append_only;
ALTER TABLE colour_readings ENABLE TRIGGER append_only;
ALTER TABLE level_readings ENABLE TRIGGER append_only;
CREATE UNIQUE INDEX winding_entries_one_chain ON winding_entries (load_id, segment_id) WHERE corrects_id IS NULL;
CREATE UNIQUE INDEX colour_readings_one_chain ON colour_readings (load_id, segment_id, colours_on) WHERE corrects_id IS NULL;
CREATE UNIQUE INDEX level_readings_one_chain ON level_readings (load_id, segment_id) WHERE corrects_id IS NULL;
CREATE UNIQUE INDEX level_readings_corrected_once ON level_readings (corrects_id);

-- A segment's key is made by the browser: it is unique on its boat, and says nothing about another's.
ALTER TABLE segments DROP CONSTRAINT segments_pkey;
ALTER TABLE segments ADD PRIMARY KEY (boat_id, id);

-- Two owners may each call a boat the same. There is no sign-in yet, so every boat belongs to this machine.
ALTER TABLE boats ADD COLUMN owner text NOT NULL DEFAULT 'this machine' CHECK (length(owner) BETWEEN 1 AND 80);
DROP INDEX boats_name_once;
CREATE UNIQUE INDEX boats_name_once_an_owner ON boats (owner, lower(name));

-- A mark lies on a segment of its load.
ALTER TABLE line_marks ADD FOREIGN KEY (load_id, segment_id) REFERENCES load_segments (load_id, segment_id);

CREATE INDEX log_entries_of_boat ON log_entries (boat_id, noted_at DESC);
CREATE INDEX rigs_of_boat ON rigs (boat_id, locker_order, name);
CREATE INDEX segments_of_rig ON segments (rig_id, position);
CREATE INDEX reel_capacity_ratings_of_reel ON reel_capacity_ratings (reel_id);
CREATE INDEX strength_tests_of_line ON strength_tests (line_product_id, started_at);
CREATE INDEX supply_spools_of_line ON supply_spools (line_product_id);
CREATE INDEX reverse_fills_of_reel ON reverse_fills (reel_id, noted_at);
CREATE INDEX reel_resets_of_reel ON reel_resets (reel_id, noted_at);
CREATE INDEX lever_points_of_setting ON lever_points (drag_setting_id);
CREATE INDEX calibrations_of_load ON calibrations (load_id, accepted_at);
CREATE INDEX drag_settings_of_load ON drag_settings (load_id);
CREATE INDEX load_segments_of_segment ON load_segments (boat_id, segment_id);
CREATE INDEX supply_debits_of_load ON supply_debits (load_id);

-- Down Migration

DROP INDEX supply_debits_of_load, load_segments_of_segment, drag_settings_of_load, calibrations_of_load,
  lever_points_of_setting, reel_resets_of_reel, reverse_fills_of_reel, supply_spools_of_line, strength_tests_of_line,
  reel_capacity_ratings_of_reel, segments_of_rig, rigs_of_boat, log_entries_of_boat;
ALTER TABLE line_marks DROP CONSTRAINT line_marks_load_id_segment_id_fkey;
DROP INDEX boats_name_once_an_owner;
ALTER TABLE boats DROP COLUMN owner;
CREATE UNIQUE INDEX boats_name_once ON boats (lower(name));
ALTER TABLE segments DROP CONSTRAINT segments_pkey;
ALTER TABLE segments ADD PRIMARY KEY (id);
DROP INDEX level_readings_corrected_once, level_readings_one_chain, colour_readings_one_chain, winding_entries_one_chain;
ALTER TABLE loads ADD COLUMN level_below_rim_m double precision CHECK (level_below_rim_m BETWEEN -0.02 AND 0.2);
UPDATE loads SET level_below_rim_m = (
  SELECT level_below_rim_m FROM level_readings
  WHERE load_id = loads.id AND NOT withdrawn
    AND NOT EXISTS (SELECT FROM level_readings later WHERE later.corrects_id = level_readings.id)
    AND segment_id = (SELECT segment_id FROM load_segments WHERE load_id = loads.id AND wound ORDER BY position DESC LIMIT 1))
WHERE status = 'wound';
ALTER TABLE level_readings DISABLE TRIGGER append_only;
DELETE FROM level_readings WHERE withdrawn OR EXISTS (SELECT FROM level_readings later WHERE later.corrects_id = level_readings.id);
ALTER TABLE level_readings ENABLE TRIGGER append_only;
ALTER TABLE level_readings DROP COLUMN corrects_id, DROP COLUMN withdrawn;
DROP INDEX rigs_one_a_reel;

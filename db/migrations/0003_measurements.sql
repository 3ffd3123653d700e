-- Up Migration

-- Measurements are append-only. A correction is a new row that names the row it corrects; a withdrawn
-- one also says why. Readers take the rows that no later row corrects and that are not withdrawn.

CREATE FUNCTION refuse_change_of_measurement() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  RAISE EXCEPTION 'rows of % are measurements: add a correction instead', TG_TABLE_NAME
    USING ERRCODE = 'restrict_violation';
END
$$;

CREATE TABLE winding_entries (
  id uuid NOT NULL DEFAULT gen_random_uuid() PRIMARY KEY,
  boat_id uuid NOT NULL,
  load_id uuid NOT NULL,
  segment_id uuid NOT NULL,
  reading integer CHECK (reading >= 0),
  instrument text NOT NULL CHECK (length(instrument) BETWEEN 1 AND 80),
  -- The line ended elsewhere than it was known to, so that its length follows from the counts.
  length_by_counter boolean NOT NULL DEFAULT false,
  note text NOT NULL DEFAULT '' CHECK (length(note) <= 500),
  noted_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  corrects_id uuid,
  withdrawn boolean NOT NULL DEFAULT false,
  FOREIGN KEY (load_id, segment_id) REFERENCES load_segments (load_id, segment_id),
  FOREIGN KEY (boat_id, load_id) REFERENCES loads (boat_id, id),
  FOREIGN KEY (boat_id, corrects_id) REFERENCES winding_entries (boat_id, id),
  UNIQUE (boat_id, id)
);

-- Levels measured while winding, with the end of a segment just on; the newest one after a segment counts.
CREATE TABLE level_readings (
  id uuid NOT NULL DEFAULT gen_random_uuid() PRIMARY KEY,
  boat_id uuid NOT NULL,
  load_id uuid NOT NULL,
  segment_id uuid NOT NULL,
  level_below_rim_m double precision NOT NULL CHECK (level_below_rim_m BETWEEN -0.02 AND 0.2),
  instrument text NOT NULL CHECK (length(instrument) BETWEEN 1 AND 80),
  noted_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  FOREIGN KEY (load_id, segment_id) REFERENCES load_segments (load_id, segment_id),
  FOREIGN KEY (boat_id, load_id) REFERENCES loads (boat_id, id),
  UNIQUE (boat_id, id)
);

CREATE TABLE line_changes (
  id uuid NOT NULL DEFAULT gen_random_uuid() PRIMARY KEY,
  boat_id uuid NOT NULL,
  load_id uuid NOT NULL,
  segment_id uuid NOT NULL,
  change_m double precision NOT NULL CHECK (change_m <> 0 AND abs(change_m) <= 5000),
  reason text NOT NULL CHECK (reason IN ('stripped', 'lost', 'added')),
  note text NOT NULL DEFAULT '' CHECK (length(note) <= 500),
  noted_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  corrects_id uuid,
  withdrawn boolean NOT NULL DEFAULT false,
  CHECK ((reason = 'added') = (change_m > 0)),
  FOREIGN KEY (load_id, segment_id) REFERENCES load_segments (load_id, segment_id),
  FOREIGN KEY (boat_id, load_id) REFERENCES loads (boat_id, id),
  FOREIGN KEY (boat_id, corrects_id) REFERENCES line_changes (boat_id, id),
  UNIQUE (boat_id, id)
);

CREATE TABLE counter_trials (
  id uuid NOT NULL DEFAULT gen_random_uuid() PRIMARY KEY,
  boat_id uuid NOT NULL,
  load_id uuid NOT NULL,
  true_length_m double precision NOT NULL CHECK (true_length_m > 0 AND true_length_m <= 2000),
  reading double precision NOT NULL CHECK (reading > 0),
  stripped_before_m double precision NOT NULL DEFAULT 0,
  instrument text NOT NULL CHECK (length(instrument) BETWEEN 1 AND 80),
  noted_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  corrects_id uuid,
  withdrawn boolean NOT NULL DEFAULT false,
  FOREIGN KEY (boat_id, load_id) REFERENCES loads (boat_id, id),
  FOREIGN KEY (boat_id, corrects_id) REFERENCES counter_trials (boat_id, id),
  UNIQUE (boat_id, id)
);

CREATE TABLE calibrations (
  id uuid NOT NULL DEFAULT gen_random_uuid() PRIMARY KEY,
  boat_id uuid NOT NULL,
  rig_id uuid NOT NULL,
  load_id uuid NOT NULL,
  method text NOT NULL CHECK (method IN ('true', 'card')),
  length_per_turn_m double precision NOT NULL CHECK (length_per_turn_m > 0),
  length_per_turn_sd_m double precision NOT NULL CHECK (length_per_turn_sd_m >= 0),
  basis jsonb NOT NULL,
  accepted_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  FOREIGN KEY (boat_id, rig_id) REFERENCES rigs (boat_id, id),
  FOREIGN KEY (boat_id, load_id) REFERENCES loads (boat_id, id),
  UNIQUE (boat_id, id)
);

CREATE TABLE strength_tests (
  id uuid NOT NULL DEFAULT gen_random_uuid() PRIMARY KEY,
  boat_id uuid NOT NULL,
  line_product_id uuid NOT NULL,
  supply_spool_id uuid,
  condition text NOT NULL CHECK (condition IN ('dry', 'soaked')),
  gauge_length_m double precision NOT NULL CHECK (gauge_length_m > 0 AND gauge_length_m <= 50),
  -- Written down before the first pull.
  expected_n double precision NOT NULL CHECK (expected_n > 0 AND expected_n < 20000),
  sample_label text NOT NULL DEFAULT '' CHECK (length(sample_label) <= 120),
  started_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  FOREIGN KEY (boat_id, line_product_id) REFERENCES line_products (boat_id, id),
  FOREIGN KEY (boat_id, supply_spool_id) REFERENCES supply_spools (boat_id, id),
  UNIQUE (boat_id, id)
);

CREATE TABLE strength_pulls (
  id uuid NOT NULL DEFAULT gen_random_uuid() PRIMARY KEY,
  boat_id uuid NOT NULL,
  strength_test_id uuid NOT NULL,
  peak_n double precision NOT NULL CHECK (peak_n > 0 AND peak_n < 20000),
  break_place text NOT NULL CHECK (break_place IN ('middle', 'grip', 'knot')),
  instrument text NOT NULL CHECK (length(instrument) BETWEEN 1 AND 80),
  noted_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  corrects_id uuid,
  withdrawn boolean NOT NULL DEFAULT false,
  FOREIGN KEY (boat_id, strength_test_id) REFERENCES strength_tests (boat_id, id),
  FOREIGN KEY (boat_id, corrects_id) REFERENCES strength_pulls (boat_id, id),
  UNIQUE (boat_id, id)
);

CREATE TABLE drag_settings (
  id uuid NOT NULL DEFAULT gen_random_uuid() PRIMARY KEY,
  boat_id uuid NOT NULL,
  rig_id uuid NOT NULL,
  load_id uuid NOT NULL,
  fraction double precision NOT NULL CHECK (fraction BETWEEN 0.05 AND 0.4),
  strength_basis text NOT NULL CHECK (strength_basis IN ('label', 'tested', 'weakest')),
  target_n double precision NOT NULL CHECK (target_n > 0 AND target_n < 5000),
  rod_angle_rad double precision NOT NULL CHECK (rod_angle_rad BETWEEN 0 AND 3.15),
  basis jsonb NOT NULL,
  started_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  accepted_at timestamptz,
  FOREIGN KEY (boat_id, rig_id) REFERENCES rigs (boat_id, id),
  FOREIGN KEY (boat_id, load_id) REFERENCES loads (boat_id, id),
  UNIQUE (boat_id, id)
);

CREATE TABLE drag_pulls (
  id uuid NOT NULL DEFAULT gen_random_uuid() PRIMARY KEY,
  boat_id uuid NOT NULL,
  drag_setting_id uuid NOT NULL,
  kind text NOT NULL CHECK (kind IN ('warm-up', 'bent rod', 'straight')),
  moving_n double precision NOT NULL CHECK (moving_n > 0 AND moving_n < 5000),
  breakaway_n double precision NOT NULL CHECK (breakaway_n > 0 AND breakaway_n < 5000),
  setting_step integer NOT NULL DEFAULT 0 CHECK (setting_step >= 0),
  instrument text NOT NULL CHECK (length(instrument) BETWEEN 1 AND 80),
  noted_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  corrects_id uuid,
  withdrawn boolean NOT NULL DEFAULT false,
  FOREIGN KEY (boat_id, drag_setting_id) REFERENCES drag_settings (boat_id, id),
  FOREIGN KEY (boat_id, corrects_id) REFERENCES drag_pulls (boat_id, id),
  UNIQUE (boat_id, id)
);

CREATE TABLE lever_points (
  id uuid NOT NULL DEFAULT gen_random_uuid() PRIMARY KEY,
  boat_id uuid NOT NULL,
  drag_setting_id uuid NOT NULL,
  lever_position double precision NOT NULL CHECK (lever_position BETWEEN 0 AND 1),
  preset_turns double precision NOT NULL DEFAULT 0,
  force_n double precision NOT NULL CHECK (force_n >= 0 AND force_n < 5000),
  noted_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  corrects_id uuid,
  withdrawn boolean NOT NULL DEFAULT false,
  FOREIGN KEY (boat_id, drag_setting_id) REFERENCES drag_settings (boat_id, id),
  FOREIGN KEY (boat_id, corrects_id) REFERENCES lever_points (boat_id, id),
  UNIQUE (boat_id, id)
);

CREATE TABLE log_entries (
  id uuid NOT NULL DEFAULT gen_random_uuid() PRIMARY KEY,
  boat_id uuid NOT NULL REFERENCES boats (id),
  rig_id uuid,
  person_id uuid,
  kind text NOT NULL CHECK (kind IN ('load', 'count', 'strength', 'drag', 'join', 'note')),
  entry text NOT NULL CHECK (length(trim(entry)) BETWEEN 1 AND 500),
  noted_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  FOREIGN KEY (boat_id, rig_id) REFERENCES rigs (boat_id, id),
  FOREIGN KEY (boat_id, person_id) REFERENCES people (boat_id, id),
  UNIQUE (boat_id, id)
);

-- A correction corrects a row once.
CREATE UNIQUE INDEX winding_entries_corrected_once ON winding_entries (corrects_id);
CREATE UNIQUE INDEX line_changes_corrected_once ON line_changes (corrects_id);
CREATE UNIQUE INDEX counter_trials_corrected_once ON counter_trials (corrects_id);
CREATE UNIQUE INDEX strength_pulls_corrected_once ON strength_pulls (corrects_id);
CREATE UNIQUE INDEX drag_pulls_corrected_once ON drag_pulls (corrects_id);
CREATE UNIQUE INDEX lever_points_corrected_once ON lever_points (corrects_id);

CREATE INDEX winding_entries_of_load ON winding_entries (load_id, noted_at);
CREATE INDEX level_readings_of_load ON level_readings (load_id, noted_at);
CREATE INDEX line_changes_of_load ON line_changes (load_id, noted_at);
CREATE INDEX counter_trials_of_load ON counter_trials (load_id, noted_at);
CREATE INDEX strength_pulls_of_test ON strength_pulls (strength_test_id, noted_at);
CREATE INDEX drag_pulls_of_setting ON drag_pulls (drag_setting_id, noted_at);
CREATE INDEX log_entries_of_rig ON log_entries (rig_id, noted_at);
CREATE INDEX loads_of_rig ON loads (rig_id, started_at);
CREATE INDEX drag_settings_of_rig ON drag_settings (rig_id, started_at);
CREATE INDEX calibrations_of_rig ON calibrations (rig_id, accepted_at);

CREATE TRIGGER append_only BEFORE UPDATE OR DELETE ON winding_entries FOR EACH ROW EXECUTE FUNCTION refuse_change_of_measurement();
CREATE TRIGGER append_only BEFORE UPDATE OR DELETE ON level_readings FOR EACH ROW EXECUTE FUNCTION refuse_change_of_measurement();
CREATE TRIGGER append_only BEFORE UPDATE OR DELETE ON line_changes FOR EACH ROW EXECUTE FUNCTION refuse_change_of_measurement();
CREATE TRIGGER append_only BEFORE UPDATE OR DELETE ON counter_trials FOR EACH ROW EXECUTE FUNCTION refuse_change_of_measurement();
CREATE TRIGGER append_only BEFORE UPDATE OR DELETE ON calibrations FOR EACH ROW EXECUTE FUNCTION refuse_change_of_measurement();
CREATE TRIGGER append_only BEFORE UPDATE OR DELETE ON strength_tests FOR EACH ROW EXECUTE FUNCTION refuse_change_of_measurement();
CREATE TRIGGER append_only BEFORE UPDATE OR DELETE ON strength_pulls FOR EACH ROW EXECUTE FUNCTION refuse_change_of_measurement();
CREATE TRIGGER append_only BEFORE UPDATE OR DELETE ON drag_pulls FOR EACH ROW EXECUTE FUNCTION refuse_change_of_measurement();
CREATE TRIGGER append_only BEFORE UPDATE OR DELETE ON lever_points FOR EACH ROW EXECUTE FUNCTION refuse_change_of_measurement();
CREATE TRIGGER append_only BEFORE UPDATE OR DELETE ON log_entries FOR EACH ROW EXECUTE FUNCTION refuse_change_of_measurement();

-- Down Migration

DROP TABLE log_entries, lever_points, drag_pulls, drag_settings, strength_pulls, strength_tests, calibrations,
  counter_trials, line_changes, level_readings, winding_entries;
DROP FUNCTION refuse_change_of_measurement();

-- Up Migration

-- How a rig is towed, as somebody has said it last: speed and what measures it, water, tip, lure, bottom, a rule of thumb.
ALTER TABLE rigs ADD COLUMN towed jsonb CHECK (jsonb_typeof(towed) = 'object');
-- What a metre of line weighs, dry (kg), where somebody has weighed a length of it.
ALTER TABLE line_products ADD COLUMN mass_kg_per_m double precision CHECK (mass_kg_per_m > 0 AND mass_kg_per_m <= 0.5);

ALTER TABLE log_entries DROP CONSTRAINT log_entries_kind_check;
ALTER TABLE log_entries ADD CONSTRAINT log_entries_kind_check
  CHECK (topic IN ('load', 'count', 'strength', 'drag', 'depth', 'join', 'note'));

-- The water log: a touch of bottom, a mark on the sonar or a strike, with what was out and how fast; depth where it was known.
CREATE TABLE water_marks (
  id uuid NOT NULL DEFAULT gen_random_uuid() PRIMARY KEY,
  boat_id uuid NOT NULL,
  rig_id uuid NOT NULL,
  load_id uuid NOT NULL,
  kind text NOT NULL CHECK (kind IN ('bottom', 'sonar', 'strike')),
  reading integer CHECK (reading >= 0),
  laps integer CHECK (laps BETWEEN 0 AND 50),
  length_out_m double precision CHECK (length_out_m > 0 AND length_out_m <= 5000),
  depth_m double precision CHECK (depth_m > 0 AND depth_m <= 1000),
  speed_m_s double precision NOT NULL CHECK (speed_m_s BETWEEN 0.1 AND 10),
  lure text NOT NULL CHECK (length(lure) BETWEEN 1 AND 60),
  side text CHECK (side IN ('port', 'middle', 'starboard')),
  turn text NOT NULL CHECK (turn IN ('straight', 'inside', 'outside')),
  note text NOT NULL DEFAULT '' CHECK (length(note) <= 200),
  instrument text NOT NULL CHECK (length(instrument) BETWEEN 1 AND 80),
  noted_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  noted_by uuid DEFAULT current_person(),
  act_id uuid DEFAULT current_act(),
  corrects_id uuid,
  withdrawn boolean NOT NULL DEFAULT false,
  CHECK (num_nonnulls(reading, length_out_m) = 1),
  CHECK (kind = 'strike' OR depth_m IS NOT NULL),
  FOREIGN KEY (boat_id, rig_id) REFERENCES rigs (boat_id, id),
  FOREIGN KEY (boat_id, load_id) REFERENCES loads (boat_id, id),
  FOREIGN KEY (boat_id, noted_by) REFERENCES people (boat_id, id),
  FOREIGN KEY (boat_id, act_id) REFERENCES acts (boat_id, id),
  FOREIGN KEY (boat_id, corrects_id) REFERENCES water_marks (boat_id, id),
  UNIQUE (boat_id, id)
);
CREATE INDEX water_marks_corrected ON water_marks (corrects_id);
CREATE INDEX water_marks_of_rig ON water_marks (rig_id, noted_at);
CREATE TRIGGER append_only BEFORE UPDATE OR DELETE ON water_marks FOR EACH ROW EXECUTE FUNCTION refuse_change_of_measurement();
SELECT guard_boat_table('water_marks', 'measurement');

-- Down Migration

DROP TABLE water_marks;
ALTER TABLE log_entries DROP CONSTRAINT log_entries_kind_check;
-- The older schema knows no such entries: those that are there stay.
ALTER TABLE log_entries ADD CONSTRAINT log_entries_kind_check
  CHECK (topic IN ('load', 'count', 'strength', 'drag', 'join', 'note')) NOT VALID;
ALTER TABLE line_products DROP COLUMN mass_kg_per_m;
ALTER TABLE rigs DROP COLUMN towed;

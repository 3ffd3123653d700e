-- Up Migration

-- A pull with the lever at a place of its sweep belongs to a load, with or without a scale session.
ALTER TABLE lever_points ALTER COLUMN drag_setting_id DROP NOT NULL;
ALTER TABLE lever_points ADD COLUMN load_id uuid;
-- Points that are there were pulled in a scale session, and that belongs to a load.
ALTER TABLE lever_points DISABLE TRIGGER append_only;
UPDATE lever_points SET load_id = (SELECT load_id FROM drag_settings WHERE drag_settings.id = drag_setting_id);
ALTER TABLE lever_points ENABLE TRIGGER append_only;
ALTER TABLE lever_points ALTER COLUMN load_id SET NOT NULL;
ALTER TABLE lever_points ADD COLUMN instrument text NOT NULL DEFAULT 'read by eye' CHECK (length(instrument) BETWEEN 1 AND 80);
ALTER TABLE lever_points ADD FOREIGN KEY (boat_id, load_id) REFERENCES loads (boat_id, id);
CREATE INDEX lever_points_of_load ON lever_points (load_id, noted_at);

-- What was done with lever and preset, in order: their state is what these steps come to.
CREATE TABLE preset_acts (
  id uuid NOT NULL DEFAULT gen_random_uuid() PRIMARY KEY,
  boat_id uuid NOT NULL,
  rig_id uuid NOT NULL,
  act text NOT NULL CHECK (act IN ('to-free', 'into-gear', 'turn', 'was-turned-in-gear')),
  turns double precision CHECK (turns BETWEEN -10 AND 10 AND turns <> 0),
  noted_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  CHECK ((turns IS NULL) = (act IN ('to-free', 'into-gear'))),
  FOREIGN KEY (boat_id, rig_id) REFERENCES rigs (boat_id, id),
  UNIQUE (boat_id, id)
);
CREATE INDEX preset_acts_of_rig ON preset_acts (rig_id, noted_at);
CREATE TRIGGER append_only BEFORE UPDATE OR DELETE ON preset_acts FOR EACH ROW EXECUTE FUNCTION refuse_change_of_measurement();

-- One look at a towed planer.
CREATE TABLE planer_looks (
  id uuid NOT NULL DEFAULT gen_random_uuid() PRIMARY KEY,
  boat_id uuid NOT NULL,
  rig_id uuid NOT NULL,
  planer text NOT NULL CHECK (length(trim(planer)) BETWEEN 1 AND 60),
  speed_m_s double precision NOT NULL CHECK (speed_m_s BETWEEN 0.2 AND 15),
  holds_n double precision NOT NULL CHECK (holds_n > 0 AND holds_n < 5000),
  lever_position double precision CHECK (lever_position BETWEEN 0 AND 1),
  heading text NOT NULL CHECK (heading IN ('into the waves', 'across', 'following sea')),
  current text NOT NULL CHECK (current IN ('with you', 'none', 'against you')),
  creep text NOT NULL CHECK (creep IN ('none', 'some', 'much')),
  is_set boolean NOT NULL,
  instrument text NOT NULL CHECK (length(instrument) BETWEEN 1 AND 80),
  noted_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  corrects_id uuid,
  withdrawn boolean NOT NULL DEFAULT false,
  FOREIGN KEY (boat_id, rig_id) REFERENCES rigs (boat_id, id),
  FOREIGN KEY (boat_id, corrects_id) REFERENCES planer_looks (boat_id, id),
  UNIQUE (boat_id, id)
);
CREATE UNIQUE INDEX planer_looks_corrected_once ON planer_looks (corrects_id);
CREATE INDEX planer_looks_of_rig ON planer_looks (rig_id, noted_at);
CREATE TRIGGER append_only BEFORE UPDATE OR DELETE ON planer_looks FOR EACH ROW EXECUTE FUNCTION refuse_change_of_measurement();

-- Down Migration

DROP TABLE planer_looks;
DROP TABLE preset_acts;
ALTER TABLE lever_points DROP COLUMN instrument;
ALTER TABLE lever_points DROP COLUMN load_id;
-- Points without a session stay: the older schema knew none, so its column stays open.

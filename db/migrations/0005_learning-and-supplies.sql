-- Up Migration

-- A reel may be known by its maker's ratings alone: a dimension that nobody measured is not there.
ALTER TABLE reels ALTER COLUMN arbor_diameter_m DROP NOT NULL;
ALTER TABLE reels ALTER COLUMN width_m DROP NOT NULL;
ALTER TABLE reels ALTER COLUMN full_diameter_m DROP NOT NULL;

-- What was learned of a reel up to then counts no more.
CREATE TABLE reel_resets (
  id uuid NOT NULL DEFAULT gen_random_uuid() PRIMARY KEY,
  boat_id uuid NOT NULL,
  reel_id uuid NOT NULL,
  reason text NOT NULL CHECK (length(trim(reason)) BETWEEN 1 AND 500),
  noted_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  FOREIGN KEY (boat_id, reel_id) REFERENCES reels (boat_id, id),
  UNIQUE (boat_id, id)
);

-- A capacity found by hand: known lines wound the wrong way round until the spool was full.
CREATE TABLE reverse_fills (
  id uuid NOT NULL DEFAULT gen_random_uuid() PRIMARY KEY,
  boat_id uuid NOT NULL,
  reel_id uuid NOT NULL,
  level_below_rim_m double precision NOT NULL CHECK (level_below_rim_m BETWEEN -0.02 AND 0.2),
  even_tension boolean NOT NULL,
  note text NOT NULL DEFAULT '' CHECK (length(note) <= 500),
  noted_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  corrects_id uuid,
  withdrawn boolean NOT NULL DEFAULT false,
  FOREIGN KEY (boat_id, reel_id) REFERENCES reels (boat_id, id),
  FOREIGN KEY (boat_id, corrects_id) REFERENCES reverse_fills (boat_id, id),
  UNIQUE (boat_id, id)
);

CREATE TABLE reverse_fill_segments (
  boat_id uuid NOT NULL,
  reverse_fill_id uuid NOT NULL,
  position smallint NOT NULL CHECK (position BETWEEN 0 AND 39),
  line_product_id uuid NOT NULL,
  length_m double precision NOT NULL CHECK (length_m > 0 AND length_m <= 5000),
  PRIMARY KEY (reverse_fill_id, position),
  FOREIGN KEY (boat_id, reverse_fill_id) REFERENCES reverse_fills (boat_id, id),
  FOREIGN KEY (boat_id, line_product_id) REFERENCES line_products (boat_id, id)
);

-- What the counter showed when a colour of lead core had just gone on: a ruler of its own.
CREATE TABLE colour_readings (
  id uuid NOT NULL DEFAULT gen_random_uuid() PRIMARY KEY,
  boat_id uuid NOT NULL,
  load_id uuid NOT NULL,
  segment_id uuid NOT NULL,
  colours_on smallint NOT NULL CHECK (colours_on BETWEEN 1 AND 20),
  reading integer NOT NULL CHECK (reading >= 0),
  instrument text NOT NULL CHECK (length(instrument) BETWEEN 1 AND 80),
  noted_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  corrects_id uuid,
  withdrawn boolean NOT NULL DEFAULT false,
  FOREIGN KEY (load_id, segment_id) REFERENCES load_segments (load_id, segment_id),
  FOREIGN KEY (boat_id, load_id) REFERENCES loads (boat_id, id),
  FOREIGN KEY (boat_id, corrects_id) REFERENCES colour_readings (boat_id, id),
  UNIQUE (boat_id, id)
);

-- Stops without a counter: a winding machine's meter, or spool turns that were counted.
ALTER TABLE winding_entries ADD COLUMN metered_length_m double precision
  CHECK (metered_length_m > 0 AND metered_length_m <= 5000);
ALTER TABLE winding_entries ADD COLUMN turns_counted double precision
  CHECK (turns_counted > 0 AND turns_counted <= 100000);

-- A worn top shot that was replaced: the newest row of a segment says what is on now.
CREATE TABLE segment_replacements (
  id uuid NOT NULL DEFAULT gen_random_uuid() PRIMARY KEY,
  boat_id uuid NOT NULL,
  load_id uuid NOT NULL,
  segment_id uuid NOT NULL,
  line_product_id uuid NOT NULL,
  length_m double precision NOT NULL CHECK (length_m > 0 AND length_m <= 5000),
  note text NOT NULL DEFAULT '' CHECK (length(note) <= 500),
  noted_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  corrects_id uuid,
  withdrawn boolean NOT NULL DEFAULT false,
  FOREIGN KEY (load_id, segment_id) REFERENCES load_segments (load_id, segment_id),
  FOREIGN KEY (boat_id, load_id) REFERENCES loads (boat_id, id),
  FOREIGN KEY (boat_id, line_product_id) REFERENCES line_products (boat_id, id),
  FOREIGN KEY (boat_id, corrects_id) REFERENCES segment_replacements (boat_id, id),
  UNIQUE (boat_id, id)
);

-- What a load or a replacement took from a supply spool.
CREATE TABLE supply_debits (
  id uuid NOT NULL DEFAULT gen_random_uuid() PRIMARY KEY,
  boat_id uuid NOT NULL,
  supply_spool_id uuid NOT NULL,
  load_id uuid NOT NULL,
  segment_id uuid NOT NULL,
  length_m double precision NOT NULL CHECK (length_m > 0 AND length_m <= 5000),
  noted_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  FOREIGN KEY (boat_id, supply_spool_id) REFERENCES supply_spools (boat_id, id),
  FOREIGN KEY (load_id, segment_id) REFERENCES load_segments (load_id, segment_id),
  FOREIGN KEY (boat_id, load_id) REFERENCES loads (boat_id, id),
  UNIQUE (boat_id, id)
);

CREATE UNIQUE INDEX reverse_fills_corrected_once ON reverse_fills (corrects_id);
CREATE UNIQUE INDEX colour_readings_corrected_once ON colour_readings (corrects_id);
CREATE UNIQUE INDEX segment_replacements_corrected_once ON segment_replacements (corrects_id);
CREATE INDEX colour_readings_of_load ON colour_readings (load_id, noted_at);
CREATE INDEX segment_replacements_of_load ON segment_replacements (load_id, noted_at);
CREATE INDEX supply_debits_of_spool ON supply_debits (supply_spool_id, noted_at);
CREATE INDEX loads_finished_of_boat ON loads (boat_id, finished_at) WHERE status = 'wound';

CREATE TRIGGER append_only BEFORE UPDATE OR DELETE ON reel_resets FOR EACH ROW EXECUTE FUNCTION refuse_change_of_measurement();
CREATE TRIGGER append_only BEFORE UPDATE OR DELETE ON reverse_fills FOR EACH ROW EXECUTE FUNCTION refuse_change_of_measurement();
CREATE TRIGGER append_only BEFORE UPDATE OR DELETE ON reverse_fill_segments FOR EACH ROW EXECUTE FUNCTION refuse_change_of_measurement();
CREATE TRIGGER append_only BEFORE UPDATE OR DELETE ON colour_readings FOR EACH ROW EXECUTE FUNCTION refuse_change_of_measurement();
CREATE TRIGGER append_only BEFORE UPDATE OR DELETE ON segment_replacements FOR EACH ROW EXECUTE FUNCTION refuse_change_of_measurement();
CREATE TRIGGER append_only BEFORE UPDATE OR DELETE ON supply_debits FOR EACH ROW EXECUTE FUNCTION refuse_change_of_measurement();

-- Down Migration

DROP TABLE supply_debits, segment_replacements, colour_readings, reverse_fill_segments, reverse_fills, reel_resets;
ALTER TABLE winding_entries DROP COLUMN metered_length_m, DROP COLUMN turns_counted;
DROP INDEX loads_finished_of_boat;
ALTER TABLE reels ALTER COLUMN arbor_diameter_m SET NOT NULL;
ALTER TABLE reels ALTER COLUMN width_m SET NOT NULL;
ALTER TABLE reels ALTER COLUMN full_diameter_m SET NOT NULL;

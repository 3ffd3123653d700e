-- Up Migration

-- Ready leaders, each with a loop of its own, that go on loop to loop as the trip demands.
CREATE TABLE wind_ons (
  id uuid NOT NULL DEFAULT gen_random_uuid() PRIMARY KEY,
  boat_id uuid NOT NULL REFERENCES boats (id),
  name text NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
  line_product_id uuid NOT NULL,
  length_m double precision NOT NULL CHECK (length_m > 0 AND length_m <= 5000),
  made_by uuid,
  made_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  retired_at timestamptz,
  FOREIGN KEY (boat_id, line_product_id) REFERENCES line_products (boat_id, id),
  FOREIGN KEY (boat_id, made_by) REFERENCES people (boat_id, id),
  UNIQUE (boat_id, id)
);
CREATE UNIQUE INDEX wind_ons_named_once ON wind_ons (boat_id, name) WHERE retired_at IS NULL;

ALTER TABLE segment_replacements ADD COLUMN wind_on_id uuid;
ALTER TABLE segment_replacements ADD FOREIGN KEY (boat_id, wind_on_id) REFERENCES wind_ons (boat_id, id);
CREATE INDEX segment_replacements_of_wind_on ON segment_replacements (wind_on_id) WHERE wind_on_id IS NOT NULL;

-- A pen stroke across spool and line, looked at again after a pull: how far the two have parted.
CREATE TABLE slip_checks (
  id uuid NOT NULL DEFAULT gen_random_uuid() PRIMARY KEY,
  boat_id uuid NOT NULL,
  join_id uuid NOT NULL,
  moved_m double precision NOT NULL CHECK (moved_m >= 0 AND moved_m <= 1),
  pulled_n double precision CHECK (pulled_n > 0 AND pulled_n < 5000),
  noted_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  corrects_id uuid,
  withdrawn boolean NOT NULL DEFAULT false,
  FOREIGN KEY (boat_id, join_id) REFERENCES joins (boat_id, id),
  FOREIGN KEY (boat_id, corrects_id) REFERENCES slip_checks (boat_id, id),
  UNIQUE (boat_id, id)
);
CREATE UNIQUE INDEX slip_checks_corrected_once ON slip_checks (corrects_id);
CREATE INDEX slip_checks_of_join ON slip_checks (join_id, noted_at);

-- A photo of a tie. A newer one stands before an older one.
CREATE TABLE tie_photos (
  id uuid NOT NULL DEFAULT gen_random_uuid() PRIMARY KEY,
  boat_id uuid NOT NULL,
  tie_id uuid NOT NULL,
  jpeg bytea NOT NULL CHECK (length(jpeg) BETWEEN 100 AND 200000),
  noted_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  FOREIGN KEY (boat_id, tie_id) REFERENCES join_ties (boat_id, id),
  UNIQUE (boat_id, id)
);
CREATE INDEX tie_photos_of_tie ON tie_photos (tie_id, noted_at);

CREATE TRIGGER append_only BEFORE UPDATE OR DELETE ON slip_checks FOR EACH ROW EXECUTE FUNCTION refuse_change_of_measurement();
CREATE TRIGGER append_only BEFORE UPDATE OR DELETE ON tie_photos FOR EACH ROW EXECUTE FUNCTION refuse_change_of_measurement();

-- Down Migration

DROP TABLE tie_photos, slip_checks;
ALTER TABLE segment_replacements DROP COLUMN wind_on_id;
DROP TABLE wind_ons;

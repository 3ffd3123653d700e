-- Up Migration

-- Every write carries a key that its sender made. It is kept with the answer in the transaction of the write itself:
-- the same key again gives the same answer. Writes without a boat (a new boat) keep theirs under the nil boat.
CREATE TABLE once_keys (
  boat_id uuid NOT NULL,
  key uuid NOT NULL,
  request text NOT NULL CHECK (length(request) BETWEEN 1 AND 200),
  answer jsonb,
  noted_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  PRIMARY KEY (boat_id, key)
);
CREATE INDEX once_keys_by_age ON once_keys (noted_at);

-- What loads have taught, as worked out from the evidence of that version: derived, and made again at need.
CREATE TABLE boat_learning (
  boat_id uuid PRIMARY KEY REFERENCES boats (id),
  evidence_version text NOT NULL CHECK (length(evidence_version) BETWEEN 1 AND 200),
  learned jsonb NOT NULL,
  worked_out_at timestamptz NOT NULL DEFAULT clock_timestamp()
);
CREATE TABLE reel_learning (
  boat_id uuid NOT NULL,
  reel_id uuid NOT NULL,
  evidence_version text NOT NULL CHECK (length(evidence_version) BETWEEN 1 AND 200),
  learned jsonb NOT NULL,
  PRIMARY KEY (boat_id, reel_id),
  FOREIGN KEY (boat_id, reel_id) REFERENCES reels (boat_id, id)
);

CREATE FUNCTION current_boat() RETURNS uuid LANGUAGE sql STABLE AS $$
  SELECT nullif(current_setting('tidy_marlin.boat', true), '')::uuid
$$;
CREATE FUNCTION current_person() RETURNS uuid LANGUAGE sql STABLE AS $$
  SELECT nullif(current_setting('tidy_marlin.person', true), '')::uuid
$$;

-- Who noted a measurement: the one of the crew who is at the bench, where that was said.
DO $$
DECLARE
  name text;
BEGIN
  FOR name IN SELECT event_object_table FROM information_schema.triggers
    WHERE trigger_schema = 'public' AND trigger_name = 'append_only' AND event_object_table <> 'reverse_fill_segments'
    GROUP BY event_object_table
  LOOP
    EXECUTE format('ALTER TABLE %I ADD COLUMN noted_by uuid DEFAULT current_person()', name);
    EXECUTE format('ALTER TABLE %I ADD CONSTRAINT %I FOREIGN KEY (boat_id, noted_by) REFERENCES people (boat_id, id)',
      name, name || '_noted_by_fkey');
  END LOOP;
END
$$;

-- Down Migration

DO $$
DECLARE
  name text;
BEGIN
  FOR name IN SELECT table_name FROM information_schema.columns WHERE table_schema = 'public' AND column_name = 'noted_by' LOOP
    EXECUTE format('ALTER TABLE %I DROP COLUMN noted_by', name);
  END LOOP;
END
$$;
DROP FUNCTION current_person();
DROP FUNCTION current_boat();
DROP TABLE reel_learning, boat_learning, once_keys;

-- Up Migration

-- What is written over or taken out keeps what it was: gear, rigs, supplies, stacks. Rows are only added here, by the tables
-- themselves, in the transaction of the act.
CREATE TABLE former_rows (
  id uuid NOT NULL DEFAULT gen_random_uuid() PRIMARY KEY,
  boat_id uuid NOT NULL REFERENCES boats (id),
  of_table text NOT NULL CHECK (length(of_table) BETWEEN 1 AND 63),
  row_id uuid,
  was jsonb NOT NULL CHECK (jsonb_typeof(was) = 'object'),
  noted_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  noted_by uuid DEFAULT current_person(),
  FOREIGN KEY (boat_id, noted_by) REFERENCES people (boat_id, id),
  UNIQUE (boat_id, id)
);
CREATE INDEX former_rows_of_row ON former_rows (row_id, noted_at);
CREATE TRIGGER append_only BEFORE UPDATE OR DELETE ON former_rows FOR EACH ROW EXECUTE FUNCTION refuse_change_of_measurement();
SELECT guard_boat_table('former_rows', 'measurement');

CREATE FUNCTION keep_former_row() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  -- A version that moves on by itself says nothing.
  IF TG_OP = 'UPDATE' AND to_jsonb(OLD) - 'version' = to_jsonb(NEW) - 'version' THEN RETURN NULL; END IF;
  INSERT INTO former_rows (boat_id, of_table, row_id, was)
    VALUES (OLD.boat_id, TG_TABLE_NAME, (to_jsonb(OLD) ->> 'id')::uuid, to_jsonb(OLD));
  RETURN NULL;
END
$$;

DO $$
DECLARE
  name text;
BEGIN
  FOREACH name IN ARRAY ARRAY['reels', 'reel_capacity_ratings', 'line_products', 'supply_spools', 'rigs', 'segments', 'joins', 'wind_ons'] LOOP
    EXECUTE format('CREATE TRIGGER keeps_former AFTER UPDATE OR DELETE ON %I FOR EACH ROW EXECUTE FUNCTION keep_former_row()', name);
  END LOOP;
END
$$;

-- Nothing ever wrote it.
ALTER TABLE strength_tests DROP COLUMN supply_spool_id;

-- Down Migration

ALTER TABLE strength_tests ADD COLUMN supply_spool_id uuid;
ALTER TABLE strength_tests ADD FOREIGN KEY (boat_id, supply_spool_id) REFERENCES supply_spools (boat_id, id);

DO $$
DECLARE
  name text;
BEGIN
  FOREACH name IN ARRAY ARRAY['reels', 'reel_capacity_ratings', 'line_products', 'supply_spools', 'rigs', 'segments', 'joins', 'wind_ons'] LOOP
    EXECUTE format('DROP TRIGGER keeps_former ON %I', name);
  END LOOP;
END
$$;
DROP FUNCTION keep_former_row();
DROP TABLE former_rows;

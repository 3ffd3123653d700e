-- Up Migration

-- Where the fill of a rig's plan is to end, as it was stored with the plan; null: nobody has said.
ALTER TABLE rigs ADD COLUMN fill jsonb CHECK (jsonb_typeof(fill) = 'object');
-- The share of which strength its drag is to be; null: no session was begun yet.
ALTER TABLE rigs ADD COLUMN drag_aim jsonb CHECK (jsonb_typeof(drag_aim) = 'object');

-- What is put away stands on record, with all that rests on it, and is not offered any more.
ALTER TABLE boats ADD COLUMN archived_at timestamptz;
ALTER TABLE people ADD COLUMN archived_at timestamptz;
ALTER TABLE reels ADD COLUMN archived_at timestamptz;
ALTER TABLE line_products ADD COLUMN archived_at timestamptz;
ALTER TABLE supply_spools ADD COLUMN archived_at timestamptz;
ALTER TABLE rigs ADD COLUMN archived_at timestamptz;

-- A rig that is put away leaves its reel to another one.
DROP INDEX rigs_one_a_reel;
CREATE UNIQUE INDEX rigs_one_a_reel ON rigs (reel_id) WHERE archived_at IS NULL;
CREATE INDEX rigs_of_reel ON rigs (reel_id);

-- A rig may be moved to another reel, or its reel to another rod. What was found out on the former one stays on record, and
-- what is in force begins here. A load keeps the reel on which it was wound.
ALTER TABLE rigs ADD COLUMN reel_since timestamptz, ADD COLUMN rod_since timestamptz;
ALTER TABLE loads ADD COLUMN reel_id uuid;
ALTER TABLE loads DISABLE TRIGGER USER;
UPDATE loads SET reel_id = (SELECT reel_id FROM rigs WHERE rigs.id = loads.rig_id);
ALTER TABLE loads ENABLE TRIGGER USER;
ALTER TABLE loads ALTER COLUMN reel_id SET NOT NULL;
ALTER TABLE loads ADD FOREIGN KEY (boat_id, reel_id) REFERENCES reels (boat_id, id);
CREATE INDEX loads_of_reel ON loads (reel_id);

CREATE TRIGGER keeps_former AFTER UPDATE OR DELETE ON people FOR EACH ROW EXECUTE FUNCTION keep_former_row();

-- Boats can be called by another name and put away by those who are in them.
ALTER TABLE boats ENABLE ROW LEVEL SECURITY;
ALTER TABLE boats FORCE ROW LEVEL SECURITY;
CREATE POLICY all_are_listed ON boats FOR SELECT USING (true);
CREATE POLICY any_is_made ON boats FOR INSERT WITH CHECK (true);
CREATE POLICY changed_from_within ON boats FOR UPDATE USING (id = current_boat()) WITH CHECK (id = current_boat());
GRANT UPDATE (name, home_water, archived_at) ON boats TO tidy_marlin_app;

CREATE FUNCTION keep_former_boat() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  INSERT INTO former_rows (boat_id, of_table, row_id, was) VALUES (OLD.id, TG_TABLE_NAME, OLD.id, to_jsonb(OLD));
  RETURN NULL;
END
$$;
CREATE TRIGGER keeps_former AFTER UPDATE ON boats FOR EACH ROW EXECUTE FUNCTION keep_former_boat();

-- Plans kept under a name, to be taken up by any rig of the boat.
CREATE TABLE kept_plans (
  id uuid NOT NULL DEFAULT gen_random_uuid() PRIMARY KEY,
  boat_id uuid NOT NULL REFERENCES boats (id),
  name text NOT NULL CHECK (length(trim(name)) BETWEEN 1 AND 80),
  stack jsonb NOT NULL CHECK (jsonb_typeof(stack) = 'object'),
  kept_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  kept_by uuid DEFAULT current_person(),
  archived_at timestamptz,
  FOREIGN KEY (boat_id, kept_by) REFERENCES people (boat_id, id),
  UNIQUE (boat_id, id)
);
CREATE INDEX kept_plans_of_boat ON kept_plans (boat_id, kept_at);
CREATE TRIGGER keeps_former AFTER UPDATE OR DELETE ON kept_plans FOR EACH ROW EXECUTE FUNCTION keep_former_row();
SELECT guard_boat_table('kept_plans', 'state');

-- Takes a row out of its table where nothing rests on it, and says whether it did. What a reel's box says goes with the reel.
CREATE FUNCTION remove_if_free(of_table text, its_id uuid) RETURNS boolean
  LANGUAGE plpgsql SECURITY DEFINER SET search_path = public AS $$
DECLARE
  gone bigint;
BEGIN
  IF of_table NOT IN ('people', 'reels', 'line_products', 'supply_spools', 'rigs', 'kept_plans') THEN
    RAISE EXCEPTION 'remove_if_free: rows of % stay', of_table;
  END IF;
  IF of_table = 'reels' THEN
    DELETE FROM reel_learning WHERE boat_id = current_boat() AND reel_id = its_id;
    DELETE FROM reel_capacity_ratings WHERE boat_id = current_boat() AND reel_id = its_id;
  END IF;
  EXECUTE format('DELETE FROM %I WHERE boat_id = current_boat() AND id = $1', of_table) USING its_id;
  GET DIAGNOSTICS gone = ROW_COUNT;
  RETURN gone = 1;
EXCEPTION WHEN foreign_key_violation THEN
  RETURN false;
END
$$;
REVOKE ALL ON FUNCTION remove_if_free(text, uuid) FROM PUBLIC;
GRANT EXECUTE ON FUNCTION remove_if_free(text, uuid) TO tidy_marlin_app;

-- Down Migration

DROP FUNCTION remove_if_free(text, uuid);
DROP TABLE kept_plans;
DROP TRIGGER keeps_former ON boats;
DROP FUNCTION keep_former_boat();
REVOKE UPDATE (name, home_water, archived_at) ON boats FROM tidy_marlin_app;
DROP POLICY changed_from_within ON boats;
DROP POLICY any_is_made ON boats;
DROP POLICY all_are_listed ON boats;
ALTER TABLE boats NO FORCE ROW LEVEL SECURITY;
ALTER TABLE boats DISABLE ROW LEVEL SECURITY;
DROP TRIGGER keeps_former ON people;
ALTER TABLE loads DROP COLUMN reel_id;
ALTER TABLE rigs DROP COLUMN reel_since, DROP COLUMN rod_since;
DROP INDEX rigs_of_reel;
DROP INDEX rigs_one_a_reel;
ALTER TABLE rigs DROP COLUMN archived_at;
-- Refused where a reel has carried several rigs by now: which of them would have to go is nobody's guess.
CREATE UNIQUE INDEX rigs_one_a_reel ON rigs (reel_id);
ALTER TABLE supply_spools DROP COLUMN archived_at;
ALTER TABLE line_products DROP COLUMN archived_at;
ALTER TABLE reels DROP COLUMN archived_at;
ALTER TABLE people DROP COLUMN archived_at;
ALTER TABLE boats DROP COLUMN archived_at;
ALTER TABLE rigs DROP COLUMN fill, DROP COLUMN drag_aim;

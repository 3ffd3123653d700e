-- Up Migration

-- The owner migrates and dumps. The application has a role of its own, that is neither superuser nor passes by row
-- security: it sees and writes the rows of the boat that its transaction names, and measurements it can only add.
DO $$
BEGIN
  IF NOT EXISTS (SELECT FROM pg_roles WHERE rolname = 'tidy_marlin_app') THEN
    CREATE ROLE tidy_marlin_app NOLOGIN NOSUPERUSER NOBYPASSRLS NOCREATEDB NOCREATEROLE;
  END IF;
END
$$;

GRANT USAGE ON SCHEMA public TO tidy_marlin_app;
REVOKE CREATE ON SCHEMA public FROM PUBLIC;

-- Puts a table of boats' rows under row security, and says what the application may do with it. Every later table calls
-- it too: 'measurement' rows are added and never changed, 'state' rows are changed, 'list' rows are changed and taken out.
CREATE FUNCTION guard_boat_table(guarded regclass, kept_as text) RETURNS void LANGUAGE plpgsql AS $$
BEGIN
  IF kept_as NOT IN ('measurement', 'state', 'list') THEN
    RAISE EXCEPTION 'guard_boat_table: % is not a way to keep rows', kept_as;
  END IF;
  EXECUTE format('ALTER TABLE %s ENABLE ROW LEVEL SECURITY', guarded);
  EXECUTE format('ALTER TABLE %s FORCE ROW LEVEL SECURITY', guarded);
  EXECUTE format('CREATE POLICY rows_of_the_boat ON %s USING (boat_id = current_boat()) WITH CHECK (boat_id = current_boat())', guarded);
  EXECUTE format('GRANT SELECT, INSERT ON %s TO tidy_marlin_app', guarded);
  IF kept_as <> 'measurement' THEN EXECUTE format('GRANT UPDATE ON %s TO tidy_marlin_app', guarded); END IF;
  IF kept_as = 'list' THEN EXECUTE format('GRANT DELETE ON %s TO tidy_marlin_app', guarded); END IF;
END
$$;

SELECT guard_boat_table(format('%I', table_name)::regclass, CASE
  WHEN table_name = 'reel_capacity_ratings' THEN 'list'
  WHEN table_name IN ('people', 'reels', 'line_products', 'supply_spools', 'rigs', 'segments', 'joins', 'loads', 'drag_settings',
    'virtual_reels', 'virtual_lines', 'wind_ons', 'once_keys', 'boat_learning', 'reel_learning') THEN 'state'
  ELSE 'measurement' END)
FROM information_schema.columns WHERE table_schema = 'public' AND column_name = 'boat_id';

-- Boats are listed and made; nothing of them is changed.
GRANT SELECT, INSERT ON boats TO tidy_marlin_app;

-- Down Migration

REVOKE ALL ON boats FROM tidy_marlin_app;
DO $$
DECLARE
  name text;
BEGIN
  FOR name IN SELECT table_name FROM information_schema.columns WHERE table_schema = 'public' AND column_name = 'boat_id' LOOP
    EXECUTE format('DROP POLICY rows_of_the_boat ON %I', name);
    EXECUTE format('ALTER TABLE %I NO FORCE ROW LEVEL SECURITY', name);
    EXECUTE format('ALTER TABLE %I DISABLE ROW LEVEL SECURITY', name);
    EXECUTE format('REVOKE ALL ON %I FROM tidy_marlin_app', name);
  END LOOP;
END
$$;
DROP FUNCTION guard_boat_table(regclass, text);
REVOKE USAGE ON SCHEMA public FROM tidy_marlin_app;
-- The role itself stays: other databases of the cluster may use it.

-- Up Migration

-- What was done on a rig, one row an act, in the order in which it was done. An act is undone by another act that names itself
-- in `undone_by`: what the undone one had noted does not count any more, and what it had written over is as it was before it.
-- An undoing is undone in the same way. Nothing is deleted.
CREATE TABLE acts (
  id uuid NOT NULL PRIMARY KEY,
  boat_id uuid NOT NULL,
  rig_id uuid NOT NULL,
  number bigint NOT NULL GENERATED ALWAYS AS IDENTITY,
  request text NOT NULL CHECK (length(request) BETWEEN 1 AND 60),
  -- What was asked for, as the request's schema let it through.
  asked jsonb NOT NULL,
  noted_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  noted_by uuid DEFAULT current_person(),
  undone_by uuid,
  FOREIGN KEY (boat_id, rig_id) REFERENCES rigs (boat_id, id),
  FOREIGN KEY (boat_id, noted_by) REFERENCES people (boat_id, id),
  UNIQUE (boat_id, id),
  FOREIGN KEY (boat_id, undone_by) REFERENCES acts (boat_id, id)
);
CREATE INDEX acts_of_rig ON acts (rig_id, number);
CREATE INDEX acts_undone ON acts (boat_id) WHERE undone_by IS NOT NULL;
SELECT guard_boat_table('acts', 'state');

CREATE FUNCTION refuse_change_of_act() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  IF TG_OP = 'DELETE' OR to_jsonb(OLD) - 'undone_by' <> to_jsonb(NEW) - 'undone_by' THEN
    RAISE EXCEPTION 'what was done stays as it was done: it can only be undone' USING ERRCODE = 'restrict_violation';
  END IF;
  RETURN NEW;
END
$$;
CREATE TRIGGER only_undone BEFORE UPDATE OR DELETE ON acts FOR EACH ROW EXECUTE FUNCTION refuse_change_of_act();

CREATE FUNCTION current_act() RETURNS uuid LANGUAGE sql STABLE AS $$
  SELECT nullif(current_setting('tidy_marlin.act', true), '')::uuid
$$;

-- Every row that an act adds names it. Rows from before acts were kept name none, and always count.
DO $$
DECLARE
  name text;
BEGIN
  FOR name IN
    SELECT event_object_table FROM information_schema.triggers
      WHERE trigger_schema = 'public' AND trigger_name = 'append_only' GROUP BY event_object_table
    UNION ALL SELECT unnest(ARRAY['loads', 'drag_settings', 'segments', 'joins'])
  LOOP
    EXECUTE format('ALTER TABLE %I ADD COLUMN act_id uuid DEFAULT current_act()', name);
    EXECUTE format('ALTER TABLE %I ADD CONSTRAINT %I FOREIGN KEY (boat_id, act_id) REFERENCES acts (boat_id, id)', name, name || '_act_id_fkey');
  END LOOP;
  -- What was there before the column was added stands for itself.
  FOREACH name IN ARRAY ARRAY['loads', 'drag_settings', 'virtual_reels', 'acts'] LOOP
    EXECUTE format('CREATE TRIGGER keeps_former AFTER UPDATE OR DELETE ON %I FOR EACH ROW EXECUTE FUNCTION keep_former_row()', name);
  END LOOP;
  -- A correction that was undone leaves room for another one. The rig's lock holds that one row corrects another.
  FOR name IN SELECT indexname FROM pg_indexes WHERE schemaname = 'public' AND indexname LIKE '%\_corrected\_once' LOOP
    EXECUTE format('CREATE INDEX %I ON %I (corrects_id)', replace(name, '_corrected_once', '_corrected'), replace(name, '_corrected_once', ''));
    EXECUTE format('DROP INDEX %I', name);
  END LOOP;
END
$$;
DROP INDEX level_readings_one_chain, colour_readings_one_chain, winding_entries_one_chain;
ALTER TABLE former_rows ADD COLUMN number bigint NOT NULL GENERATED ALWAYS AS IDENTITY;
CREATE INDEX former_rows_of_act ON former_rows (act_id, number);
CREATE INDEX supply_debits_of_act ON supply_debits (act_id);

-- What is left on a supply spool follows from what was there and what has been taken since, so that an undone taking gives it back.
ALTER TABLE supply_spools RENAME COLUMN remaining_length_m TO length_before_debits_m;
ALTER TABLE supply_spools DISABLE TRIGGER keeps_former;
UPDATE supply_spools SET length_before_debits_m = least(bought_length_m, length_before_debits_m
  + coalesce((SELECT sum(length_m) FROM supply_debits WHERE supply_spool_id = supply_spools.id), 0));
ALTER TABLE supply_spools ENABLE TRIGGER keeps_former;

-- Takes back what one act wrote over, newest first: what it added to a stack is out of it, a load that it began is given up,
-- and every row that it changed is what it was. A row that belongs to the whole boat and that others have changed since stays,
-- and its table is given back; null when all is as it was.
CREATE FUNCTION take_back_writes(undone uuid) RETURNS text LANGUAGE plpgsql AS $$
DECLARE
  former former_rows%ROWTYPE;
  key text;
  columns text;
BEGIN
  UPDATE joins SET removed_at = clock_timestamp() WHERE act_id = undone AND removed_at IS NULL;
  UPDATE segments SET removed_at = clock_timestamp() WHERE act_id = undone AND removed_at IS NULL;
  UPDATE loads SET status = 'abandoned', version = version + 1 WHERE act_id = undone AND status = 'winding';
  FOR former IN SELECT * FROM former_rows WHERE act_id = undone ORDER BY number DESC LOOP
    CONTINUE WHEN former.was ->> 'act_id' = undone::text;
    IF former.of_table NOT IN ('rigs', 'segments', 'joins', 'loads', 'drag_settings', 'virtual_reels', 'acts') AND EXISTS (
      SELECT FROM former_rows later LEFT JOIN acts ON acts.id = later.act_id
      WHERE later.of_table = former.of_table AND later.row_id = former.row_id AND later.number > former.number
        AND acts.rig_id IS DISTINCT FROM (SELECT rig_id FROM acts WHERE id = undone))
    THEN RETURN former.of_table; END IF;
    key := CASE WHEN former.was ? 'id' THEN 'id' ELSE 'rig_id' END;
    SELECT string_agg(CASE WHEN column_name = 'version' THEN 'version = now_there.version + 1'
        ELSE format('%I = was.%I', column_name, column_name) END, ', ') INTO columns
      FROM information_schema.columns
      WHERE table_schema = 'public' AND table_name = former.of_table AND is_identity = 'NO' AND column_name NOT IN ('boat_id', key);
    EXECUTE format('UPDATE %I AS now_there SET %s FROM jsonb_populate_record(null::%I, $1) AS was WHERE now_there.%I = was.%I',
      former.of_table, columns, former.of_table, key, key) USING former.was;
  END LOOP;
  RETURN NULL;
END
$$;

-- Down Migration

DROP FUNCTION take_back_writes(uuid);
UPDATE supply_spools SET length_before_debits_m = greatest(0, length_before_debits_m
  - coalesce((SELECT sum(length_m) FROM supply_debits WHERE supply_spool_id = supply_spools.id), 0));
ALTER TABLE supply_spools RENAME COLUMN length_before_debits_m TO remaining_length_m;
DROP INDEX supply_debits_of_act, former_rows_of_act;
ALTER TABLE former_rows DROP COLUMN number;
DO $$
DECLARE
  name text;
BEGIN
  FOR name IN SELECT indexname FROM pg_indexes WHERE schemaname = 'public' AND indexname LIKE '%\_corrected' LOOP
    -- Not unique again: a row whose correction was undone may have been corrected twice.
    EXECUTE format('CREATE INDEX %I ON %I (corrects_id)', name || '_once', replace(name, '_corrected', ''));
    EXECUTE format('DROP INDEX %I', name);
  END LOOP;
  FOREACH name IN ARRAY ARRAY['loads', 'drag_settings', 'virtual_reels', 'acts'] LOOP
    EXECUTE format('DROP TRIGGER keeps_former ON %I', name);
  END LOOP;
  FOR name IN SELECT table_name FROM information_schema.columns WHERE table_schema = 'public' AND column_name = 'act_id' LOOP
    EXECUTE format('ALTER TABLE %I DROP COLUMN act_id', name);
  END LOOP;
END
$$;
CREATE INDEX winding_entries_one_chain ON winding_entries (load_id, segment_id) WHERE corrects_id IS NULL;
CREATE INDEX colour_readings_one_chain ON colour_readings (load_id, segment_id, colours_on) WHERE corrects_id IS NULL;
CREATE INDEX level_readings_one_chain ON level_readings (load_id, segment_id) WHERE corrects_id IS NULL;
DROP FUNCTION current_act();
DROP TABLE acts;
DROP FUNCTION refuse_change_of_act();

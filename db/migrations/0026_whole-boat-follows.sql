-- Up Migration

-- Whoever writes tells of it at the end of its own transaction, of the whole boat and not of its rigs alone.
DROP TRIGGER tells ON acts;
DROP FUNCTION tell_of_act();

-- How often the counter passed zero on the way to a noted reading, where somebody said; null: as often as was planned.
ALTER TABLE winding_entries ADD COLUMN laps smallint CHECK (laps BETWEEN 0 AND 50);

-- Down Migration

ALTER TABLE winding_entries DROP COLUMN laps;

CREATE FUNCTION tell_of_act() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  PERFORM pg_notify('tidy_marlin_acts', NEW.rig_id::text || ' ' || NEW.id::text);
  RETURN NULL;
END
$$;
CREATE TRIGGER tells AFTER INSERT ON acts FOR EACH ROW EXECUTE FUNCTION tell_of_act();

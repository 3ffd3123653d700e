-- Up Migration

-- Whoever writes tells of it at the end of its own transaction, of the whole boat and not of its rigs alone.
DROP TRIGGER tells ON acts;
DROP FUNCTION tell_of_act();

-- Down Migration

CREATE FUNCTION tell_of_act() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  PERFORM pg_notify('tidy_marlin_acts', NEW.rig_id::text || ' ' || NEW.id::text);
  RETURN NULL;
END
$$;
CREATE TRIGGER tells AFTER INSERT ON acts FOR EACH ROW EXECUTE FUNCTION tell_of_act();

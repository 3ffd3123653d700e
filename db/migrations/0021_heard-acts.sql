-- Up Migration

-- Tells whoever listens that something was done on a rig, once it is kept: pages that show the rig follow it.
CREATE FUNCTION tell_of_act() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  PERFORM pg_notify('tidy_marlin_acts', NEW.rig_id::text || ' ' || NEW.id::text);
  RETURN NULL;
END
$$;
CREATE TRIGGER tells AFTER INSERT ON acts FOR EACH ROW EXECUTE FUNCTION tell_of_act();

-- Down Migration

DROP TRIGGER tells ON acts;
DROP FUNCTION tell_of_act();

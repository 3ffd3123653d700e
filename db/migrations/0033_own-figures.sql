-- Up Migration

-- A figure of a guide as this crew has it, in the place of the school's: so many turns, or a length in metres. The newest of a step
-- counts; one without figures goes back to the school's.
CREATE TABLE own_figures (
  id uuid NOT NULL DEFAULT gen_random_uuid() PRIMARY KEY,
  boat_id uuid NOT NULL REFERENCES boats (id),
  school text NOT NULL CHECK (school ~ '^[a-z][a-z-]{1,60}$'),
  step text NOT NULL CHECK (step ~ '^[a-z][a-z-]{1,60}$'),
  least double precision CHECK (least > 0 AND least <= 1000),
  most double precision CHECK (most <= 1000),
  noted_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  noted_by uuid DEFAULT current_person(),
  CHECK ((least IS NULL) = (most IS NULL) AND (most IS NULL OR most >= least)),
  FOREIGN KEY (boat_id, noted_by) REFERENCES people (boat_id, id),
  UNIQUE (boat_id, id)
);
CREATE INDEX own_figures_of_step ON own_figures (boat_id, school, step, noted_at);
CREATE TRIGGER append_only BEFORE UPDATE OR DELETE ON own_figures FOR EACH ROW EXECUTE FUNCTION refuse_change_of_measurement();
SELECT guard_boat_table('own_figures', 'measurement');

-- Down Migration

DROP TABLE own_figures;

-- Up Migration

-- Who tied a join, when, by which school, and how hard it was seated. The newest standing row is the join as it is.
CREATE TABLE join_ties (
  id uuid NOT NULL DEFAULT gen_random_uuid() PRIMARY KEY,
  boat_id uuid NOT NULL,
  join_id uuid NOT NULL,
  person_id uuid,
  school text NOT NULL CHECK (length(school) BETWEEN 1 AND 60),
  seated_n double precision CHECK (seated_n > 0 AND seated_n < 5000),
  pull_tested boolean NOT NULL,
  note text NOT NULL DEFAULT '' CHECK (length(note) <= 500),
  noted_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  corrects_id uuid,
  withdrawn boolean NOT NULL DEFAULT false,
  FOREIGN KEY (boat_id, join_id) REFERENCES joins (boat_id, id),
  FOREIGN KEY (boat_id, person_id) REFERENCES people (boat_id, id),
  FOREIGN KEY (boat_id, corrects_id) REFERENCES join_ties (boat_id, id),
  UNIQUE (boat_id, id)
);
CREATE UNIQUE INDEX join_ties_corrected_once ON join_ties (corrects_id);
CREATE INDEX join_ties_of_join ON join_ties (join_id, noted_at);

-- One drill of a plaited knot's cadence: strokes, mistakes and time.
CREATE TABLE cadence_drills (
  id uuid NOT NULL DEFAULT gen_random_uuid() PRIMARY KEY,
  boat_id uuid NOT NULL REFERENCES boats (id),
  person_id uuid,
  school text NOT NULL CHECK (length(school) BETWEEN 1 AND 60),
  strokes integer NOT NULL CHECK (strokes BETWEEN 1 AND 1000),
  mistakes integer NOT NULL CHECK (mistakes BETWEEN 0 AND strokes),
  seconds double precision NOT NULL CHECK (seconds > 0 AND seconds <= 36000),
  noted_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  FOREIGN KEY (boat_id, person_id) REFERENCES people (boat_id, id),
  UNIQUE (boat_id, id)
);
CREATE INDEX cadence_drills_of_boat ON cadence_drills (boat_id, noted_at);

CREATE TRIGGER append_only BEFORE UPDATE OR DELETE ON join_ties FOR EACH ROW EXECUTE FUNCTION refuse_change_of_measurement();
CREATE TRIGGER append_only BEFORE UPDATE OR DELETE ON cadence_drills FOR EACH ROW EXECUTE FUNCTION refuse_change_of_measurement();

-- Down Migration

DROP TABLE cadence_drills, join_ties;

-- Up Migration

-- An afternoon of pulls planned beforehand; each line in it is a test with the expected force written down.
CREATE TABLE strength_sessions (
  id uuid NOT NULL DEFAULT gen_random_uuid() PRIMARY KEY,
  boat_id uuid NOT NULL REFERENCES boats (id),
  name text NOT NULL CHECK (length(trim(name)) BETWEEN 1 AND 80),
  pulls_each smallint NOT NULL CHECK (pulls_each BETWEEN 1 AND 100),
  planned_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  UNIQUE (boat_id, id)
);

ALTER TABLE strength_tests ADD COLUMN session_id uuid;
ALTER TABLE strength_tests ADD FOREIGN KEY (boat_id, session_id) REFERENCES strength_sessions (boat_id, id);

-- Why a pull was moved here from another test: the row that it corrects names where it was.
ALTER TABLE strength_pulls ADD COLUMN note text NOT NULL DEFAULT '' CHECK (length(note) <= 200);

-- What the maker calls all sizes of this line together.
ALTER TABLE line_products ADD COLUMN family text NOT NULL DEFAULT '' CHECK (length(family) <= 80);

-- The segment or join that is meant to break on a snag; none: the outermost segment.
ALTER TABLE rigs ADD COLUMN meant_place_id uuid;

-- Down Migration

ALTER TABLE rigs DROP COLUMN meant_place_id;
ALTER TABLE line_products DROP COLUMN family;
ALTER TABLE strength_pulls DROP COLUMN note;
ALTER TABLE strength_tests DROP COLUMN session_id;
DROP TABLE strength_sessions;

-- Up Migration

-- A join of the same kind and lines pulled to the break: its peak against what the weaker line was taken to hold then.
CREATE TABLE join_pulls (
  id uuid NOT NULL DEFAULT gen_random_uuid() PRIMARY KEY,
  boat_id uuid NOT NULL,
  join_id uuid NOT NULL,
  school text CHECK (length(school) BETWEEN 1 AND 60),
  peak_n double precision NOT NULL CHECK (peak_n > 0 AND peak_n < 20000),
  weaker_n double precision NOT NULL CHECK (weaker_n > 0 AND weaker_n < 20000),
  broke_at text NOT NULL CHECK (broke_at IN ('join', 'line', 'grip')),
  instrument text NOT NULL CHECK (length(instrument) BETWEEN 1 AND 80),
  noted_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  corrects_id uuid,
  withdrawn boolean NOT NULL DEFAULT false,
  FOREIGN KEY (boat_id, join_id) REFERENCES joins (boat_id, id),
  FOREIGN KEY (boat_id, corrects_id) REFERENCES join_pulls (boat_id, id),
  UNIQUE (boat_id, id)
);
CREATE UNIQUE INDEX join_pulls_corrected_once ON join_pulls (corrects_id);
CREATE INDEX join_pulls_of_join ON join_pulls (join_id, noted_at);
CREATE TRIGGER append_only BEFORE UPDATE OR DELETE ON join_pulls FOR EACH ROW EXECUTE FUNCTION refuse_change_of_measurement();

-- What a join keeps follows from its pulls.
ALTER TABLE joins DROP COLUMN tested_efficiency;

-- Down Migration

ALTER TABLE joins ADD COLUMN tested_efficiency double precision CHECK (tested_efficiency > 0 AND tested_efficiency <= 1.2);
DROP TABLE join_pulls;

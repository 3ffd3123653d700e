-- Up Migration

-- A mark tied or inked on the line of a load, at a place that lost line at the outer end does not move.
CREATE TABLE line_marks (
  id uuid NOT NULL DEFAULT gen_random_uuid() PRIMARY KEY,
  boat_id uuid NOT NULL,
  load_id uuid NOT NULL,
  kind text NOT NULL CHECK (kind IN ('tied', 'inked')),
  looks text NOT NULL CHECK (length(trim(looks)) BETWEEN 1 AND 60),
  segment_id uuid NOT NULL,
  from_inner_m double precision NOT NULL CHECK (from_inner_m >= 0 AND from_inner_m < 20000),
  noted_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  corrects_id uuid,
  withdrawn boolean NOT NULL DEFAULT false,
  FOREIGN KEY (boat_id, load_id) REFERENCES loads (boat_id, id),
  FOREIGN KEY (boat_id, corrects_id) REFERENCES line_marks (boat_id, id),
  UNIQUE (boat_id, id)
);
CREATE UNIQUE INDEX line_marks_corrected_once ON line_marks (corrects_id);
CREATE INDEX line_marks_of_load ON line_marks (load_id, noted_at);
CREATE TRIGGER append_only BEFORE UPDATE OR DELETE ON line_marks FOR EACH ROW EXECUTE FUNCTION refuse_change_of_measurement();

COMMENT ON COLUMN reels.counter_length_per_turn_m IS 'A turn of the spool, or of a roller one metre round: counter_kind';

-- Down Migration

COMMENT ON COLUMN reels.counter_length_per_turn_m IS NULL;
DROP TABLE line_marks;

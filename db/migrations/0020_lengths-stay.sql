-- Up Migration

-- Whose word the length of a segment is that has gone on: the plan's, as it was typed or worked out; the counter's, where a person
-- agreed that another length went on; or the piece's, all of which went on whatever the counter says.
ALTER TABLE winding_entries ADD COLUMN length_is text NOT NULL DEFAULT 'plan' CHECK (length_is IN ('plan', 'counter', 'piece'));
ALTER TABLE load_segments ADD COLUMN solved boolean NOT NULL DEFAULT false;
ALTER TABLE load_segments ADD CHECK (NOT (solved AND length_known));
UPDATE load_segments SET solved = true FROM segments
  WHERE segments.boat_id = load_segments.boat_id AND segments.id = load_segments.segment_id AND segments.length_m IS NULL
    AND NOT load_segments.length_known;
-- Until now the counter had the word on every length that was no whole piece, and where that was said.
ALTER TABLE winding_entries DISABLE TRIGGER append_only;
UPDATE winding_entries SET length_is = 'counter' FROM load_segments
  WHERE load_segments.load_id = winding_entries.load_id AND load_segments.segment_id = winding_entries.segment_id
    AND (length_by_counter OR NOT (length_known OR solved));
ALTER TABLE winding_entries ENABLE TRIGGER append_only;
ALTER TABLE winding_entries DROP COLUMN length_by_counter;

-- A length that a person agreed to change while winding: the newest of a segment is its planned length from then on.
CREATE TABLE agreed_lengths (
  id uuid NOT NULL DEFAULT gen_random_uuid() PRIMARY KEY,
  boat_id uuid NOT NULL,
  load_id uuid NOT NULL,
  segment_id uuid NOT NULL,
  length_m double precision NOT NULL CHECK (length_m > 0 AND length_m <= 5000),
  noted_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  noted_by uuid DEFAULT current_person(),
  act_id uuid DEFAULT current_act(),
  FOREIGN KEY (load_id, segment_id) REFERENCES load_segments (load_id, segment_id),
  FOREIGN KEY (boat_id, load_id) REFERENCES loads (boat_id, id),
  FOREIGN KEY (boat_id, noted_by) REFERENCES people (boat_id, id),
  FOREIGN KEY (boat_id, act_id) REFERENCES acts (boat_id, id),
  UNIQUE (boat_id, id)
);
CREATE INDEX agreed_lengths_of_load ON agreed_lengths (load_id, noted_at);
CREATE TRIGGER append_only BEFORE UPDATE OR DELETE ON agreed_lengths FOR EACH ROW EXECUTE FUNCTION refuse_change_of_measurement();
SELECT guard_boat_table('agreed_lengths', 'measurement');

-- Down Migration

DROP TABLE agreed_lengths;
ALTER TABLE winding_entries ADD COLUMN length_by_counter boolean NOT NULL DEFAULT false;
ALTER TABLE winding_entries DISABLE TRIGGER append_only;
UPDATE winding_entries SET length_by_counter = (length_is = 'counter');
ALTER TABLE winding_entries ENABLE TRIGGER append_only;
ALTER TABLE winding_entries DROP COLUMN length_is;
ALTER TABLE load_segments DROP COLUMN solved;

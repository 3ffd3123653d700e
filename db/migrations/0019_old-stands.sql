-- Up Migration

-- The joins of a load, as they were planned when its winding began: another plan does not take them off the line that is on.
-- Where another kind of join was tied at the same place since, the newest row of it counts.
CREATE TABLE load_joins (
  id uuid NOT NULL DEFAULT gen_random_uuid() PRIMARY KEY,
  boat_id uuid NOT NULL,
  load_id uuid NOT NULL,
  outer_segment_id uuid NOT NULL,
  join_id uuid NOT NULL,
  noted_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  noted_by uuid DEFAULT current_person(),
  act_id uuid DEFAULT current_act(),
  FOREIGN KEY (boat_id, load_id) REFERENCES loads (boat_id, id),
  FOREIGN KEY (load_id, outer_segment_id) REFERENCES load_segments (load_id, segment_id),
  FOREIGN KEY (boat_id, join_id) REFERENCES joins (boat_id, id),
  FOREIGN KEY (boat_id, noted_by) REFERENCES people (boat_id, id),
  FOREIGN KEY (boat_id, act_id) REFERENCES acts (boat_id, id),
  UNIQUE (boat_id, id)
);
CREATE INDEX load_joins_of_load ON load_joins (load_id, outer_segment_id, noted_at);
CREATE TRIGGER append_only BEFORE UPDATE OR DELETE ON load_joins FOR EACH ROW EXECUTE FUNCTION refuse_change_of_measurement();
SELECT guard_boat_table('load_joins', 'measurement');

INSERT INTO load_joins (boat_id, load_id, outer_segment_id, join_id)
  SELECT joins.boat_id, load_segments.load_id, outer_segment_id, joins.id
  FROM load_segments JOIN joins ON joins.boat_id = load_segments.boat_id AND joins.outer_segment_id = load_segments.segment_id
  WHERE joins.removed_at IS NULL;

-- A winding that was called off before anything came off the reel: the load before it is on, as if this one had never begun.
ALTER TABLE loads DROP CONSTRAINT loads_status_check;
ALTER TABLE loads ADD CONSTRAINT loads_status_check CHECK (status IN ('winding', 'wound', 'abandoned', 'cancelled'));

-- A scale session that was called off: the drag that was accepted before it stays set.
ALTER TABLE drag_settings ADD COLUMN dropped_at timestamptz CHECK (dropped_at IS NULL OR accepted_at IS NULL);

-- Down Migration

ALTER TABLE drag_settings DROP COLUMN dropped_at;
UPDATE loads SET status = 'abandoned' WHERE status = 'cancelled';
ALTER TABLE loads DROP CONSTRAINT loads_status_check;
ALTER TABLE loads ADD CONSTRAINT loads_status_check CHECK (status IN ('winding', 'wound', 'abandoned'));
DROP TABLE load_joins;

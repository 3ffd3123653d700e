-- Up Migration

CREATE TABLE rigs (
  id uuid NOT NULL DEFAULT gen_random_uuid() PRIMARY KEY,
  boat_id uuid NOT NULL REFERENCES boats (id),
  reel_id uuid NOT NULL,
  name text NOT NULL CHECK (length(trim(name)) BETWEEN 1 AND 80),
  note text NOT NULL DEFAULT '' CHECK (length(note) <= 500),
  locker_order integer NOT NULL DEFAULT 0,
  version integer NOT NULL DEFAULT 1,
  FOREIGN KEY (boat_id, reel_id) REFERENCES reels (boat_id, id),
  UNIQUE (boat_id, id)
);

-- The stack as it is planned now. A removed segment stays: loads that were wound from it point at it.
CREATE TABLE segments (
  id uuid NOT NULL DEFAULT gen_random_uuid() PRIMARY KEY,
  boat_id uuid NOT NULL,
  rig_id uuid NOT NULL,
  line_product_id uuid NOT NULL,
  position smallint NOT NULL CHECK (position BETWEEN 0 AND 39),
  name text NOT NULL CHECK (length(trim(name)) BETWEEN 1 AND 80),
  role text NOT NULL CHECK (role IN ('backing', 'running line', 'weighted line', 'top shot', 'leader', 'fly line')),
  length_m double precision CHECK (length_m > 0 AND length_m <= 5000),
  length_known boolean NOT NULL,
  wound boolean NOT NULL,
  colours text[] NOT NULL DEFAULT '{}',
  removed_at timestamptz,
  CHECK (wound OR length_m IS NOT NULL),
  FOREIGN KEY (boat_id, rig_id) REFERENCES rigs (boat_id, id),
  FOREIGN KEY (boat_id, line_product_id) REFERENCES line_products (boat_id, id),
  UNIQUE (boat_id, id)
);
CREATE UNIQUE INDEX segments_one_a_position ON segments (rig_id, position) WHERE removed_at IS NULL;
CREATE UNIQUE INDEX segments_one_solved ON segments (rig_id) WHERE removed_at IS NULL AND length_m IS NULL;

CREATE TABLE joins (
  id uuid NOT NULL DEFAULT gen_random_uuid() PRIMARY KEY,
  boat_id uuid NOT NULL,
  rig_id uuid NOT NULL,
  inner_segment_id uuid,
  outer_segment_id uuid NOT NULL,
  kind text NOT NULL CHECK (kind IN ('arbor-sliding-knot', 'double-sliding-knot', 'sheath-over-mono',
    'plaited-braid-to-leader', 'loop-splice', 'loop-to-loop', 'long-loop-twist', 'small-swivel')),
  tested_efficiency double precision CHECK (tested_efficiency > 0 AND tested_efficiency <= 1.2),
  pull_tested boolean NOT NULL DEFAULT false,
  removed_at timestamptz,
  CHECK (inner_segment_id IS DISTINCT FROM outer_segment_id),
  FOREIGN KEY (boat_id, rig_id) REFERENCES rigs (boat_id, id),
  FOREIGN KEY (boat_id, inner_segment_id) REFERENCES segments (boat_id, id),
  FOREIGN KEY (boat_id, outer_segment_id) REFERENCES segments (boat_id, id),
  UNIQUE (boat_id, id)
);
CREATE UNIQUE INDEX joins_one_a_place ON joins (rig_id, outer_segment_id) WHERE removed_at IS NULL;

CREATE TABLE loads (
  id uuid NOT NULL DEFAULT gen_random_uuid() PRIMARY KEY,
  boat_id uuid NOT NULL,
  rig_id uuid NOT NULL,
  status text NOT NULL CHECK (status IN ('winding', 'wound', 'abandoned')),
  started_at timestamptz NOT NULL DEFAULT now(),
  finished_at timestamptz,
  level_below_rim_m double precision CHECK (level_below_rim_m BETWEEN -0.02 AND 0.2),
  basis jsonb NOT NULL,
  version integer NOT NULL DEFAULT 1,
  CHECK ((status = 'wound') = (finished_at IS NOT NULL)),
  FOREIGN KEY (boat_id, rig_id) REFERENCES rigs (boat_id, id),
  UNIQUE (boat_id, id)
);
CREATE UNIQUE INDEX loads_one_winding ON loads (rig_id) WHERE status = 'winding';

-- A segment as planned when winding began: a copy, so that later edits do not rewrite history.
CREATE TABLE load_segments (
  boat_id uuid NOT NULL,
  load_id uuid NOT NULL,
  segment_id uuid NOT NULL,
  line_product_id uuid NOT NULL,
  position smallint NOT NULL,
  name text NOT NULL,
  role text NOT NULL,
  line_diameter_m double precision NOT NULL CHECK (line_diameter_m > 0),
  packing double precision NOT NULL CHECK (packing > 0),
  planned_length_m double precision NOT NULL CHECK (planned_length_m > 0),
  planned_plus_minus_m double precision NOT NULL CHECK (planned_plus_minus_m >= 0),
  planned_turns double precision NOT NULL CHECK (planned_turns >= 0),
  length_known boolean NOT NULL,
  wound boolean NOT NULL,
  stop_reading integer,
  naive_stop_reading integer,
  colours text[] NOT NULL DEFAULT '{}',
  PRIMARY KEY (load_id, segment_id),
  UNIQUE (load_id, position),
  FOREIGN KEY (boat_id, load_id) REFERENCES loads (boat_id, id),
  FOREIGN KEY (boat_id, segment_id) REFERENCES segments (boat_id, id),
  FOREIGN KEY (boat_id, line_product_id) REFERENCES line_products (boat_id, id)
);

-- Down Migration

DROP TABLE load_segments, loads, joins, segments, rigs;

-- Up Migration

-- What the simulated instruments really are. Only the virtual bench reads these tables: the rest of the
-- product sees readings, as it would from a real reel.

CREATE TABLE virtual_reels (
  rig_id uuid PRIMARY KEY,
  boat_id uuid NOT NULL,
  truth jsonb NOT NULL,
  drag_truth jsonb NOT NULL,
  drag_clicks integer NOT NULL DEFAULT 0 CHECK (drag_clicks BETWEEN 0 AND 600),
  reel_state jsonb NOT NULL,
  version integer NOT NULL DEFAULT 1,
  FOREIGN KEY (boat_id, rig_id) REFERENCES rigs (boat_id, id)
);

CREATE TABLE virtual_lines (
  line_product_id uuid PRIMARY KEY,
  boat_id uuid NOT NULL,
  winding_truth jsonb NOT NULL,
  strength_truth jsonb NOT NULL,
  pulls_made integer NOT NULL DEFAULT 0 CHECK (pulls_made >= 0),
  seed integer NOT NULL,
  FOREIGN KEY (boat_id, line_product_id) REFERENCES line_products (boat_id, id)
);

-- Down Migration

DROP TABLE virtual_lines, virtual_reels;

-- Up Migration

-- Every row carries its boat: composite keys keep a row of one boat from pointing at another's.
CREATE TABLE boats (
  id uuid PRIMARY KEY DEFAULT gen_random_uuid(),
  name text NOT NULL CHECK (length(trim(name)) BETWEEN 1 AND 80),
  home_water text NOT NULL DEFAULT '' CHECK (length(home_water) <= 120),
  created_at timestamptz NOT NULL DEFAULT now()
);
CREATE UNIQUE INDEX boats_name_once ON boats (lower(name));

CREATE TABLE people (
  id uuid NOT NULL DEFAULT gen_random_uuid() PRIMARY KEY,
  boat_id uuid NOT NULL REFERENCES boats (id),
  name text NOT NULL CHECK (length(trim(name)) BETWEEN 1 AND 80),
  working_hand text NOT NULL DEFAULT 'right' CHECK (working_hand IN ('left', 'right')),
  UNIQUE (boat_id, id)
);

CREATE TABLE reels (
  id uuid NOT NULL DEFAULT gen_random_uuid() PRIMARY KEY,
  boat_id uuid NOT NULL REFERENCES boats (id),
  name text NOT NULL CHECK (length(trim(name)) BETWEEN 1 AND 80),
  kind text NOT NULL CHECK (kind IN ('conventional', 'fixed-spool', 'fly')),
  arbor_diameter_m double precision NOT NULL CHECK (arbor_diameter_m BETWEEN 0.003 AND 0.4),
  width_m double precision NOT NULL CHECK (width_m BETWEEN 0.002 AND 0.4),
  full_diameter_m double precision NOT NULL CHECK (full_diameter_m BETWEEN 0.005 AND 0.6),
  dimension_sd_m double precision NOT NULL CHECK (dimension_sd_m BETWEEN 0 AND 0.02),
  dimension_source text NOT NULL CHECK (dimension_source IN ('default', 'label', 'maker', 'measured', 'learned')),
  counter_kind text NOT NULL CHECK (counter_kind IN ('spool', 'roller', 'none')),
  counter_unit_m double precision CHECK (counter_unit_m BETWEEN 0.01 AND 10),
  counter_digits smallint CHECK (counter_digits BETWEEN 2 AND 6),
  counter_length_per_turn_m double precision CHECK (counter_length_per_turn_m BETWEEN 0.005 AND 2),
  counter_length_per_turn_sd_m double precision CHECK (counter_length_per_turn_sd_m BETWEEN 0 AND 0.5),
  counter_source text CHECK (counter_source IN ('default', 'maker', 'measured', 'learned')),
  counter_display text CHECK (counter_display IN ('rounds', 'truncates', 'unknown')),
  wind_hand text NOT NULL DEFAULT 'right' CHECK (wind_hand IN ('left', 'right')),
  drag_kind text NOT NULL CHECK (drag_kind IN ('star', 'lever', 'front knob', 'disc')),
  drag_limit_n double precision CHECK (drag_limit_n > 0 AND drag_limit_n < 5000),
  version integer NOT NULL DEFAULT 1,
  CHECK (full_diameter_m > arbor_diameter_m),
  CHECK (
    (counter_kind = 'none') = (counter_unit_m IS NULL)
    AND (counter_unit_m IS NULL) = (counter_digits IS NULL)
    AND (counter_unit_m IS NULL) = (counter_length_per_turn_m IS NULL)
    AND (counter_unit_m IS NULL) = (counter_length_per_turn_sd_m IS NULL)
    AND (counter_unit_m IS NULL) = (counter_source IS NULL)
    AND (counter_unit_m IS NULL) = (counter_display IS NULL)
  ),
  UNIQUE (boat_id, id)
);

CREATE TABLE reel_capacity_ratings (
  id uuid NOT NULL DEFAULT gen_random_uuid() PRIMARY KEY,
  boat_id uuid NOT NULL,
  reel_id uuid NOT NULL,
  label text NOT NULL CHECK (length(label) <= 80),
  line_diameter_m double precision NOT NULL CHECK (line_diameter_m BETWEEN 0.00003 AND 0.006),
  length_m double precision NOT NULL CHECK (length_m > 0 AND length_m <= 5000),
  FOREIGN KEY (boat_id, reel_id) REFERENCES reels (boat_id, id),
  UNIQUE (boat_id, id)
);

CREATE TABLE line_products (
  id uuid NOT NULL DEFAULT gen_random_uuid() PRIMARY KEY,
  boat_id uuid NOT NULL REFERENCES boats (id),
  name text NOT NULL CHECK (length(trim(name)) BETWEEN 1 AND 80),
  material text NOT NULL CHECK (material IN
    ('nylon', 'fluorocarbon', 'braid', 'hollow braid', 'lead core', 'copper wire', 'stainless wire', 'fly line')),
  diameter_m double precision NOT NULL CHECK (diameter_m BETWEEN 0.00003 AND 0.006),
  diameter_sd_m double precision NOT NULL CHECK (diameter_sd_m BETWEEN 0 AND 0.003),
  diameter_source text NOT NULL CHECK (diameter_source IN ('default', 'label', 'measured', 'learned')),
  packing double precision NOT NULL CHECK (packing BETWEEN 0.2 AND 1),
  packing_sd double precision NOT NULL CHECK (packing_sd BETWEEN 0 AND 0.3),
  packing_source text NOT NULL CHECK (packing_source IN ('default', 'measured', 'learned')),
  label_strength_n double precision CHECK (label_strength_n > 0 AND label_strength_n < 20000),
  version integer NOT NULL DEFAULT 1,
  UNIQUE (boat_id, id)
);

CREATE TABLE supply_spools (
  id uuid NOT NULL DEFAULT gen_random_uuid() PRIMARY KEY,
  boat_id uuid NOT NULL,
  line_product_id uuid NOT NULL,
  label text NOT NULL CHECK (length(trim(label)) BETWEEN 1 AND 80),
  bought_length_m double precision NOT NULL CHECK (bought_length_m > 0 AND bought_length_m <= 20000),
  remaining_length_m double precision NOT NULL CHECK (remaining_length_m >= 0),
  version integer NOT NULL DEFAULT 1,
  CHECK (remaining_length_m <= bought_length_m),
  FOREIGN KEY (boat_id, line_product_id) REFERENCES line_products (boat_id, id),
  UNIQUE (boat_id, id)
);

-- Down Migration

DROP TABLE supply_spools, line_products, reel_capacity_ratings, reels, people, boats;

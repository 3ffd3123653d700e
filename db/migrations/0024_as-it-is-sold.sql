-- Up Migration

-- Line that is dyed in colours: how long one is, where that was measured or stated, and how they are called in the order in
-- which they come off this very product's spool.
ALTER TABLE line_products ADD COLUMN colour_length_m double precision CHECK (colour_length_m BETWEEN 0.5 AND 100);
ALTER TABLE line_products ADD COLUMN colours text[] NOT NULL DEFAULT '{}' CHECK (cardinality(colours) <= 40);

-- A segment that was typed in colours: how long each is. Its last colour may be a part of one. Null: equal parts of its length.
ALTER TABLE segments ADD COLUMN colour_length_m double precision CHECK (colour_length_m BETWEEN 0.5 AND 100);
ALTER TABLE load_segments ADD COLUMN colour_length_m double precision CHECK (colour_length_m BETWEEN 0.5 AND 100);

-- What backing is for; null: nobody has said.
ALTER TABLE segments ADD COLUMN purpose text CHECK (purpose IN ('fill', 'reserve', 'abrasion'));
ALTER TABLE load_segments ADD COLUMN purpose text CHECK (purpose IN ('fill', 'reserve', 'abrasion'));

-- Turns of the spool for each turn of the handle; null where nobody has counted.
ALTER TABLE reels ADD COLUMN gear_ratio double precision CHECK (gear_ratio BETWEEN 0.5 AND 12);

-- By what the tension came with which a load, or a fill to find a capacity, was wound, and how large it was; null: not noted.
ALTER TABLE loads ADD COLUMN laid_by text CHECK (laid_by IN ('reel drag', 'brake', 'cloth', 'helper', 'machine', 'other'));
ALTER TABLE loads ADD COLUMN tension_n double precision CHECK (tension_n > 0 AND tension_n <= 500);
-- Shim washers under the spool of a fixed-spool reel.
ALTER TABLE loads ADD COLUMN shims smallint CHECK (shims BETWEEN 0 AND 10);
ALTER TABLE reverse_fills ADD COLUMN laid_by text CHECK (laid_by IN ('reel drag', 'brake', 'cloth', 'helper', 'machine', 'other'));
ALTER TABLE reverse_fills ADD COLUMN tension_n double precision CHECK (tension_n > 0 AND tension_n <= 500);

-- Down Migration

ALTER TABLE reverse_fills DROP COLUMN tension_n, DROP COLUMN laid_by;
ALTER TABLE loads DROP COLUMN shims, DROP COLUMN tension_n, DROP COLUMN laid_by;

ALTER TABLE reels DROP COLUMN gear_ratio;
ALTER TABLE load_segments DROP COLUMN purpose, DROP COLUMN colour_length_m;
ALTER TABLE segments DROP COLUMN purpose, DROP COLUMN colour_length_m;
ALTER TABLE line_products DROP COLUMN colours, DROP COLUMN colour_length_m;

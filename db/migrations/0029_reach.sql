-- Up Migration

-- How much of the line a rig is reckoned with: what is in use, what a run takes, or all of it to the arbor; and how far a run goes
-- beyond what is in use (m). Null: nobody has said.
ALTER TABLE rigs ADD COLUMN reach_kind text CHECK (reach_kind IN ('use', 'run', 'arbor'));
ALTER TABLE rigs ADD COLUMN reach_run_m double precision CHECK (reach_run_m BETWEEN 1 AND 5000);

-- Down Migration

ALTER TABLE rigs DROP COLUMN reach_run_m;
ALTER TABLE rigs DROP COLUMN reach_kind;

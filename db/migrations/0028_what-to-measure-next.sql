-- Up Migration

-- Lengths of line out that a rig is fished with; null until somebody has said.
ALTER TABLE rigs ADD COLUMN working_from_m double precision CHECK (working_from_m BETWEEN 1 AND 2000);
ALTER TABLE rigs ADD COLUMN working_to_m double precision CHECK (working_to_m BETWEEN 1 AND 2000);
ALTER TABLE rigs ADD CONSTRAINT rigs_working_range CHECK (
  (working_from_m IS NULL AND working_to_m IS NULL) OR (working_from_m IS NOT NULL AND working_to_m > working_from_m)
);

-- How long a kind of measurement takes this crew (minutes), by its name, where they have said.
ALTER TABLE boats ADD COLUMN measuring_minutes jsonb NOT NULL DEFAULT '{}' CHECK (jsonb_typeof(measuring_minutes) = 'object');
GRANT UPDATE (measuring_minutes) ON boats TO tidy_marlin_app;

-- Down Migration

REVOKE UPDATE (measuring_minutes) ON boats FROM tidy_marlin_app;
ALTER TABLE boats DROP COLUMN measuring_minutes;
ALTER TABLE rigs DROP CONSTRAINT rigs_working_range;
ALTER TABLE rigs DROP COLUMN working_to_m;
ALTER TABLE rigs DROP COLUMN working_from_m;

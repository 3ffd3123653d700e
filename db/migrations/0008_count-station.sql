-- Up Migration

-- A counter is tested by a walk along a tape, by colours at the tip, or by spool turns.
ALTER TABLE counter_trials ADD COLUMN kind text NOT NULL DEFAULT 'tape' CHECK (kind IN ('tape', 'colour', 'turns'));
ALTER TABLE counter_trials ADD COLUMN turns double precision CHECK (turns > 0 AND turns <= 10000);
ALTER TABLE counter_trials ADD COLUMN between_flips boolean NOT NULL DEFAULT false;
ALTER TABLE counter_trials ALTER COLUMN true_length_m DROP NOT NULL;
ALTER TABLE counter_trials ADD CONSTRAINT trial_has_its_measure CHECK (
  CASE WHEN kind = 'turns' THEN turns IS NOT NULL AND true_length_m IS NULL
  ELSE true_length_m IS NOT NULL AND turns IS NULL END);

-- What hangs from the tip when the counter is zeroed; null until somebody has said.
ALTER TABLE rigs ADD COLUMN hang_m double precision CHECK (hang_m >= 0 AND hang_m <= 20);

-- Down Migration

ALTER TABLE rigs DROP COLUMN hang_m;
ALTER TABLE counter_trials DISABLE TRIGGER append_only;
DELETE FROM counter_trials WHERE kind = 'turns';
ALTER TABLE counter_trials ENABLE TRIGGER append_only;
ALTER TABLE counter_trials DROP CONSTRAINT trial_has_its_measure;
ALTER TABLE counter_trials ALTER COLUMN true_length_m SET NOT NULL;
ALTER TABLE counter_trials DROP COLUMN between_flips, DROP COLUMN turns, DROP COLUMN kind;

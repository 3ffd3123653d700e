-- Up Migration

-- A figure so far from what is known that it is asked about: it does not count until somebody has answered, by a row that corrects
-- it, moves it or takes it back.
ALTER TABLE strength_pulls ADD COLUMN held_out boolean NOT NULL DEFAULT false;
ALTER TABLE counter_trials ADD COLUMN held_out boolean NOT NULL DEFAULT false;

-- Line that was pulled off a reel and kept lies on a spool of its own, for another reel.
ALTER TABLE line_changes DROP CONSTRAINT line_changes_reason_check;
ALTER TABLE line_changes ADD CONSTRAINT line_changes_reason_check CHECK (reason IN ('stripped', 'lost', 'added', 'kept'));
ALTER TABLE supply_spools ADD COLUMN act_id uuid DEFAULT current_act();
ALTER TABLE supply_spools ADD CONSTRAINT supply_spools_act_id_fkey FOREIGN KEY (boat_id, act_id) REFERENCES acts (boat_id, id);

-- Down Migration

ALTER TABLE supply_spools DROP COLUMN act_id;
ALTER TABLE line_changes DISABLE TRIGGER append_only;
UPDATE line_changes SET reason = 'stripped' WHERE reason = 'kept';
ALTER TABLE line_changes ENABLE TRIGGER append_only;
ALTER TABLE line_changes DROP CONSTRAINT line_changes_reason_check;
ALTER TABLE line_changes ADD CONSTRAINT line_changes_reason_check CHECK (reason IN ('stripped', 'lost', 'added'));

ALTER TABLE counter_trials DROP COLUMN held_out;
ALTER TABLE strength_pulls DROP COLUMN held_out;

-- Up Migration

-- A log row keeps what happened as a kind with its parameters; the interface words it in the reader's units. What was kept as
-- a sentence before stays as it was written.
ALTER TABLE log_entries RENAME COLUMN kind TO topic;
ALTER TABLE log_entries ADD COLUMN reason text, ADD COLUMN figures jsonb;
ALTER TABLE log_entries DISABLE TRIGGER append_only;
UPDATE log_entries SET reason = 'noted', figures = jsonb_build_object('text', entry);
ALTER TABLE log_entries ENABLE TRIGGER append_only;
ALTER TABLE log_entries
  ALTER COLUMN reason SET NOT NULL,
  ALTER COLUMN figures SET NOT NULL,
  ADD CONSTRAINT log_entries_reason_check CHECK (reason ~ '^[a-z][a-z-]{1,60}$'),
  ADD CONSTRAINT log_entries_figures_check CHECK (jsonb_typeof(figures) = 'object' AND octet_length(figures::text) <= 8000),
  DROP COLUMN entry;

-- Down Migration

ALTER TABLE log_entries ADD COLUMN entry text;
ALTER TABLE log_entries DISABLE TRIGGER append_only;
UPDATE log_entries SET entry = left(coalesce(nullif(trim(figures ->> 'text'), ''), reason), 500);
ALTER TABLE log_entries ENABLE TRIGGER append_only;
ALTER TABLE log_entries
  ALTER COLUMN entry SET NOT NULL,
  ADD CONSTRAINT log_entries_entry_check CHECK (length(trim(entry)) BETWEEN 1 AND 500),
  DROP COLUMN reason,
  DROP COLUMN figures;
ALTER TABLE log_entries RENAME COLUMN topic TO kind;

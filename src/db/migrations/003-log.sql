-- Flights, runs, preflight checks, maintenance and events.
CREATE TABLE log_entry (
  id       INTEGER PRIMARY KEY,
  uid      TEXT    NOT NULL UNIQUE,
  model_id TEXT    NOT NULL,
  version  INTEGER NOT NULL,
  kind     TEXT    NOT NULL CHECK (kind IN ('flight', 'preflight', 'maintenance', 'event', 'note')),
  at       TEXT    NOT NULL,
  body     TEXT    NOT NULL CHECK (json_valid(body)),
  FOREIGN KEY (model_id, version) REFERENCES setup_version (model_id, version)
) STRICT;

CREATE INDEX log_of_model ON log_entry (model_id, at DESC, id DESC);
CREATE INDEX log_of_kind ON log_entry (model_id, kind, at);

CREATE TRIGGER log_entry_is_append_only BEFORE UPDATE ON log_entry
BEGIN SELECT raise(ABORT, 'log entries are append-only'); END;

-- What the shelf says of each model, kept because the proof behind it takes time. Lost without harm.
CREATE TABLE shelf_line (
  model_id TEXT PRIMARY KEY REFERENCES model (id),
  made_of  TEXT NOT NULL, -- version and newest observation it was worked out from
  line     TEXT NOT NULL CHECK (json_valid(line))
) STRICT, WITHOUT ROWID;

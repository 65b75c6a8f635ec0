-- A line's identity belongs to its model: the same line may stand in the logs of two models.
CREATE TABLE log_line (
  id       INTEGER PRIMARY KEY,
  model_id TEXT    NOT NULL,
  uid      TEXT    NOT NULL,
  version  INTEGER NOT NULL,
  kind     TEXT    NOT NULL CHECK (kind IN ('flight', 'preflight', 'maintenance', 'event', 'note')),
  at       TEXT    NOT NULL,
  body     TEXT    NOT NULL CHECK (json_valid(body)),
  UNIQUE (model_id, uid),
  FOREIGN KEY (model_id, version) REFERENCES setup_version (model_id, version)
) STRICT;

INSERT INTO log_line (id, model_id, uid, version, kind, at, body)
SELECT id, model_id, uid, version, kind, at, body FROM log_entry;

DROP TABLE log_entry;
ALTER TABLE log_line RENAME TO log_entry;

CREATE INDEX log_of_model ON log_entry (model_id, at DESC, id DESC);
CREATE INDEX log_of_kind ON log_entry (model_id, kind, at);

CREATE TRIGGER log_entry_is_append_only BEFORE UPDATE ON log_entry
BEGIN SELECT raise(ABORT, 'log entries are append-only'); END;

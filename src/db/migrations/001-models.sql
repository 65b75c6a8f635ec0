-- Models, their Setup versions and what was seen on them. Versions and evidence are append-only.
CREATE TABLE model (
  id         TEXT PRIMARY KEY,
  created_at TEXT NOT NULL
) STRICT;

CREATE TABLE setup_version (
  model_id   TEXT    NOT NULL REFERENCES model (id),
  version    INTEGER NOT NULL CHECK (version >= 1),
  label      TEXT    NOT NULL,
  setup      TEXT    NOT NULL CHECK (json_valid(setup)),
  created_at TEXT    NOT NULL,
  PRIMARY KEY (model_id, version)
) STRICT, WITHOUT ROWID;

CREATE TABLE evidence (
  id       INTEGER PRIMARY KEY,
  model_id TEXT    NOT NULL,
  version  INTEGER NOT NULL,
  subject  TEXT    NOT NULL, -- check, a blank, surface
  seen     TEXT    NOT NULL,
  parts    TEXT    NOT NULL CHECK (json_valid(parts)),
  at       TEXT    NOT NULL,
  FOREIGN KEY (model_id, version) REFERENCES setup_version (model_id, version)
) STRICT;

CREATE INDEX evidence_of_model ON evidence (model_id, subject, id);

CREATE TRIGGER setup_version_is_append_only BEFORE UPDATE ON setup_version
BEGIN SELECT raise(ABORT, 'setup versions are append-only'); END;

CREATE TRIGGER evidence_is_append_only BEFORE UPDATE ON evidence
BEGIN SELECT raise(ABORT, 'evidence is append-only'); END;

-- What the shelf asks of every model, kept beside it: reading it from the versions themselves would
-- mean walking through every Setup.
CREATE TABLE model_head (
  model_id   TEXT    PRIMARY KEY REFERENCES model (id),
  version    INTEGER NOT NULL,
  name       TEXT    NOT NULL,
  changed_at TEXT    NOT NULL,
  seen       INTEGER NOT NULL DEFAULT 0, -- newest observation
  flown_at   TEXT,                       -- last flight or run
  checked_at TEXT                        -- last preflight check
) STRICT, WITHOUT ROWID;

CREATE INDEX heads_by_change ON model_head (changed_at DESC, model_id);

INSERT INTO model_head (model_id, version, name, changed_at, seen, flown_at, checked_at)
SELECT v.model_id, v.version, json_extract(v.setup, '$.name'), v.created_at,
       coalesce((SELECT max(id) FROM evidence WHERE model_id = v.model_id), 0),
       (SELECT max(at) FROM log_entry WHERE model_id = v.model_id AND kind = 'flight'),
       (SELECT max(at) FROM log_entry WHERE model_id = v.model_id AND kind = 'preflight')
  FROM setup_version AS v
 WHERE v.version = (SELECT max(version) FROM setup_version WHERE model_id = v.model_id);

CREATE TRIGGER setup_version_becomes_head AFTER INSERT ON setup_version
BEGIN
  INSERT INTO model_head (model_id, version, name, changed_at)
  VALUES (new.model_id, new.version, json_extract(new.setup, '$.name'), new.created_at)
  ON CONFLICT (model_id) DO UPDATE
     SET version = excluded.version, name = excluded.name, changed_at = excluded.changed_at
   WHERE excluded.version > version;
END;

CREATE TRIGGER evidence_is_newest AFTER INSERT ON evidence
BEGIN
  UPDATE model_head SET seen = new.id WHERE model_id = new.model_id;
END;

CREATE TRIGGER flight_is_last AFTER INSERT ON log_entry WHEN new.kind = 'flight'
BEGIN
  UPDATE model_head SET flown_at = max(coalesce(flown_at, ''), new.at)
   WHERE model_id = new.model_id;
END;

CREATE TRIGGER check_is_last AFTER INSERT ON log_entry WHEN new.kind = 'preflight'
BEGIN
  UPDATE model_head SET checked_at = max(coalesce(checked_at, ''), new.at)
   WHERE model_id = new.model_id;
END;

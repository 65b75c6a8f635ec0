-- Where a model is kept: on the shelf, put away as retired, or taken off and gone after a while; and
-- the words its owner finds it by.
ALTER TABLE model_head ADD COLUMN kept TEXT NOT NULL DEFAULT 'shelf'
  CHECK (kept IN ('shelf', 'retired', 'off'));
ALTER TABLE model_head ADD COLUMN moved_at TEXT;
ALTER TABLE model_head ADD COLUMN tags TEXT NOT NULL DEFAULT '';

CREATE INDEX heads_by_place ON model_head (kept, changed_at DESC, model_id);

-- The words a model is found by on the shelf, folded once, when they change.
ALTER TABLE model_head ADD COLUMN found_by TEXT
  GENERATED ALWAYS AS (fold(name || char(10) || tags)) VIRTUAL;

DROP INDEX heads_by_place;
CREATE INDEX heads_by_place ON model_head (kept, changed_at DESC, model_id, found_by);

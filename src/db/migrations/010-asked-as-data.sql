-- What was asked is hashed as data, no longer as its sentence (see restamp.ts), for which evidence may be
-- changed this once; what the shelf said of every model is worked out anew.
DROP TRIGGER evidence_is_append_only;
DELETE FROM shelf_line;

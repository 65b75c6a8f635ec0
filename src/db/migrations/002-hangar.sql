-- Units and transmitters kept on their own. Models hold copies, so taking one out loses no model.
CREATE TABLE hangar_part (
  id         TEXT    PRIMARY KEY,
  kind       TEXT    NOT NULL CHECK (kind IN ('unit', 'transmitter')),
  copy_of    TEXT,             -- another part here, or one that ships with the app
  revision   INTEGER NOT NULL CHECK (revision >= 1),
  body       TEXT    NOT NULL CHECK (json_valid(body)),
  changed_at TEXT    NOT NULL
) STRICT, WITHOUT ROWID;

-- The words of every line of every log, as they are searched: each three letters of them are indexed.
CREATE VIRTUAL TABLE log_text USING fts5(
  said, content='', contentless_delete=1, tokenize='trigram case_sensitive 1'
);

INSERT INTO log_text (rowid, said)
SELECT id, fold(at || ' ' || (SELECT group_concat(value, ' ') FROM json_each(body))) FROM log_entry;

CREATE TRIGGER log_entry_is_indexed AFTER INSERT ON log_entry
BEGIN
  INSERT INTO log_text (rowid, said)
  VALUES (new.id, fold(new.at || ' ' || (SELECT group_concat(value, ' ') FROM json_each(new.body))));
END;

CREATE TRIGGER log_entry_leaves_the_index AFTER DELETE ON log_entry
BEGIN
  DELETE FROM log_text WHERE rowid = old.id;
END;

-- The model this one was copied from, so that two that merely began alike are not taken for relatives.
ALTER TABLE model ADD COLUMN copied_from TEXT;

-- When everything was last packed into an archive.
CREATE TABLE archive_made (at TEXT NOT NULL) STRICT;

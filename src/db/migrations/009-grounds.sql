-- What an answer stands on: nothing here where it was seen, 'said' where one tap stood for a whole list.
ALTER TABLE evidence ADD COLUMN ground TEXT CHECK (ground IN ('said'));

CREATE TRIGGER setup_version_is_append_only BEFORE UPDATE ON setup_version
BEGIN SELECT raise(ABORT, 'setup versions are append-only'); END;

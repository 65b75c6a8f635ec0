CREATE TRIGGER evidence_is_append_only BEFORE UPDATE ON evidence
BEGIN SELECT raise(ABORT, 'evidence is append-only'); END;

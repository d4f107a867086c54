-- +goose Up
-- A sum over each revision tells a flipped bit; those that are there get theirs at the first start.
ALTER TABLE revisions ADD COLUMN sum TEXT NOT NULL DEFAULT '';
-- Keys of sessions are hashed from now on: who came in before asks anew.
DELETE FROM sessions;
CREATE INDEX sessions_expires ON sessions (expires);

-- +goose Down
DROP INDEX sessions_expires;
ALTER TABLE revisions DROP COLUMN sum;

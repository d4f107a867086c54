-- +goose Up
CREATE TABLE sessions (
    key     TEXT PRIMARY KEY,
    value   BLOB NOT NULL,
    expires INTEGER NOT NULL -- Unix seconds
) STRICT;

-- +goose Down
DROP TABLE sessions;

-- +goose Up
CREATE TABLE library (
    id         TEXT PRIMARY KEY,
    collection TEXT NOT NULL,
    name       TEXT NOT NULL,
    source     TEXT NOT NULL, -- name of the plan that it was kept from
    revision   INTEGER NOT NULL,
    document   TEXT NOT NULL, -- a plan that holds the thing alone
    kept_at    TEXT NOT NULL,
    deleted_at TEXT,
    sum        TEXT NOT NULL
) STRICT;

-- +goose Down
DROP TABLE library;

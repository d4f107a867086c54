-- +goose Up
CREATE TABLE plans (
    id         TEXT PRIMARY KEY,
    name       TEXT NOT NULL,
    revision   INTEGER NOT NULL,
    created_at TEXT NOT NULL,
    updated_at TEXT NOT NULL,
    deleted_at TEXT
) STRICT;

CREATE TABLE revisions (
    plan_id  TEXT NOT NULL REFERENCES plans (id) ON DELETE CASCADE,
    revision INTEGER NOT NULL,
    save_id  TEXT NOT NULL,
    sitting  TEXT NOT NULL,
    label    TEXT NOT NULL DEFAULT '',
    document TEXT NOT NULL,
    saved_at TEXT NOT NULL,
    PRIMARY KEY (plan_id, revision)
) STRICT;

CREATE UNIQUE INDEX revisions_save ON revisions (plan_id, save_id);

CREATE TABLE settings (
    key   TEXT PRIMARY KEY,
    value TEXT NOT NULL
) STRICT;

-- +goose Down
DROP TABLE settings;
DROP TABLE revisions;
DROP TABLE plans;

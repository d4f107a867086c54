-- +goose Up
-- What happened: ticks, times, snags, measures. Beside the plan and not in its revisions.
CREATE TABLE records (
    plan_id    TEXT NOT NULL REFERENCES plans (id) ON DELETE CASCADE,
    id         TEXT NOT NULL,
    kind       TEXT NOT NULL,
    revision   INTEGER NOT NULL,
    document   TEXT NOT NULL,
    kept_at    TEXT NOT NULL,
    deleted_at TEXT,
    sum        TEXT NOT NULL,
    PRIMARY KEY (plan_id, id)
) STRICT, WITHOUT ROWID;
CREATE INDEX records_kind ON records (plan_id, kind);

CREATE TABLE photos (
    plan_id    TEXT NOT NULL REFERENCES plans (id) ON DELETE CASCADE,
    id         TEXT NOT NULL,
    wide       INTEGER NOT NULL,
    high       INTEGER NOT NULL,
    picture    BLOB NOT NULL, -- JPEG
    kept_at    TEXT NOT NULL,
    deleted_at TEXT,
    sum        TEXT NOT NULL,
    PRIMARY KEY (plan_id, id)
) STRICT;

-- +goose Down
DROP TABLE photos;
DROP TABLE records;

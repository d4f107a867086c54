package store

import (
	"context"
	"database/sql"
	"fmt"
	"time"
)

// How long what is kept: autosaves each for two days, then the last of a day for two months, then
// the last of a month; a deleted plan, record or photo for ninety days. Named revisions and a plan's latest stay.
const (
	keepEach    = 2 * 24 * time.Hour
	keepDaily   = 61 * 24 * time.Hour
	keepDeleted = 90 * 24 * time.Hour
)

// Tidied is what a tidying took away.
type Tidied struct {
	Revisions int64 // autosaves folded into a later one
	Plans     int64 // deleted long ago
}

// Tidy folds old autosaves and takes away plans that were deleted long ago, and gives the room
// back to the disk.
func (s *Store) Tidy(ctx context.Context) (t Tidied, err error) {
	now := s.now()
	err = s.write(ctx, func(tx *sql.Tx) error {
		res, err := tx.ExecContext(ctx, "DELETE FROM plans WHERE deleted_at < ?", stamped(now.Add(-keepDeleted)))
		if err != nil {
			return err
		}
		if t.Plans, err = res.RowsAffected(); err != nil {
			return err
		}
		for _, table := range []string{"library", "records", "photos"} {
			_, err = tx.ExecContext(
				ctx,
				"DELETE FROM "+table+" WHERE deleted_at < ?",
				stamped(now.Add(-keepDeleted)),
			)
			if err != nil {
				return err
			}
		}
		res, err = tx.ExecContext(ctx, `DELETE FROM revisions WHERE rowid IN (SELECT id FROM (
			SELECT r.rowid AS id, row_number() OVER (PARTITION BY r.plan_id, CASE WHEN r.saved_at >= ? THEN substr(r.saved_at, 1, 10)
				ELSE substr(r.saved_at, 1, 7) END ORDER BY r.revision DESC) AS nth
			FROM revisions r JOIN plans p ON p.id = r.plan_id
			WHERE r.label = '' AND r.revision <> p.revision AND r.saved_at < ?) WHERE nth > 1)`,
			stamped(now.Add(-keepDaily)), stamped(now.Add(-keepEach)))
		if err != nil {
			return err
		}
		t.Revisions, err = res.RowsAffected()
		return err
	})
	if err != nil || t.Revisions+t.Plans == 0 {
		return t, err
	}
	if _, err := s.db.ExecContext(ctx, "VACUUM"); err != nil {
		return t, fmt.Errorf("giving room back: %w", reason(err))
	}
	return t, nil
}

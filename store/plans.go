package store

import (
	"cmp"
	"context"
	"crypto/sha256"
	"database/sql"
	"encoding/hex"
	"errors"
	"fmt"
	"slices"
	"strconv"
	"time"
)

// Plan is a stored plan's latest revision.
type Plan struct {
	ID        string
	Name      string
	Revision  int64
	Document  []byte
	UpdatedAt time.Time
}

// Revision is one entry of a plan's history.
type Revision struct {
	Revision int64     `json:"revision"`
	Label    string    `json:"label"`
	SavedAt  time.Time `json:"savedAt"`
}

// Save is what a client sends to be kept.
type Save struct {
	ID       string // the client's own id of this save: a retry carries the same
	Sitting  string // autosaves of one sitting fold into one revision
	Label    string // a named revision is never folded away
	Name     string
	Document []byte
	After    []string // the client's own earlier saves whose answer never came
}

// stamp is how times are written: always as long, so that they sort as times.
const stamp = "2006-01-02T15:04:05.000000000Z"

func stamped(t time.Time) string { return t.UTC().Format(stamp) }

// List gives the plans that are not deleted, latest first, without documents.
func (s *Store) List(ctx context.Context) ([]Plan, error) {
	rows, err := s.reads.QueryContext(
		ctx,
		"SELECT id, name, revision, updated_at FROM plans WHERE deleted_at IS NULL ORDER BY updated_at DESC, id",
	)
	if err != nil {
		return nil, reason(err)
	}
	defer rows.Close()
	out := []Plan{}
	for rows.Next() {
		var p Plan
		var at string
		if err := rows.Scan(&p.ID, &p.Name, &p.Revision, &at); err != nil {
			return nil, err
		}
		p.UpdatedAt, _ = time.Parse(stamp, at)
		out = append(out, p)
	}
	return out, reason(rows.Err())
}

// Get gives a plan with its latest document; deleted ones are not found. A document that does not
// come back as it was written is a *SpoiltError.
func (s *Store) Get(ctx context.Context, id string) (Plan, error) {
	p := Plan{ID: id}
	var at string
	var r row
	err := s.reads.QueryRowContext(ctx, `SELECT p.name, p.updated_at, `+columns+` FROM plans p
		JOIN revisions r ON r.plan_id = p.id AND r.revision = p.revision WHERE p.id = ? AND p.deleted_at IS NULL`, id).
		Scan(append([]any{&p.Name, &at}, r.into()...)...)
	if errors.Is(err, sql.ErrNoRows) {
		return p, ErrNotFound
	} else if err != nil {
		return p, reason(err)
	}
	p.UpdatedAt, _ = time.Parse(stamp, at)
	p.Revision = r.revision
	p.Document, err = s.checked(ctx, &r)
	return p, err
}

// Create keeps a new plan as revision 1. A retry with the same save id finds
// the plan that was made.
func (s *Store) Create(ctx context.Context, id string, save Save) (revision int64, err error) {
	err = s.write(ctx, func(tx *sql.Tx) error {
		if rev, ok, err := savedAs(ctx, tx, id, save.ID); err != nil || ok {
			revision = rev
			return err
		}
		var n int
		if err := tx.QueryRowContext(ctx, "SELECT count(*) FROM plans WHERE id = ?", id).Scan(&n); err != nil {
			return err
		} else if n > 0 {
			return ErrConflict
		}
		at := stamped(s.now())
		revision = 1
		if _, err := tx.ExecContext(ctx, "INSERT INTO plans (id, name, revision, created_at, updated_at) VALUES (?, ?, 1, ?, ?)", id, save.Name, at, at); err != nil {
			return err
		}
		return insert(ctx, tx, id, 1, save, at)
	})
	return revision, err
}

// Update keeps the next revision of a plan that the client last saw at
// revision base. ErrConflict says that the plan has moved on since; nothing is
// written then. A retry of a save that did commit gives its revision again, and
// one of the client's own saves in save.After is not another's change.
func (s *Store) Update(ctx context.Context, id string, base int64, save Save) (revision int64, err error) {
	err = s.write(ctx, func(tx *sql.Tx) error {
		if rev, ok, err := savedAs(ctx, tx, id, save.ID); err != nil || ok {
			revision = rev
			return err
		}
		var head int64
		var sitting, label, by string
		err := tx.QueryRowContext(ctx, `SELECT p.revision, r.sitting, r.label, r.save_id FROM plans p
			JOIN revisions r ON r.plan_id = p.id AND r.revision = p.revision WHERE p.id = ? AND p.deleted_at IS NULL`, id).Scan(&head, &sitting, &label, &by)
		if errors.Is(err, sql.ErrNoRows) {
			return ErrNotFound
		} else if err != nil {
			return err
		}
		if head != base && !slices.Contains(save.After, by) {
			return ErrConflict
		}
		revision = head + 1
		at := stamped(s.now())
		if err := insert(ctx, tx, id, revision, save, at); err != nil {
			return err
		}
		if sitting == save.Sitting && sitting != "" && label == "" {
			if _, err := tx.ExecContext(ctx, "DELETE FROM revisions WHERE plan_id = ? AND revision = ?", id, head); err != nil {
				return err
			}
		}
		_, err = tx.ExecContext(
			ctx,
			"UPDATE plans SET name = ?, revision = ?, updated_at = ? WHERE id = ?",
			save.Name,
			revision,
			at,
			id,
		)
		return err
	})
	return revision, err
}

func savedAs(ctx context.Context, tx *sql.Tx, id, saveID string) (revision int64, ok bool, err error) {
	err = tx.QueryRowContext(ctx, "SELECT revision FROM revisions WHERE plan_id = ? AND save_id = ?", id, saveID).
		Scan(&revision)
	if errors.Is(err, sql.ErrNoRows) {
		return 0, false, nil
	}
	return revision, err == nil, err
}

func insert(ctx context.Context, tx *sql.Tx, id string, revision int64, save Save, at string) error {
	r := row{
		plan:     id,
		revision: revision,
		save:     save.ID,
		sitting:  save.Sitting,
		label:    save.Label,
		document: string(save.Document),
		savedAt:  at,
	}
	_, err := tx.ExecContext(
		ctx,
		`INSERT INTO revisions (plan_id, revision, save_id, sitting, label, document, saved_at, sum)
		VALUES (?, ?, ?, ?, ?, ?, ?, ?)`,
		r.plan,
		r.revision,
		r.save,
		r.sitting,
		r.label,
		r.document,
		r.savedAt,
		r.sum(),
	)
	return err
}

// row is a revision as it stands in the database.
type row struct {
	plan                                    string
	revision                                int64
	save, sitting, label, document, savedAt string
	kept                                    string // the sum that was written with it
}

// columns are those of a row, of revisions as r.
const columns = "r.plan_id, r.revision, r.save_id, r.sitting, r.label, r.document, r.saved_at, r.sum"

func (r *row) into() []any {
	return []any{&r.plan, &r.revision, &r.save, &r.sitting, &r.label, &r.document, &r.savedAt, &r.kept}
}

// sum is what tells a flipped bit.
func (r *row) sum() string {
	return digest(
		r.plan, strconv.FormatInt(r.revision, 10), r.save, r.sitting, r.label, r.savedAt, r.document,
	)
}

// digest is SHA-256 over all that a record holds, each part with its length before it.
func digest(parts ...string) string {
	h := sha256.New()
	for _, part := range parts {
		fmt.Fprintf(h, "%d:%s", len(part), part)
	}
	return hex.EncodeToString(h.Sum(nil))
}

// querier is what a transaction and a database have in common here.
type querier interface {
	QueryContext(ctx context.Context, query string, args ...any) (*sql.Rows, error)
}

// revisionsOf reads revisions whole.
func revisionsOf(ctx context.Context, q querier, where string, args ...any) (out []row, err error) {
	rows, err := q.QueryContext(ctx, "SELECT "+columns+" FROM revisions r "+where, args...)
	if err != nil {
		return nil, err
	}
	defer rows.Close()
	for rows.Next() {
		var r row
		if err := rows.Scan(r.into()...); err != nil {
			return nil, err
		}
		out = append(out, r)
	}
	return out, rows.Err()
}

// SetDeleted takes a plan out of the list, or brings it back with all its
// revisions. What was deleted long ago is gone: see Tidy.
func (s *Store) SetDeleted(ctx context.Context, id string, deleted bool) error {
	var at any
	if deleted {
		at = stamped(s.now())
	}
	return s.write(ctx, func(tx *sql.Tx) error {
		res, err := tx.ExecContext(ctx, "UPDATE plans SET deleted_at = ? WHERE id = ?", at, id)
		if err != nil {
			return err
		}
		if n, err := res.RowsAffected(); err != nil || n == 0 {
			return cmp.Or(err, ErrNotFound)
		}
		return nil
	})
}

// History lists a plan's revisions, latest first.
func (s *Store) History(ctx context.Context, id string) ([]Revision, error) {
	rows, err := s.reads.QueryContext(
		ctx,
		"SELECT revision, label, saved_at FROM revisions WHERE plan_id = ? ORDER BY revision DESC",
		id,
	)
	if err != nil {
		return nil, reason(err)
	}
	defer rows.Close()
	out := []Revision{}
	for rows.Next() {
		var r Revision
		var at string
		if err := rows.Scan(&r.Revision, &r.Label, &at); err != nil {
			return nil, err
		}
		r.SavedAt, _ = time.Parse(stamp, at)
		out = append(out, r)
	}
	if len(out) == 0 {
		return nil, ErrNotFound
	}
	return out, rows.Err()
}

// At gives the document of one revision. One that does not come back as it was written is a
// *SpoiltError; the others stay usable.
func (s *Store) At(ctx context.Context, id string, revision int64) ([]byte, error) {
	rows, err := revisionsOf(ctx, s.reads, "WHERE r.plan_id = ? AND r.revision = ?", id, revision)
	if err != nil {
		return nil, reason(err)
	} else if len(rows) == 0 {
		return nil, ErrNotFound
	}
	return s.checked(ctx, &rows[0])
}

// checked gives a row's document where it is as it was written.
func (s *Store) checked(ctx context.Context, r *row) ([]byte, error) {
	if r.kept == r.sum() {
		return []byte(r.document), nil
	}
	spoilt := &SpoiltError{Revision: r.revision}
	before, err := revisionsOf(
		ctx,
		s.reads,
		"WHERE r.plan_id = ? AND r.revision < ? ORDER BY r.revision DESC LIMIT 20",
		r.plan,
		r.revision,
	)
	if err != nil {
		return nil, reason(err)
	}
	for i := range before {
		if before[i].kept == before[i].sum() {
			spoilt.Earlier = before[i].revision
			break
		}
	}
	return nil, spoilt
}

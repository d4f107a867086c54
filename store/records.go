package store

import (
	"cmp"
	"context"
	"database/sql"
	"errors"
	"strconv"
	"strings"
	"time"
)

// Record is something that happened, kept beside a plan and not in its revisions. It counts its own revisions; of two
// changes the later one stands, and a deleted record can be brought back until Tidy takes it.
type Record struct {
	Plan, ID, Kind string
	Revision       int64
	Document       []byte // nil where it does not come back as it was written
	At             time.Time
}

// MostRecords is how many records a plan may have, deleted ones counted.
const MostRecords = 20_000

// ErrManyRecords says that a plan has as many records as it may.
var ErrManyRecords = errors.New("the plan has as many records as it may")

func (r *Record) sum() string {
	return digest(r.Plan, r.ID, r.Kind, strconv.FormatInt(r.Revision, 10), stamped(r.At), string(r.Document))
}

const recordRows = "SELECT plan_id, id, kind, revision, document, kept_at, sum FROM records "

func (r *Record) read(scan func(...any) error) error {
	var at, sum string
	if err := scan(&r.Plan, &r.ID, &r.Kind, &r.Revision, &r.Document, &at, &sum); err != nil {
		return err
	}
	r.At, _ = time.Parse(stamp, at) // a time that cannot be read differs in its sum
	if r.sum() != sum {
		r.Document = nil
	}
	return nil
}

// Records lists a plan's records of some kinds, or all, by their ids.
func (s *Store) Records(ctx context.Context, plan string, kinds ...string) ([]Record, error) {
	where, args := "WHERE plan_id = ? AND deleted_at IS NULL", []any{plan}
	if len(kinds) > 0 {
		where += " AND kind IN (?" + strings.Repeat(", ?", len(kinds)-1) + ")"
		for _, k := range kinds {
			args = append(args, k)
		}
	}
	rows, err := s.reads.QueryContext(ctx, recordRows+where+" ORDER BY id", args...)
	if err != nil {
		return nil, reason(err)
	}
	defer rows.Close()
	out := []Record{}
	for rows.Next() {
		var r Record
		if err := r.read(rows.Scan); err != nil {
			return nil, reason(err)
		}
		out = append(out, r)
	}
	return out, reason(rows.Err())
}

// ChangeRecord lets change make a record's next document of its last one (nil for a new one, or one that was deleted or is
// damaged), and keeps it where it differs. What change returns as an error ends it.
func (s *Store) ChangeRecord(
	ctx context.Context, plan, id string, change func(old []byte) (kind string, document []byte, err error),
) (r Record, err error) {
	err = s.write(ctx, func(tx *sql.Tx) error {
		if err := livingPlan(ctx, tx, plan); err != nil {
			return err
		}
		r, err = s.changed(ctx, tx, plan, RecordChange{id, change})
		return err
	})
	return r, err
}

// RecordChange is a change of one record: it makes its document of the old one, which is nil for a new record.
type RecordChange struct {
	ID   string
	Make func(old []byte) (kind string, document []byte, err error)
}

// ChangeRecords makes many changes at once: all of them, but for those that cannot be made. refused are their errors, by their place
// in the list.
func (s *Store) ChangeRecords(
	ctx context.Context,
	plan string,
	changes []RecordChange,
) (refused map[int]error, err error) {
	err = s.write(ctx, func(tx *sql.Tx) error {
		refused = map[int]error{}
		if err := livingPlan(ctx, tx, plan); err != nil {
			return err
		}
		for i, c := range changes {
			var own error
			_, err := s.changed(ctx, tx, plan, RecordChange{c.ID, func(old []byte) (string, []byte, error) {
				kind, document, err := c.Make(old)
				own = err
				return kind, document, err
			}})
			switch {
			case own != nil:
				refused[i] = own
			case err != nil:
				return err
			}
		}
		return nil
	})
	return refused, err
}

func (s *Store) changed(ctx context.Context, tx *sql.Tx, plan string, c RecordChange) (r Record, err error) {
	var gone sql.NullString
	err = r.read(func(into ...any) error {
		return tx.QueryRowContext(
			ctx,
			strings.Replace(recordRows, " FROM", ", deleted_at FROM", 1)+"WHERE plan_id = ? AND id = ?",
			plan,
			c.ID,
		).Scan(append(into, &gone)...)
	})
	switch {
	case errors.Is(err, sql.ErrNoRows):
		if err := fewer(ctx, tx, "records", plan, MostRecords, ErrManyRecords); err != nil {
			return r, err
		}
	case err != nil:
		return r, err
	case gone.Valid:
		r.Document = nil // what was deleted begins again, one revision on
	}
	kind, document, err := c.Make(r.Document)
	if err != nil {
		return r, err
	}
	if r.Document != nil && r.Kind == kind && string(r.Document) == string(document) {
		return r, nil
	}
	r = Record{Plan: plan, ID: c.ID, Kind: kind, Revision: r.Revision + 1, Document: document, At: s.now().UTC()}
	return r, putRecord(ctx, tx, &r)
}

func putRecord(ctx context.Context, tx *sql.Tx, r *Record) error {
	_, err := tx.ExecContext(ctx, `INSERT OR REPLACE INTO records
		(plan_id, id, kind, revision, document, kept_at, sum) VALUES (?, ?, ?, ?, ?, ?, ?)`,
		r.Plan, r.ID, r.Kind, r.Revision, string(r.Document), stamped(r.At), r.sum())
	return err
}

// livingPlan is ErrNotFound where there is no such plan.
func livingPlan(ctx context.Context, tx *sql.Tx, plan string) error {
	var n int
	err := tx.QueryRowContext(ctx, "SELECT count(*) FROM plans WHERE id = ? AND deleted_at IS NULL", plan).Scan(&n)
	if err == nil && n == 0 {
		return ErrNotFound
	}
	return err
}

// fewer is an error where a plan has as many rows of a table as it may.
func fewer(ctx context.Context, tx *sql.Tx, table, plan string, most int, many error) error {
	var n int
	if err := tx.QueryRowContext(ctx, "SELECT count(*) FROM "+table+" WHERE plan_id = ?", plan).Scan(&n); err != nil {
		return err
	}
	if n >= most {
		return many
	}
	return nil
}

// SetRecordDeleted takes a record away, or brings it back.
func (s *Store) SetRecordDeleted(ctx context.Context, plan, id string, deleted bool) error {
	return s.setGone(ctx, "records", plan, id, deleted)
}

func (s *Store) setGone(ctx context.Context, table, plan, id string, deleted bool) error {
	return s.write(ctx, func(tx *sql.Tx) error {
		var at any
		if deleted {
			at = stamped(s.now())
		}
		r, err := tx.ExecContext(
			ctx,
			"UPDATE "+table+" SET deleted_at = ? WHERE plan_id = ? AND id = ?",
			at,
			plan,
			id,
		)
		if err != nil {
			return err
		}
		if n, err := r.RowsAffected(); err != nil || n == 0 {
			return cmp.Or(err, ErrNotFound)
		}
		return nil
	})
}

// Photo is a picture beside a plan.
type Photo struct {
	Plan, ID   string
	Wide, High int
	Picture    []byte // JPEG; nil where it does not come back as it was written
	At         time.Time
}

// MostPhotos is how many photos a plan may have, deleted ones counted.
const MostPhotos = 400

// ErrManyPhotos says that a plan has as many photos as it may.
var ErrManyPhotos = errors.New("the plan has as many photos as it may")

func (p *Photo) sum() string {
	return digest(p.Plan, p.ID, strconv.Itoa(p.Wide), strconv.Itoa(p.High), stamped(p.At), string(p.Picture))
}

func (p *Photo) read(scan func(...any) error) error {
	var at, sum string
	if err := scan(&p.Plan, &p.ID, &p.Wide, &p.High, &p.Picture, &at, &sum); err != nil {
		return err
	}
	p.At, _ = time.Parse(stamp, at)
	if p.sum() != sum {
		p.Picture = nil
	}
	return nil
}

const photoRows = "SELECT plan_id, id, wide, high, picture, kept_at, sum FROM photos "

// AddPhoto keeps a picture; the same id again finds the one that is there.
func (s *Store) AddPhoto(ctx context.Context, p Photo) error {
	return s.write(ctx, func(tx *sql.Tx) error {
		if err := livingPlan(ctx, tx, p.Plan); err != nil {
			return err
		}
		var n int
		err := tx.QueryRowContext(ctx, "SELECT count(*) FROM photos WHERE plan_id = ? AND id = ?", p.Plan, p.ID).
			Scan(&n)
		if err != nil || n > 0 {
			return err
		}
		if err := fewer(ctx, tx, "photos", p.Plan, MostPhotos, ErrManyPhotos); err != nil {
			return err
		}
		p.At = s.now().UTC()
		return putPhoto(ctx, tx, &p)
	})
}

func putPhoto(ctx context.Context, tx *sql.Tx, p *Photo) error {
	_, err := tx.ExecContext(ctx, `INSERT INTO photos (plan_id, id, wide, high, picture, kept_at, sum)
		VALUES (?, ?, ?, ?, ?, ?, ?)`, p.Plan, p.ID, p.Wide, p.High, p.Picture, stamped(p.At), p.sum())
	return err
}

// Photo gives a picture; deleted ones too, for as long as they are kept, so that an undone deletion shows it again.
func (s *Store) Photo(ctx context.Context, plan, id string) (Photo, error) {
	var p Photo
	err := p.read(s.reads.QueryRowContext(ctx, photoRows+"WHERE plan_id = ? AND id = ?", plan, id).Scan)
	if errors.Is(err, sql.ErrNoRows) {
		return p, ErrNotFound
	}
	return p, reason(err)
}

// Photos lists a plan's pictures by their ids.
func (s *Store) Photos(ctx context.Context, plan string) ([]Photo, error) {
	rows, err := s.reads.QueryContext(ctx, photoRows+"WHERE plan_id = ? AND deleted_at IS NULL ORDER BY id", plan)
	if err != nil {
		return nil, reason(err)
	}
	defer rows.Close()
	out := []Photo{}
	for rows.Next() {
		var p Photo
		if err := p.read(rows.Scan); err != nil {
			return nil, reason(err)
		}
		out = append(out, p)
	}
	return out, reason(rows.Err())
}

// SetPhotoDeleted takes a photo away, or brings it back.
func (s *Store) SetPhotoDeleted(ctx context.Context, plan, id string, deleted bool) error {
	return s.setGone(ctx, "photos", plan, id, deleted)
}

// CreateWhole keeps a new plan with its records and photos, all or nothing.
func (s *Store) CreateWhole(ctx context.Context, id string, save Save, records []Record, photos []Photo) error {
	switch {
	case len(records) > MostRecords:
		return ErrManyRecords
	case len(photos) > MostPhotos:
		return ErrManyPhotos
	}
	return s.write(ctx, func(tx *sql.Tx) error {
		var n int
		if err := tx.QueryRowContext(ctx, "SELECT count(*) FROM plans WHERE id = ?", id).Scan(&n); err != nil {
			return err
		} else if n > 0 {
			return ErrConflict
		}
		at := s.now().UTC()
		if _, err := tx.ExecContext(ctx, "INSERT INTO plans (id, name, revision, created_at, updated_at) VALUES (?, ?, 1, ?, ?)",
			id, save.Name, stamped(at), stamped(at)); err != nil {
			return err
		}
		if err := insert(ctx, tx, id, 1, save, stamped(at)); err != nil {
			return err
		}
		for _, r := range records {
			r.Plan, r.At = id, at
			if err := putRecord(ctx, tx, &r); err != nil {
				return err
			}
		}
		for _, p := range photos {
			p.Plan, p.At = id, at
			if err := putPhoto(ctx, tx, &p); err != nil {
				return err
			}
		}
		return nil
	})
}

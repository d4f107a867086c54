package store

import (
	"context"
	"database/sql"
	"errors"
	"strconv"
	"time"
)

// Shelved is a thing of the owner's library as it is kept.
type Shelved struct {
	ID, Collection, Name, From string
	Revision                   int64
	Document                   []byte // of a plan that holds it alone; nil where the record is spoilt
	At                         time.Time
}

// sum is what tells a flipped bit: SHA-256 over all that the record holds.
func (t *Shelved) sum() string {
	return digest(
		t.ID, t.Collection, t.Name, t.From, strconv.FormatInt(t.Revision, 10), stamped(t.At), string(t.Document),
	)
}

const shelf = "SELECT id, collection, name, source, revision, document, kept_at, sum FROM library "

// read takes a record from a row; a spoilt one has no document.
func (t *Shelved) read(scan func(...any) error) error {
	var at, sum string
	if err := scan(&t.ID, &t.Collection, &t.Name, &t.From, &t.Revision, &t.Document, &at, &sum); err != nil {
		return err
	}
	t.At, _ = time.Parse(stamp, at) // a time that cannot be read differs in its sum
	if t.sum() != sum {
		t.Document = nil
	}
	return nil
}

// Library lists the things that are kept, by collection and name.
func (s *Store) Library(ctx context.Context) ([]Shelved, error) {
	rows, err := s.reads.QueryContext(ctx, shelf+"WHERE deleted_at IS NULL ORDER BY collection, name, id")
	if err != nil {
		return nil, reason(err)
	}
	defer rows.Close()
	out := []Shelved{}
	for rows.Next() {
		var t Shelved
		if err := t.read(rows.Scan); err != nil {
			return nil, reason(err)
		}
		out = append(out, t)
	}
	return out, reason(rows.Err())
}

// Shelve keeps a thing: new, or as the next revision of the one that has its id. The same document
// again is no new revision, so that a call may be repeated.
func (s *Store) Shelve(ctx context.Context, t Shelved) (Shelved, error) {
	err := s.write(ctx, func(tx *sql.Tx) error {
		var old Shelved
		err := old.read(tx.QueryRowContext(ctx, shelf+"WHERE id = ?", t.ID).Scan)
		switch {
		case errors.Is(err, sql.ErrNoRows):
		case err != nil:
			return err
		case old.Collection != t.Collection:
			return ErrConflict
		case string(old.Document) == string(t.Document) && old.Name == t.Name:
			t = old
			_, err := tx.ExecContext(ctx, "UPDATE library SET deleted_at = NULL WHERE id = ?", t.ID)
			return err
		}
		t.Revision, t.At = old.Revision+1, s.now().UTC()
		_, err = tx.ExecContext(ctx, `INSERT OR REPLACE INTO library
			(id, collection, name, source, revision, document, kept_at, sum) VALUES (?, ?, ?, ?, ?, ?, ?, ?)`,
			t.ID, t.Collection, t.Name, t.From, t.Revision, string(t.Document), stamped(t.At), t.sum())
		return err
	})
	return t, err
}

// SetShelvedDeleted takes a thing out of the library, or brings it back.
func (s *Store) SetShelvedDeleted(ctx context.Context, id string, deleted bool) error {
	return s.write(ctx, func(tx *sql.Tx) error {
		var at any
		if deleted {
			at = stamped(s.now())
		}
		r, err := tx.ExecContext(ctx, "UPDATE library SET deleted_at = ? WHERE id = ?", at, id)
		if err != nil {
			return err
		}
		if n, err := r.RowsAffected(); err != nil || n == 0 {
			return errors.Join(err, ErrNotFound)
		}
		return nil
	})
}

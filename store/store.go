// Package store keeps plans as documents with their revisions in SQLite.
package store

import (
	"context"
	"database/sql"
	"embed"
	"errors"
	"fmt"
	"io/fs"
	"net/url"
	"os"
	"path/filepath"
	"slices"
	"time"

	"github.com/pressly/goose/v3"
	"github.com/pressly/goose/v3/database"
	_ "modernc.org/sqlite" // the driver "sqlite"
)

//go:embed migrations/*.sql
var migrations embed.FS

// Errors that callers tell apart.
var (
	ErrNotFound = errors.New("there is no such plan")
	ErrConflict = errors.New("the plan was changed elsewhere")
	ErrNewer    = errors.New("the database was made by a newer program; nothing was changed")
	ErrDamaged  = errors.New("the database is damaged; nothing was changed")
)

// newest is the migration that this program is made for.
const newest = 2

// Store is an open database. It may be used by several goroutines.
type Store struct {
	db  *sql.DB
	now func() time.Time
}

// Open opens the database at path, making it where there is none. An existing
// one is first looked at read-only: a damaged or newer one is refused and not
// touched. Before a migration a copy is put beside it.
func Open(ctx context.Context, path string) (*Store, error) {
	if err := os.MkdirAll(filepath.Dir(path), 0o700); err != nil {
		return nil, err
	}
	if info, err := os.Stat(path); err == nil && info.Size() > 0 {
		version, err := inspect(ctx, path)
		if err != nil {
			return nil, err
		}
		if version < newest {
			backup := fmt.Sprintf("%s.before-%d", path, newest)
			if err := Backup(ctx, path, backup); err != nil && !errors.Is(err, fs.ErrExist) {
				return nil, fmt.Errorf("backing up before the migration: %w", err)
			}
		}
	}
	db, err := sql.Open("sqlite", dsn(path, url.Values{"_pragma": {
		"busy_timeout(5000)", "foreign_keys(1)", "journal_mode(wal)", "synchronous(full)",
	}, "_txlock": {"immediate"}}))
	if err != nil {
		return nil, err
	}
	db.SetMaxOpenConns(4)
	s := &Store{db: db, now: time.Now}
	if err := s.migrate(ctx); err != nil {
		db.Close()
		return nil, err
	}
	return s, nil
}

func dsn(path string, q url.Values) string {
	return (&url.URL{Scheme: "file", Opaque: (&url.URL{Path: path}).EscapedPath(), RawQuery: q.Encode()}).String()
}

// inspect looks at an existing database without writing to it.
func inspect(ctx context.Context, path string) (version int64, err error) {
	db, err := sql.Open("sqlite", dsn(path, url.Values{"mode": {"ro"}, "_pragma": {"busy_timeout(5000)"}}))
	if err != nil {
		return 0, err
	}
	defer db.Close()
	var verdict string
	if err := db.QueryRowContext(ctx, "PRAGMA quick_check(1)").Scan(&verdict); err != nil || verdict != "ok" {
		return 0, ErrDamaged
	}
	var tables int
	if err := db.QueryRowContext(ctx, "SELECT count(*) FROM sqlite_master WHERE name = 'goose_db_version'").Scan(&tables); err != nil {
		return 0, ErrDamaged
	}
	if tables == 0 {
		var others int
		if err := db.QueryRowContext(ctx, "SELECT count(*) FROM sqlite_master").Scan(&others); err != nil || others > 0 {
			return 0, fmt.Errorf("the file is another program's database; nothing was changed")
		}
		return 0, nil
	}
	if err := db.QueryRowContext(ctx, "SELECT coalesce(max(version_id), 0) FROM goose_db_version WHERE is_applied").Scan(&version); err != nil {
		return 0, ErrDamaged
	}
	if version > newest {
		return 0, ErrNewer
	}
	return version, nil
}

func (s *Store) migrate(ctx context.Context) error {
	sub, err := fs.Sub(migrations, "migrations")
	if err != nil {
		return err
	}
	p, err := goose.NewProvider(database.DialectSQLite3, s.db, sub)
	if err != nil {
		return err
	}
	if _, err := p.Up(ctx); err != nil {
		return fmt.Errorf("migrating the database: %w", err)
	}
	return nil
}

// Close closes the database.
func (s *Store) Close() error { return s.db.Close() }

// Backup makes a consistent copy of the database at path, while it is in use
// or not. It refuses to overwrite a file.
func Backup(ctx context.Context, path, to string) error {
	if _, err := os.Stat(path); err != nil {
		return err
	}
	if _, err := os.Stat(to); err == nil {
		return fmt.Errorf("%s: %w", to, fs.ErrExist)
	}
	db, err := sql.Open("sqlite", dsn(path, url.Values{"mode": {"ro"}, "_pragma": {"busy_timeout(5000)"}}))
	if err != nil {
		return err
	}
	defer db.Close()
	_, err = db.ExecContext(ctx, "VACUUM INTO ?", to)
	return err
}

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

const stamp = time.RFC3339Nano

// List gives the plans that are not deleted, latest first, without documents.
func (s *Store) List(ctx context.Context) ([]Plan, error) {
	rows, err := s.db.QueryContext(ctx, "SELECT id, name, revision, updated_at FROM plans WHERE deleted_at IS NULL ORDER BY updated_at DESC, id")
	if err != nil {
		return nil, err
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
	return out, rows.Err()
}

// Get gives a plan with its latest document; deleted ones are not found.
func (s *Store) Get(ctx context.Context, id string) (Plan, error) {
	p := Plan{ID: id}
	var at string
	err := s.db.QueryRowContext(ctx, `SELECT p.name, p.revision, p.updated_at, r.document FROM plans p
		JOIN revisions r ON r.plan_id = p.id AND r.revision = p.revision WHERE p.id = ? AND p.deleted_at IS NULL`, id).
		Scan(&p.Name, &p.Revision, &at, &p.Document)
	if errors.Is(err, sql.ErrNoRows) {
		return p, ErrNotFound
	}
	p.UpdatedAt, _ = time.Parse(stamp, at)
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
		at := s.now().UTC().Format(stamp)
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
		at := s.now().UTC().Format(stamp)
		if err := insert(ctx, tx, id, revision, save, at); err != nil {
			return err
		}
		if sitting == save.Sitting && sitting != "" && label == "" {
			if _, err := tx.ExecContext(ctx, "DELETE FROM revisions WHERE plan_id = ? AND revision = ?", id, head); err != nil {
				return err
			}
		}
		_, err = tx.ExecContext(ctx, "UPDATE plans SET name = ?, revision = ?, updated_at = ? WHERE id = ?", save.Name, revision, at, id)
		return err
	})
	return revision, err
}

func savedAs(ctx context.Context, tx *sql.Tx, id, saveID string) (revision int64, ok bool, err error) {
	err = tx.QueryRowContext(ctx, "SELECT revision FROM revisions WHERE plan_id = ? AND save_id = ?", id, saveID).Scan(&revision)
	if errors.Is(err, sql.ErrNoRows) {
		return 0, false, nil
	}
	return revision, err == nil, err
}

func insert(ctx context.Context, tx *sql.Tx, id string, revision int64, save Save, at string) error {
	_, err := tx.ExecContext(ctx, "INSERT INTO revisions (plan_id, revision, save_id, sitting, label, document, saved_at) VALUES (?, ?, ?, ?, ?, ?, ?)",
		id, revision, save.ID, save.Sitting, save.Label, string(save.Document), at)
	return err
}

func (s *Store) write(ctx context.Context, f func(*sql.Tx) error) error {
	tx, err := s.db.BeginTx(ctx, nil)
	if err != nil {
		return err
	}
	defer tx.Rollback() //nolint:errcheck // after a commit it does nothing
	if err := f(tx); err != nil {
		return err
	}
	return tx.Commit()
}

// SetDeleted takes a plan out of the list, or brings it back with all its
// revisions.
func (s *Store) SetDeleted(ctx context.Context, id string, deleted bool) error {
	var at any
	if deleted {
		at = s.now().UTC().Format(stamp)
	}
	res, err := s.db.ExecContext(ctx, "UPDATE plans SET deleted_at = ? WHERE id = ?", at, id)
	if err != nil {
		return err
	}
	if n, _ := res.RowsAffected(); n == 0 {
		return ErrNotFound
	}
	return nil
}

// History lists a plan's revisions, latest first.
func (s *Store) History(ctx context.Context, id string) ([]Revision, error) {
	rows, err := s.db.QueryContext(ctx, "SELECT revision, label, saved_at FROM revisions WHERE plan_id = ? ORDER BY revision DESC", id)
	if err != nil {
		return nil, err
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

// At gives the document of one revision.
func (s *Store) At(ctx context.Context, id string, revision int64) ([]byte, error) {
	var doc []byte
	err := s.db.QueryRowContext(ctx, "SELECT document FROM revisions WHERE plan_id = ? AND revision = ?", id, revision).Scan(&doc)
	if errors.Is(err, sql.ErrNoRows) {
		return nil, ErrNotFound
	}
	return doc, err
}

// Setting gives a setting, or "" where there is none.
func (s *Store) Setting(ctx context.Context, key string) (string, error) {
	var v string
	err := s.db.QueryRowContext(ctx, "SELECT value FROM settings WHERE key = ?", key).Scan(&v)
	if errors.Is(err, sql.ErrNoRows) {
		return "", nil
	}
	return v, err
}

// SetSetting keeps a setting.
func (s *Store) SetSetting(ctx context.Context, key, value string) error {
	_, err := s.db.ExecContext(ctx, "INSERT INTO settings (key, value) VALUES (?, ?) ON CONFLICT (key) DO UPDATE SET value = excluded.value", key, value)
	return err
}

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
	"strings"
	"time"

	"github.com/pressly/goose/v3"
	"github.com/pressly/goose/v3/database"
	_ "modernc.org/sqlite" // the driver "sqlite"
)

//go:embed migrations/*.sql
var migrations embed.FS

// newest is the migration that this program is made for.
const newest = 5

// Store is an open database. It may be used by several goroutines. One connection writes, so
// that saves wait for each other here and not in the file's lock; others read beside it.
type Store struct {
	db    *sql.DB // the one that writes
	reads *sql.DB
	now   func() time.Time
	turn  time.Duration // that a write waits for its turn
}

// patience is how long a write waits for another program's lock, and half of how long for its turn.
const patience = 3 * time.Second

// Open opens the database at path, making it where there is none. An existing
// one is first looked at read-only: a damaged or newer one is refused and not
// touched. Before a migration a copy is put beside it.
func Open(ctx context.Context, path string) (*Store, error) {
	if err := os.MkdirAll(filepath.Dir(path), 0o700); err != nil {
		return nil, reason(err)
	}
	switch info, err := os.Stat(path); {
	case err == nil && info.Size() > 0:
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
	case err != nil && !errors.Is(err, fs.ErrNotExist):
		return nil, reason(err)
	}
	// Its owner's alone to read; files beside it are made alike.
	f, err := os.OpenFile(path, os.O_CREATE|os.O_RDWR, 0o600)
	if err != nil {
		return nil, reason(err)
	}
	if err := errors.Join(f.Chmod(0o600), f.Close()); err != nil {
		return nil, reason(err)
	}
	s := &Store{now: time.Now, turn: 2 * patience}
	pragmas := []string{
		fmt.Sprintf("busy_timeout(%d)", patience.Milliseconds()),
		"foreign_keys(1)",
		"journal_mode(wal)",
		"synchronous(full)",
	}
	if s.db, err = sql.Open("sqlite", dsn(path, url.Values{"_pragma": pragmas, "_txlock": {"immediate"}})); err != nil {
		return nil, reason(err)
	}
	s.db.SetMaxOpenConns(1)
	if s.reads, err = sql.Open("sqlite", dsn(path, url.Values{"_pragma": append(pragmas[:1:1], "query_only(1)")})); err != nil {
		s.db.Close()
		return nil, reason(err)
	}
	s.reads.SetMaxOpenConns(4)
	if err := errors.Join(s.migrate(ctx), s.fillIn(ctx)); err != nil {
		s.Close()
		return nil, reason(err)
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
	if err := db.QueryRowContext(ctx, "PRAGMA quick_check(1)").Scan(&verdict); err != nil {
		return 0, reason(err)
	} else if verdict != "ok" {
		return 0, ErrDamaged
	}
	var tables int
	if err := db.QueryRowContext(ctx, "SELECT count(*) FROM sqlite_master WHERE name = 'goose_db_version'").Scan(&tables); err != nil {
		return 0, reason(err)
	}
	if tables == 0 {
		var others int
		if err := db.QueryRowContext(ctx, "SELECT count(*) FROM sqlite_master").Scan(&others); err != nil {
			return 0, reason(err)
		} else if others > 0 {
			return 0, ErrForeign
		}
		return 0, nil
	}
	if err := db.QueryRowContext(ctx, "SELECT coalesce(max(version_id), 0) FROM goose_db_version WHERE is_applied").Scan(&version); err != nil {
		return 0, reason(err)
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

// fillIn gives sums to revisions that were kept before there were any, and writes all times at
// one length, so that they sort as times.
func (s *Store) fillIn(ctx context.Context) error {
	var missing int
	if err := s.db.QueryRowContext(ctx, `SELECT (SELECT count(*) FROM revisions WHERE sum = '') +
		(SELECT count(*) FROM plans WHERE length(updated_at) <> ?)`, len(stamp)).Scan(&missing); err != nil || missing == 0 {
		return err
	}
	return s.write(ctx, func(tx *sql.Tx) error {
		for _, column := range []string{"plans.created_at", "plans.updated_at", "plans.deleted_at", "revisions.saved_at"} {
			table, field, _ := strings.Cut(column, ".")
			if err := restamp(ctx, tx, table, field); err != nil {
				return err
			}
		}
		rows, err := revisionsOf(ctx, tx, "WHERE r.sum = ''")
		if err != nil {
			return err
		}
		for _, r := range rows {
			if _, err := tx.ExecContext(ctx, "UPDATE revisions SET sum = ? WHERE plan_id = ? AND revision = ?", r.sum(), r.plan, r.revision); err != nil {
				return err
			}
		}
		return nil
	})
}

// restamp writes the times of a column at their full length.
func restamp(ctx context.Context, tx *sql.Tx, table, field string) error {
	rows, err := tx.QueryContext(
		ctx,
		"SELECT rowid, "+field+" FROM "+table+" WHERE "+field+" IS NOT NULL AND length("+field+") <> ?",
		len(stamp),
	)
	if err != nil {
		return err
	}
	defer rows.Close()
	at := map[int64]string{}
	for rows.Next() {
		var id int64
		var text string
		if err := rows.Scan(&id, &text); err != nil {
			return err
		}
		if t, err := time.Parse(time.RFC3339Nano, text); err == nil {
			at[id] = stamped(t)
		}
	}
	if err := rows.Err(); err != nil {
		return err
	}
	for id, text := range at {
		if _, err := tx.ExecContext(ctx, "UPDATE "+table+" SET "+field+" = ? WHERE rowid = ?", text, id); err != nil {
			return err
		}
	}
	return nil
}

// Close closes the database.
func (s *Store) Close() error { return errors.Join(s.reads.Close(), s.db.Close()) }

// write runs one transaction, when its turn comes; ErrBusy where that takes too long. Its own work may take as long as
// the caller has: a large archive on a slow card.
func (s *Store) write(ctx context.Context, f func(*sql.Tx) error) error {
	turn, cancel := context.WithTimeout(ctx, s.turn)
	defer cancel()
	conn, err := s.db.Conn(turn)
	if err != nil {
		return waited(ctx, err)
	}
	defer conn.Close()
	tx, err := conn.BeginTx(ctx, nil)
	if err != nil {
		return reason(err)
	}
	defer tx.Rollback() //nolint:errcheck // after a commit it does nothing
	if err := f(tx); err != nil {
		return reason(err)
	}
	return reason(tx.Commit())
}

// Setting gives a setting, or "" where there is none.
func (s *Store) Setting(ctx context.Context, key string) (string, error) {
	var v string
	err := s.reads.QueryRowContext(ctx, "SELECT value FROM settings WHERE key = ?", key).Scan(&v)
	if errors.Is(err, sql.ErrNoRows) {
		return "", nil
	}
	return v, reason(err)
}

// SetSetting keeps a setting.
func (s *Store) SetSetting(ctx context.Context, key, value string) error {
	_, err := s.db.ExecContext(
		ctx,
		"INSERT INTO settings (key, value) VALUES (?, ?) ON CONFLICT (key) DO UPDATE SET value = excluded.value",
		key,
		value,
	)
	return reason(err)
}

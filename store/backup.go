package store

import (
	"context"
	"database/sql"
	"errors"
	"fmt"
	"io/fs"
	"net/url"
	"os"
)

// Backup makes a consistent copy of the database at path, while it is in use or not. It is
// written aside and takes its name when it is whole; it refuses to overwrite a file. The copy is
// its owner's alone to read.
func Backup(ctx context.Context, path, to string) (err error) {
	if _, err := os.Stat(path); err != nil {
		return reason(err)
	}
	if _, err := os.Stat(to); err == nil {
		return fmt.Errorf("%s: %w", to, fs.ErrExist)
	}
	aside := to + ".part"
	if err := os.Remove(aside); err != nil && !errors.Is(err, fs.ErrNotExist) {
		return reason(err)
	}
	f, err := os.OpenFile(aside, os.O_CREATE|os.O_EXCL|os.O_WRONLY, 0o600)
	if err != nil {
		return reason(err)
	}
	if err := f.Close(); err != nil {
		return reason(err)
	}
	defer os.Remove(aside) //nolint:errcheck // it is gone where all went well
	db, err := sql.Open("sqlite", dsn(path, url.Values{"mode": {"ro"}, "_pragma": {"busy_timeout(5000)"}}))
	if err != nil {
		return reason(err)
	}
	defer db.Close()
	if _, err := db.ExecContext(ctx, "VACUUM INTO ?", aside); err != nil { // an empty file may be filled
		return reason(err)
	}
	if err := synced(aside); err != nil {
		return reason(err)
	}
	if err := os.Link(aside, to); err != nil { // unlike a renaming it never overwrites
		return reason(err)
	}
	return nil
}

// synced waits until a file is on the disk.
func synced(path string) error {
	f, err := os.OpenFile(path, os.O_RDWR, 0)
	if err != nil {
		return err
	}
	return errors.Join(f.Sync(), f.Close())
}

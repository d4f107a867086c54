package store

import (
	"context"
	"errors"
	"fmt"
	"io/fs"

	"modernc.org/sqlite"
)

// Errors that callers tell apart.
var (
	ErrNotFound = errors.New("there is no such plan")
	ErrConflict = errors.New("the plan was changed elsewhere")
	ErrNewer    = errors.New("the database was made by a newer program; nothing was changed")
	ErrDamaged  = errors.New("the database is damaged; nothing was changed")
	ErrForeign  = errors.New("the file is another program's database; nothing was changed")
	ErrBusy     = errors.New("another program holds the database; nothing was changed")
	ErrReadOnly = errors.New("the database's file or directory may not be written")
	ErrFull     = errors.New("the disk is full; nothing was changed")
	ErrNoAccess = errors.New("the database's file cannot be opened")
	ErrDisk     = errors.New("the disk does not read or write as it should")
)

// SpoiltError is a revision that does not come from the disk as it was written.
type SpoiltError struct {
	Revision int64
	Earlier  int64 // the newest sound one before it; 0: none
}

func (e *SpoiltError) Error() string {
	return fmt.Sprintf("revision %d of this plan is damaged on the disk", e.Revision)
}

// Result codes of SQLite, the primary ones: https://www.sqlite.org/rescode.html.
var reasons = map[int]error{
	3: ErrNoAccess, 5: ErrBusy, 6: ErrBusy, 8: ErrReadOnly, 10: ErrDisk, 11: ErrDamaged, 13: ErrFull, 14: ErrNoAccess, 26: ErrDamaged,
}

// reason gives an error of the database or the file system the sentence that tells what to do.
func reason(err error) error {
	var coded *sqlite.Error
	switch {
	case err == nil:
		return nil
	case errors.As(err, &coded):
		if why := reasons[coded.Code()&0xff]; why != nil {
			return fmt.Errorf("%w (%w)", why, err)
		}
	case errors.Is(err, fs.ErrPermission):
		return fmt.Errorf("%w (%w)", ErrReadOnly, err)
	}
	return err
}

// waited is reason where waiting for the one writer ended it, and not the caller's own end.
func waited(outer context.Context, err error) error {
	if outer.Err() == nil && errors.Is(err, context.DeadlineExceeded) {
		return fmt.Errorf("%w (%w)", ErrBusy, err)
	}
	return reason(err)
}

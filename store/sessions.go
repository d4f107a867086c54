package store

import (
	"context"
	"crypto/sha256"
	"database/sql"
	"encoding/hex"
	"errors"
	"time"
)

// Sessions keeps who came in with the passcode, so that a restart asks nobody again. Keys
// and values are those of the session layer above; of a key only its hash is kept, so that a copy of
// the database lets nobody in.
type Sessions struct{ s *Store }

// Sessions gives the store's.
func (s *Store) Sessions() *Sessions { return &Sessions{s} }

// GetWithContext gives a session's value; nil where there is none or it has run out.
func (s *Sessions) GetWithContext(ctx context.Context, key string) ([]byte, error) {
	var v []byte
	err := s.s.reads.QueryRowContext(ctx, "SELECT value FROM sessions WHERE key = ? AND expires > ?", hashed(key), time.Now().Unix()).
		Scan(&v)
	if errors.Is(err, sql.ErrNoRows) {
		return nil, nil
	}
	return v, reason(err)
}

// SetWithContext keeps a session's value for a time, and drops what has run out.
func (s *Sessions) SetWithContext(ctx context.Context, key string, value []byte, lasts time.Duration) error {
	if key == "" || len(value) == 0 {
		return nil
	}
	if lasts <= 0 {
		lasts = 24 * time.Hour
	}
	now := time.Now()
	return s.s.write(ctx, func(tx *sql.Tx) error {
		if _, err := tx.ExecContext(ctx, "DELETE FROM sessions WHERE expires <= ?", now.Unix()); err != nil {
			return err
		}
		_, err := tx.ExecContext(ctx, `INSERT INTO sessions (key, value, expires) VALUES (?, ?, ?)
			ON CONFLICT (key) DO UPDATE SET value = excluded.value, expires = excluded.expires`, hashed(key), value, now.Add(lasts).Unix())
		return err
	})
}

// hashed is what is kept of a key.
func hashed(key string) string {
	sum := sha256.Sum256([]byte(key))
	return hex.EncodeToString(sum[:])
}

// DeleteWithContext ends a session.
func (s *Sessions) DeleteWithContext(ctx context.Context, key string) error {
	_, err := s.s.db.ExecContext(ctx, "DELETE FROM sessions WHERE key = ?", hashed(key))
	return reason(err)
}

// ResetWithContext ends all sessions.
func (s *Sessions) ResetWithContext(ctx context.Context) error {
	_, err := s.s.db.ExecContext(ctx, "DELETE FROM sessions")
	return reason(err)
}

// Get, Set, Delete and Reset are the same without a context.
func (s *Sessions) Get(key string) ([]byte, error) {
	return s.GetWithContext(context.Background(), key)
}

// Set keeps a session's value for a time.
func (s *Sessions) Set(key string, value []byte, lasts time.Duration) error {
	return s.SetWithContext(context.Background(), key, value, lasts)
}

// Delete ends a session.
func (s *Sessions) Delete(key string) error { return s.DeleteWithContext(context.Background(), key) }

// Reset ends all sessions.
func (s *Sessions) Reset() error { return s.ResetWithContext(context.Background()) }

// Close does nothing: the store closes the database.
func (s *Sessions) Close() error { return nil }

package store

import "time"

// Reason and SetNow are for tests.
var Reason = reason

// SetNow lets a test say what time it is.
func (s *Store) SetNow(now func() time.Time) { s.now = now }

// SetTurn lets a test say how long a write waits for its turn.
func (s *Store) SetTurn(turn time.Duration) { s.turn = turn }

package store

import "time"

// Reason and SetNow are for tests.
var Reason = reason

// SetNow lets a test say what time it is.
func (s *Store) SetNow(now func() time.Time) { s.now = now }

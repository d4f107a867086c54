package study_test

import "testing"

// long marks a test that make quick leaves out; it runs beside others.
func long(t *testing.T) {
	t.Helper()
	if testing.Short() {
		t.Skip("a long one")
	}
	t.Parallel()
}

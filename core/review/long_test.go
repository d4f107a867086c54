package review_test

import (
	"os"
	"testing"
)

// long marks a test that make quick leaves out; it runs beside others.
func long(t *testing.T) {
	t.Helper()
	if testing.Short() {
		t.Skip("a long one")
	}
	t.Parallel()
}

// often is how many times a thing at random is tried: ten times as many in a deep run.
func often(n int) int {
	if os.Getenv("DEEP") != "" {
		return 10 * n
	}
	return n
}

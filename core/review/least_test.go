package review_test

import (
	"os"
	"path/filepath"
	"strings"
	"testing"

	"zygonos/core/review"
)

// Every stage but Practice says what it takes at least, and its page for owners says the same.
func TestLeast(t *testing.T) {
	for _, stage := range review.Stages {
		least, ok := review.Least[stage]
		if stage == "practice" {
			continue
		}
		if !ok {
			t.Errorf("%s does not say what it takes at least", stage)
			continue
		}
		page, err := os.ReadFile(filepath.Join("..", "..", "docs", "guide", stage+".md"))
		if err != nil {
			t.Fatal(err)
		}
		plain := strings.NewReplacer("{", "", "}", "").Replace(least)
		if want := "**The least that gives an answer**: " + plain + "."; !strings.Contains(string(page), want) {
			t.Errorf("docs/guide/%s.md does not say: %s", stage, want)
		}
	}
}

package main

import (
	"os"
	"path/filepath"
	"regexp"
	"strings"
	"testing"
)

// The same thing is called the same in every sentence: what regions call otherwise stands in braces, so that the table of terms
// decides, and not whoever wrote the line.
func TestTermsStandInBraces(t *testing.T) {
	say := regexp.MustCompile(`said\.Say\(\s*"((?:[^"\\]|\\.)*)"`)
	braces := regexp.MustCompile(`\{[^}]*\}`)
	bare := regexp.MustCompile(`(?i)\b(tyres?|tires?|drawbars?|mudguards?|fenders?|jockey wheels?|tongue jacks?|weighbridges?|truck scales?|number plates?|licen[cs]e plates?|noseweight|tongue weight)\b`)
	sentences := 0
	err := walk(filepath.Join("..", "..", "core"), ".go", func(path string, data []byte) error {
		for _, m := range say.FindAllStringSubmatch(string(data), -1) {
			sentences++
			if word := bare.FindString(braces.ReplaceAllString(m[1], "")); word != "" {
				t.Errorf("%s: “%s” stands bare in %q", path, word, m[1])
			}
		}
		return nil
	})
	if err != nil || sentences < 1500 {
		t.Errorf("%d sentences, %v", sentences, err)
	}
	ailments, err := os.ReadFile(filepath.Join("..", "..", "core", "facts", "ailments", "ailments.go"))
	if err != nil {
		t.Fatal(err)
	}
	_, table, _ := strings.Cut(string(ailments), "var Signs")
	for _, m := range regexp.MustCompile(`"([^"]* [^"]*)"`).FindAllStringSubmatch(table, -1) {
		if word := bare.FindString(braces.ReplaceAllString(m[1], "")); word != "" {
			t.Errorf("ailments: “%s” stands bare in %q", word, m[1])
		}
	}
}

// Sentences speak as a foreman does: none says "told" of a figure, "nought", "anew" or "speaks against", or counts what
// is "at hand".
func TestSentencesArePlain(t *testing.T) {
	odd := regexp.MustCompile(`(?i)\b(told|nought|anew|speaks? against|at hand|reckoned|in hand|tell of)\b`)
	text := map[string]*regexp.Regexp{
		".go":  regexp.MustCompile(`(?:said\.Say|Says:|Where:|Does:|Look:|Note:)\(?\s*"((?:[^"\\]|\\.)*)"`),
		".vue": regexp.MustCompile(`>([^<>{}]*[a-z]{2}[^<>{}]*)<`),
	}
	for kind, dir := range map[string]string{".go": filepath.Join("..", "..", "core"), ".vue": filepath.Join("..", "..", "ui", "src")} {
		sentences := 0
		err := walk(dir, kind, func(path string, data []byte) error {
			if kind == ".vue" { // what is on the page
				_, page, _ := strings.Cut(string(data), "<template>")
				data = []byte(page)
			}
			for _, m := range text[kind].FindAllStringSubmatch(string(data), -1) {
				sentences++
				if word := odd.FindString(m[1]); word != "" {
					t.Errorf("%s: “%s” in %q", path, word, strings.Join(strings.Fields(m[1]), " "))
				}
			}
			return nil
		})
		if err != nil || sentences < 500 {
			t.Errorf("%s: %d sentences, %v", kind, sentences, err)
		}
	}
}

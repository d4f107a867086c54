// Package core_test holds the house rules that no single package can hold.
package core_test

import (
	"go/ast"
	"go/parser"
	"go/token"
	"io/fs"
	"os"
	"path/filepath"
	"regexp"
	"strconv"
	"strings"
	"testing"
)

// floors from the ground up: what stands on one imports only what stands on the same or lower.
var floors = map[string]int{
	"lang": 0, "facts": 1, "sums": 1, "plan": 2, "parts": 3, "goods": 3, "cost": 3, "begin": 3, "library": 3, "records": 3, "learn": 3, "rig": 4, "ask": 5, "review": 6, "study": 7, "practice": 8, "out": 8,
}

// floorOf gives the floor and its height of a package of the core, such as ask/balance.
func floorOf(path string) (name string, height int, ok bool) {
	name, _, _ = strings.Cut(path, "/")
	height, ok = floors[name]
	return name, height, ok
}

// The arrows point down: no package imports one of a higher floor, no question another one, and
// the core nothing but the standard library, gonum and itself.
func TestHouse(t *testing.T) {
	err := filepath.WalkDir(".", func(path string, d fs.DirEntry, err error) error {
		if err != nil || d.IsDir() || filepath.Ext(path) != ".go" || strings.HasSuffix(path, "_test.go") {
			return err
		}
		dir := filepath.ToSlash(filepath.Dir(path))
		if strings.HasPrefix(dir, "internal/") {
			return nil
		}
		floor, height, ok := floorOf(dir)
		if !ok {
			t.Errorf("%s stands on no floor", path)
			return nil
		}
		file, err := parser.ParseFile(token.NewFileSet(), path, nil, parser.ImportsOnly)
		if err != nil {
			return err
		}
		for _, imported := range file.Imports {
			to, err := strconv.Unquote(imported.Path.Value)
			if err != nil {
				return err
			}
			own, inside := strings.CutPrefix(to, "zygonos/core/")
			if !inside {
				if strings.HasPrefix(to, "zygonos/") ||
					strings.Contains(strings.Split(to, "/")[0], ".") && !strings.HasPrefix(to, "gonum.org/") {
					t.Errorf("%s imports %s, which is not the core's", path, to)
				}
				continue
			}
			name, below, ok := floorOf(own)
			switch {
			case !ok:
				t.Errorf("%s imports %s, which stands on no floor", path, to)
			case below > height:
				t.Errorf("%s (%s) imports upward: %s", path, floor, to)
			case floor == "ask" && name == "ask" && own != dir:
				t.Errorf("a question imports another: %s imports %s", path, to)
			}
		}
		return nil
	})
	if err != nil {
		t.Fatal(err)
	}
}

// codes are the constants that name a finding.
var codes = regexp.MustCompile(`\bCode[A-Z]\w*\s*=\s*"([a-z]+\.[a-z0-9-]+)"`)

// Every code of a finding stands in the list of docs/method/README.md.
func TestCodesAreListed(t *testing.T) {
	list, err := os.ReadFile(filepath.Join("..", "docs", "method", "README.md"))
	if err != nil {
		t.Fatal(err)
	}
	count := 0
	err = filepath.WalkDir("ask", func(path string, d fs.DirEntry, err error) error {
		if err != nil || d.IsDir() || filepath.Ext(path) != ".go" || strings.HasSuffix(path, "_test.go") {
			return err
		}
		source, err := os.ReadFile(path)
		if err != nil {
			return err
		}
		for _, m := range codes.FindAllStringSubmatch(string(source), -1) {
			count++
			if !strings.Contains(string(list), "`"+m[1]) {
				t.Errorf("%s: %s is not listed", path, m[1])
			}
		}
		return nil
	})
	if err != nil || count < 100 {
		t.Errorf("%d codes, %v", count, err)
	}
}

// written is a figure in a unit of its own, or a unit behind a figure of the sentence; brackets hold those that the plan's
// units replace.
var (
	written  = regexp.MustCompile(`[0-9%] ?(mm|cm|m|km|kg|km/h|°C|K|bar|l|l/min|kN|N|m²|cm²|m³)([^\w²³/]|$)`)
	brackets = regexp.MustCompile(`\[[^]]*\]`)
)

// patterns visits every literal of what said.Say is first given, and those of the tables that become sentences.
func patterns(t *testing.T, visit func(at token.Position, says string)) {
	t.Helper()
	count := 0
	err := filepath.WalkDir(".", func(path string, d fs.DirEntry, err error) error {
		if err != nil || d.IsDir() || filepath.Ext(path) != ".go" || strings.HasSuffix(path, "_test.go") {
			return err
		}
		set := token.NewFileSet()
		file, err := parser.ParseFile(set, path, nil, parser.SkipObjectResolution)
		if err != nil {
			return err
		}
		look := func(n ast.Node) bool {
			if lit, ok := n.(*ast.BasicLit); ok && lit.Kind == token.STRING {
				if says, err := strconv.Unquote(lit.Value); err == nil {
					count++
					visit(set.Position(lit.Pos()), says)
				}
			}
			_, inner := n.(*ast.CallExpr)
			return !inner
		}
		if path := filepath.ToSlash(path); strings.HasPrefix(path, "facts/ailments/") || path == "facts/norms/wear.go" ||
			path == "facts/catalogue/fittings.go" {
			ast.Inspect(file, func(n ast.Node) bool {
				if lit, ok := n.(*ast.BasicLit); !ok || strings.ContainsAny(lit.Value, " ") { // one word is an id
					look(n)
				}
				return true
			})
		}
		ast.Inspect(file, func(n ast.Node) bool {
			if call, ok := n.(*ast.CallExpr); ok && len(call.Args) > 0 {
				if f, ok := call.Fun.(*ast.SelectorExpr); ok && f.Sel.Name == "Say" {
					ast.Inspect(call.Args[0], look)
				}
			}
			return true
		})
		return nil
	})
	if err != nil {
		t.Fatal(err)
	}
	if count < 1500 {
		t.Errorf("only %d patterns were looked at", count)
	}
}

// A sentence leaves its units to the plan: no pattern writes them out. A figure stated in both systems stays.
func TestSentencesLeaveUnitsToThePlan(t *testing.T) {
	patterns(t, func(at token.Position, says string) {
		bare := brackets.ReplaceAllString(says, "")
		if written.MatchString(bare) && !strings.Contains(bare, " mph ") && !strings.Contains(bare, " in is ") &&
			!strings.HasSuffix(bare, " in)") && !strings.HasSuffix(bare, " gauge)") {
			t.Errorf("%s: a unit of its own in %q", at, says)
		}
	})
}

// local are words that differ by region, outside of the braces that let the plan's region choose.
var (
	local  = regexp.MustCompile(`(?i)\b(coupling|mudguards?|weighbridge|tyres?|tires?|fenders?|jockey wheel|drawbar|number plate|licences?|kerbs?)\b`)
	braces = regexp.MustCompile(`\{[^}]*\}`)
)

// A sentence leaves its words to the plan's region too.
func TestSentencesLeaveWordsToTheRegion(t *testing.T) {
	patterns(t, func(at token.Position, says string) {
		if word := local.FindString(braces.ReplaceAllString(says, "")); word != "" {
			t.Errorf("%s: %q without braces in %q", at, word, says)
		}
	})
}

// Command sentences prints every sentence that the program may say, with its fields filled, to be
// read at one go: those of the core in both systems of units and the words of all regions, then
// those of the interface. It reads the sources, so that nothing depends on which plan is open.
//
//	go run ./cmd/sentences [core|ui]
package main

import (
	"fmt"
	"go/ast"
	"go/parser"
	"go/token"
	"io"
	"io/fs"
	"os"
	"path/filepath"
	"regexp"
	"slices"
	"strconv"
	"strings"

	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
)

func main() {
	what := ""
	if len(os.Args) > 1 {
		what = os.Args[1]
	}
	if err := run(os.Stdout, ".", what); err != nil {
		fmt.Fprintln(os.Stderr, "sentences:", err)
		os.Exit(1)
	}
}

func run(w io.Writer, root, what string) error {
	if what != "ui" {
		for _, dir := range []string{"core", "web", "cmd", "store"} {
			if err := walk(filepath.Join(root, dir), ".go", func(path string, data []byte) error { return goFile(w, path, data) }); err != nil {
				return err
			}
		}
	}
	if what != "core" {
		src := filepath.Join(root, "ui", "src")
		for _, kind := range []string{".vue", ".ts"} {
			if err := walk(src, kind, func(path string, data []byte) error { page(w, path, string(data)); return nil }); err != nil {
				return err
			}
		}
	}
	return nil
}

// walk gives every file of a kind under a directory that is no test and not generated.
func walk(dir, kind string, each func(path string, data []byte) error) error {
	return filepath.WalkDir(dir, func(path string, d fs.DirEntry, err error) error {
		if err != nil || d.IsDir() || filepath.Ext(path) != kind || strings.HasSuffix(path, "_test.go") ||
			strings.Contains(path, "generated") || strings.HasPrefix(path, "cmd/sentences") {
			return err
		}
		data, err := os.ReadFile(path)
		if err != nil {
			return err
		}
		return each(path, data)
	})
}

// spoken tells a sentence from a key, a path or a class: it has a space between words.
var spoken = regexp.MustCompile(`[A-Za-z’'})%,;:]+ [A-Za-z{%×·→(]`)

// goFile prints the sentences of a Go file: the patterns of said.Say with their fields as their
// parts say, and any other literal of words.
func goFile(w io.Writer, path string, data []byte) error {
	files := token.NewFileSet()
	file, err := parser.ParseFile(files, path, data, parser.SkipObjectResolution)
	if err != nil {
		return err
	}
	tags := map[*ast.BasicLit]bool{}
	ast.Inspect(file, func(n ast.Node) bool {
		switch n := n.(type) {
		case *ast.ImportSpec:
			return false
		case *ast.Field:
			if n.Tag != nil {
				tags[n.Tag] = true
			}
		case *ast.CallExpr:
			if name := called(n); name == "Say" && len(n.Args) > 0 {
				if lit, ok := n.Args[0].(*ast.BasicLit); ok && lit.Kind == token.STRING {
					tags[lit] = true
					say(w, files.Position(lit.Pos()), lit, n.Args[1:])
				}
			}
		case *ast.BasicLit:
			if n.Kind == token.STRING && !tags[n] {
				if text, err := strconv.Unquote(n.Value); err == nil && spoken.MatchString(text) && !strings.Contains(text, "\n") {
					say(w, files.Position(n.Pos()), n, nil)
				}
			}
		}
		return true
	})
	return nil
}

// called is the name of the function that a call calls.
func called(c *ast.CallExpr) string {
	switch f := c.Fun.(type) {
	case *ast.Ident:
		return f.Name
	case *ast.SelectorExpr:
		return f.Sel.Name
	case *ast.IndexExpr:
		return called(&ast.CallExpr{Fun: f.X})
	}
	return ""
}

// regions in which a word is looked at, with the units that are usual there.
var regions = []quantity.Locale{
	{
		Region: "uk",
		Units:  quantity.Metric,
	}, {Region: "na", Units: quantity.Imperial}, {Region: "eu", Units: quantity.Metric},
	{Region: "au", Units: quantity.Metric}, {Region: "nz", Units: quantity.Metric},
}

// say prints one pattern for each region in which it reads differently.
func say(w io.Writer, at token.Position, lit *ast.BasicLit, parts []ast.Expr) {
	pattern, err := strconv.Unquote(lit.Value)
	if err != nil {
		return
	}
	fields := make([]said.Piece, strings.Count(pattern, "%"))
	for i := range fields {
		fields[i] = said.Name("…", "…")
		if i < len(parts) {
			fields[i] = part(parts[i])
		}
	}
	var shown []string
	for _, l := range regions {
		text := said.Say(pattern, fields...).Text(l)
		if !slices.Contains(shown, text) {
			shown = append(shown, text)
		}
	}
	fmt.Fprintf(w, "%s:%d\t%s\n", at.Filename, at.Line, strings.Join(shown, "\n\t"))
}

// part is a field with a figure of its kind in it.
func part(e ast.Expr) said.Piece {
	call, ok := e.(*ast.CallExpr)
	if !ok {
		return said.Name("…", "…")
	}
	switch called(call) {
	case "Mass":
		return said.Mass(412.0)
	case "Length":
		return said.Length(1.27)
	case "Share":
		return said.Share(0.083)
	case "Count":
		return said.Count(3)
	case "Name":
		if len(call.Args) > 1 {
			if lit, ok := call.Args[1].(*ast.BasicLit); ok {
				if text, err := strconv.Unquote(lit.Value); err == nil {
					return said.Name("", text)
				}
			}
		}
		return said.Name("", "it")
	case "Of":
		if len(call.Args) > 0 {
			if k, ok := call.Args[0].(*ast.SelectorExpr); ok {
				if kind, ok := kinds[k.Sel.Name]; ok {
					return said.Of(kind, figures[kind])
				}
			}
		}
	}
	if kind, ok := kinds["Kind"+called(call)]; ok {
		return said.Of(kind, figures[kind])
	}
	return said.Name("…", "…")
}

var kinds = map[string]quantity.Kind{
	"KindMass": quantity.KindMass, "KindLength": quantity.KindLength, "KindShare": quantity.KindShare, "KindForce": quantity.KindForce,
	"KindAngle": quantity.KindAngle, "KindSpeed": quantity.KindSpeed, "KindMoney": quantity.KindMoney, "KindVolume": quantity.KindVolume,
	"KindStress": quantity.KindStress, "KindPressure": quantity.KindPressure,
}

// figures of each kind, SI.
var figures = map[quantity.Kind]float64{
	quantity.KindMass: 412, quantity.KindLength: 1.27, quantity.KindShare: 0.083, quantity.KindForce: 2300, quantity.KindAngle: 0.28,
	quantity.KindSpeed: 22.2, quantity.KindMoney: 240, quantity.KindVolume: 0.6, quantity.KindStress: 1.4e8, quantity.KindPressure: 250e3,
}

var (
	between = regexp.MustCompile(`>([^<>{}]*(?:\{\{[^}]*\}\}[^<>{}]*)*)<`)
	worded  = regexp.MustCompile(
		`(?:label|title|placeholder|hint|more|name|says|aria-label|none|heading)(?::\s*|=)(?:"([^"]+)"|'([^']+)'|` + "`([^`]+)`" + `)`,
	)
	quoted = regexp.MustCompile(`'([^'\n]+)'|` + "`([^`\n]+)`")
)

// page prints the words of a page: its texts, then the words in its attributes and its script.
func page(w io.Writer, path, text string) {
	line := func(i int) int { return 1 + strings.Count(text[:i], "\n") }
	seen := map[string]bool{}
	put := func(at int, words string) {
		words = strings.Join(strings.Fields(words), " ")
		if !seen[words] && (spoken.MatchString(words) || len(words) > 3 && words[0] >= 'A' && words[0] <= 'Z') &&
			!strings.ContainsAny(words, "=;&|") {
			seen[words] = true
			fmt.Fprintf(w, "%s:%d\t%s\n", path, line(at), words)
		}
	}
	if i := strings.Index(text, "<template>"); i >= 0 {
		for _, m := range between.FindAllStringSubmatchIndex(text[i:], -1) {
			put(i+m[2], text[i+m[2]:i+m[3]])
		}
	}
	for _, m := range worded.FindAllStringSubmatchIndex(text, -1) {
		for k := 2; k < len(m); k += 2 {
			if m[k] >= 0 {
				put(m[k], text[m[k]:m[k+1]])
			}
		}
	}
	for _, m := range quoted.FindAllStringSubmatchIndex(text, -1) {
		for k := 2; k < len(m); k += 2 {
			if m[k] >= 0 && m[k+1]-m[k] > 12 && text[m[k]] >= 'A' && text[m[k]] <= 'Z' {
				put(m[k], text[m[k]:m[k+1]])
			}
		}
	}
}
